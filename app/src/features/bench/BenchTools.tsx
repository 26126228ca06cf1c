import { PRODUCTS } from '@hoddle/core/handbook/products';
import { type Href } from 'expo-router';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { useHousehold } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';

const INK = { stroke: COLOURS.ink, strokeWidth: 2.4, fill: COLOURS.plate, strokeLinejoin: 'round' } as const;
const LINE = { stroke: COLOURS.edge, strokeWidth: 3, strokeLinecap: 'round' } as const;

/** What stands on the board: each tool is drawn as the thing, with its last value under its name. */
export function BenchTools() {
  const { sources } = useHousehold();
  return (
    <View>
      <View className="flex-row" style={{ boxShadow: `inset 0 -88px 0 ${COLOURS.plate}` }}>
        <Tool href="/bench/tested" name="What’s tested" note={`${PRODUCTS.length} products`}>
          <Handbook />
        </Tool>
        <Tool href="/bench/change" name="May I change this?" note="any formula">
          <Clipboard />
        </Tool>
        <Tool
          href="/bench/sources"
          name="Our own sources"
          note={sources.length === 0 ? 'none yet' : `${sources.length} ${sources.length === 1 ? 'page' : 'pages'}`}
        >
          <Leaflet />
        </Tool>
      </View>
      <Words tone="ink-2" className="px-4 pt-4">
        Times hold only for the food, jar and pack they were tested with. Your local extension office and codes come
        first.
      </Words>
    </View>
  );
}

function Tool({ href, name, note, children }: { href: Href; name: string; note: string; children: ReactNode }) {
  return (
    <RowLink href={href} className="flex-1 items-center">
      <View className="h-[120px] w-full items-center justify-end">{children}</View>
      <View className="h-[4px] w-full" style={{ backgroundColor: COLOURS.cobalt }} />
      <View className="h-[84px] w-full items-center gap-1 px-2 pt-2">
        <Words size="lead" weight={800} className="text-center">
          {name}
        </Words>
        <Words size="label" tone="ink-2" className="text-center">
          {note}
        </Words>
      </View>
    </RowLink>
  );
}

/** A thick book standing open, with a tick on its page and a jar's outline beside it. */
function Handbook() {
  return (
    <Svg width={132} height={104} viewBox="0 0 132 104" aria-hidden>
      <Path d="M66 16Q40 4 10 12V98Q40 90 66 102Q92 90 122 98V12Q92 4 66 16Z" {...INK} />
      <Path d="M66 16V102" {...INK} fill="none" />
      <Path d="M22 30Q38 27 54 32M22 44Q38 41 54 46M22 58Q38 55 44 57" {...LINE} fill="none" />
      <Path d="M24 76l7 7l14 -16" stroke={COLOURS.cobalt} strokeWidth={5} fill="none" strokeLinecap="round" />
      <Rect x={86} y={32} width={16} height={6} rx={1.5} fill={COLOURS.band} stroke={COLOURS.ink} strokeWidth={2} />
      <Path d="M87 38Q80 44 80 50V76Q80 82 86 82H102Q108 82 108 76V50Q108 44 101 38Z" {...INK} />
      <Path d="M81 50H107V76Q107 81 102 81H86Q81 81 81 76Z" fill="#A6211B" />
    </Svg>
  );
}

/** A sheet on a board, with the question on it. */
function Clipboard() {
  return (
    <Svg width={92} height={108} viewBox="0 0 92 108" aria-hidden>
      <Rect x={8} y={14} width={76} height={92} rx={4} {...INK} />
      <Path d="M30 16L36 5H56L62 16Z" fill={COLOURS.cobalt} />
      <Path d="M20 30H60M20 40H72M20 94H44" {...LINE} />
      <Path
        d="M36 62Q36 50 47 50Q58 50 58 60Q58 67 47 71V76"
        stroke={COLOURS.ink}
        strokeWidth={5}
        fill="none"
        strokeLinecap="round"
      />
      <Circle cx={47} cy={85} r={3.4} fill={COLOURS.ink} />
    </Svg>
  );
}

/** A folded leaflet held by a clip. */
function Leaflet() {
  return (
    <Svg width={104} height={108} viewBox="0 0 104 108" aria-hidden>
      <Path d="M18 18L50 10V98L18 106Z" {...INK} />
      <Path d="M50 10L86 18V106L50 98Z" {...INK} />
      <Path d="M26 36L42 32M26 50L42 46M26 64L42 60" {...LINE} />
      <Path d="M58 48L78 53M58 62L78 67M58 76L70 79" {...LINE} />
      <Path d="M40 12L44 2H56L60 12Z" fill={COLOURS.cobalt} />
      <Circle cx={50} cy={6} r={2.6} fill={COLOURS.plate} />
      <Path d="M60 34L78 38" stroke={COLOURS.cobalt} strokeWidth={5} strokeLinecap="round" />
    </Svg>
  );
}
