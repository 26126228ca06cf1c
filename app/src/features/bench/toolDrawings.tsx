import Svg, { Circle, Path, Rect, Text } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

const INK = { stroke: COLOURS.ink, strokeWidth: 2.4, fill: COLOURS.plate, strokeLinejoin: 'round' } as const;
const LINE = { stroke: COLOURS.edge, strokeWidth: 3, strokeLinecap: 'round' } as const;
const HOOK = { stroke: COLOURS.ink, strokeWidth: 4, fill: 'none', strokeLinecap: 'round' } as const;

/** A thick book standing open, with a tick on its page and a jar's outline beside it. */
export function Handbook() {
  return (
    <Svg width={124} height={98} viewBox="0 0 132 104" aria-hidden>
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

/** A folded leaflet held by a clip. */
export function Leaflet() {
  return (
    <Svg width={96} height={100} viewBox="0 0 104 108" aria-hidden>
      <Path d="M18 18L50 10V98L18 106Z" {...INK} />
      <Path d="M50 10L86 18V106L50 98Z" {...INK} />
      <Path d="M26 36L42 32M26 50L42 46M26 64L42 60M58 48L78 53M58 62L78 67M58 76L70 79" {...LINE} />
      <Path d="M40 12L44 2H56L60 12Z" fill={COLOURS.cobalt} />
      <Path d="M60 34L78 38" stroke={COLOURS.cobalt} strokeWidth={5} strokeLinecap="round" />
    </Svg>
  );
}

/** A box of cards standing open, one of them drawn up. */
export function RecipeBox() {
  return (
    <Svg width={96} height={100} viewBox="0 0 104 108" aria-hidden>
      <Path d="M26 14H82V70H26Z" {...INK} />
      <Path d="M34 26H62M34 38H74M34 48H70" {...LINE} />
      <Path d="M66 22H76V28H66Z" fill={COLOURS.cobalt} />
      <Path d="M12 56H92V104H12Z" {...INK} />
      <Path d="M12 56L20 46H84L92 56" {...LINE} fill="none" />
      <Path d="M40 76H64V88H40Z" {...LINE} fill="none" />
    </Svg>
  );
}

/** A sheet on a board, with the question on it, hung by its clip. */
export function Clipboard() {
  return (
    <Svg width={78} height={108} viewBox="0 0 86 118" aria-hidden>
      <Path d="M43 0V8" {...HOOK} />
      <Rect x={6} y={20} width={74} height={92} rx={4} {...INK} />
      <Path d="M28 22L34 9H52L58 22Z" fill={COLOURS.cobalt} />
      <Path d="M18 36H58M18 46H68M18 100H42" {...LINE} />
      <Path
        d="M33 66Q33 55 43 55Q54 55 54 65Q54 72 43 76V81"
        stroke={COLOURS.ink}
        strokeWidth={5}
        fill="none"
        strokeLinecap="round"
      />
      <Circle cx={43} cy={90} r={3.4} fill={COLOURS.ink} />
    </Svg>
  );
}

/** Four measuring spoons on a ring, one of them full of acid. */
export function SpoonRing() {
  return (
    <Svg width={88} height={108} viewBox="0 0 96 118" aria-hidden>
      <Path d="M48 0V8" {...HOOK} />
      <Path
        d="M48 16L18 58M48 16L30 74M48 16L50 84M48 16L74 78"
        stroke={COLOURS.ink}
        strokeWidth={4.4}
        strokeLinecap="round"
      />
      <Circle cx={48} cy={14} r={7} {...INK} fill="none" />
      <Circle cx={15} cy={62} r={8} {...INK} />
      <Circle cx={28} cy={80} r={9.5} {...INK} />
      <Circle cx={50} cy={94} r={12} {...INK} />
      <Circle cx={79} cy={90} r={15} {...INK} fill={COLOURS.acid} />
      <Path
        d="M72 84h.1M80 82h.1M86 88h.1M74 92h.1M82 96h.1M76 99h.1"
        stroke={COLOURS.ink}
        strokeWidth={2.6}
        strokeLinecap="round"
      />
    </Svg>
  );
}

export function WallThermometer() {
  return (
    <Svg width={70} height={108} viewBox="0 0 76 118" aria-hidden>
      <Path d="M30 0V6" {...HOOK} />
      <Circle cx={30} cy={9} r={4.6} {...INK} fill="none" />
      <Rect x={22} y={15} width={16} height={78} rx={8} {...INK} />
      <Circle cx={30} cy={98} r={14} fill={COLOURS.ink} />
      <Path d="M30 44V98" stroke={COLOURS.ink} strokeWidth={7} strokeLinecap="round" />
      <Path d="M38 26H50M38 38H46M38 50H50M38 62H46M38 74H50" stroke={COLOURS.ink} strokeWidth={2} />
      <Circle cx={64} cy={42} r={10} fill={COLOURS.boil} />
      <Circle cx={61} cy={44} r={2.2} fill={COLOURS.white} />
      <Circle cx={67} cy={39} r={2.2} fill={COLOURS.white} />
    </Svg>
  );
}

/** A ladle of syrup, dripping. */
export function Ladle() {
  return (
    <Svg width={84} height={108} viewBox="0 0 92 118" aria-hidden>
      <Path d="M14 12Q16 2 26 6V58" stroke={COLOURS.ink} strokeWidth={5} fill="none" strokeLinecap="round" />
      <Path d="M20 60H78Q76 96 49 96Q22 96 20 60Z" {...INK} />
      <Path d="M23 68Q34 62 48 68T75 68Q71 92 49 92Q27 92 23 68Z" fill="#A88000" />
      <Path d="M84 74Q88 84 84 88Q80 84 84 74Z" fill="#A88000" />
    </Svg>
  );
}

export function MeasuringJug() {
  return (
    <Svg width={96} height={100} viewBox="0 0 104 108" aria-hidden>
      <Path d="M4 6L16 14L24 106H70L78 14H16" {...INK} />
      <Path d="M18 54q6-5 12 0t12 0t12 0t12 0t8-1L70 104H26Z" fill={COLOURS.water} />
      <Path d="M18 54q6-5 12 0t12 0t12 0t12 0t8-1" stroke={COLOURS.waterLine} strokeWidth={2.2} fill="none" />
      <Path d="M24 32H38M25 46H34M26 66H38M27 80H34M28 94H38" stroke={COLOURS.ink} strokeWidth={2.2} />
      <Path d="M78 30Q100 30 98 54Q96 78 73 80" stroke={COLOURS.ink} strokeWidth={6} fill="none" />
      <Text x={46} y={38} fontFamily="Atkinson700" fontSize={14} fill={COLOURS.ink}>
        cups
      </Text>
    </Svg>
  );
}

/** A bottle of vinegar beside a jug of water of the same width. */
export function Bottle() {
  return (
    <Svg width={104} height={100} viewBox="0 0 112 108" aria-hidden>
      <Rect x={17} y={0} width={16} height={10} fill={COLOURS.ink} />
      <Path d="M19 10V28Q6 38 6 50V106H44V50Q44 38 31 28V10Z" {...INK} />
      <Path d="M7 60H43V105H7Z" fill={COLOURS.acid} />
      <Path
        d="M14 70h.1M24 76h.1M34 70h.1M18 86h.1M30 90h.1M38 82h.1M12 96h.1M24 100h.1"
        stroke={COLOURS.ink}
        strokeWidth={2.6}
        strokeLinecap="round"
      />
      <Path d="M56 40L62 46V106H98V46H62" {...INK} />
      <Path d="M63 62q6-4 12 0t12 0t10-1V105H63Z" fill={COLOURS.water} />
      <Path d="M63 62q6-4 12 0t12 0t10-1" stroke={COLOURS.waterLine} strokeWidth={2.2} fill="none" />
      <Path d="M98 56Q110 56 110 72Q110 88 98 88" stroke={COLOURS.ink} strokeWidth={5} fill="none" />
    </Svg>
  );
}

export function ClockFace() {
  return (
    <Svg width={92} height={100} viewBox="0 0 100 108" aria-hidden>
      <Path d="M50 14V5M40 4H60M24 92L16 106M76 92L84 106" stroke={COLOURS.ink} strokeWidth={5} strokeLinecap="round" />
      <Circle cx={50} cy={56} r={40} {...INK} />
      <Path d="M50 22v6M84 56h-6M50 90v-6M16 56h6" stroke={COLOURS.ink} strokeWidth={3} />
      <Path d="M50 56V32M50 56H70" stroke={COLOURS.ink} strokeWidth={4.6} strokeLinecap="round" />
      <Path d="M80 60Q76 82 54 84" stroke={COLOURS.cobalt} strokeWidth={7} fill="none" />
      <Path d="M60 76L48 85L61 93Z" fill={COLOURS.cobalt} />
    </Svg>
  );
}

/** Scales with a basket on one pan and jars on the other. */
export function Scales() {
  return (
    <Svg width={156} height={104} viewBox="0 0 168 112" aria-hidden>
      <Path d="M40 46L128 36M84 41V84" stroke={COLOURS.ink} strokeWidth={6} strokeLinecap="round" />
      <Path d="M66 111L72 90H96L102 111Z" {...INK} />
      <Circle cx={84} cy={68} r={16} {...INK} />
      <Path d="M84 68L92 58" stroke={COLOURS.cobalt} strokeWidth={3.4} strokeLinecap="round" />
      <Path d="M10 48H70L62 58H18ZM98 36H158L150 46H106Z" {...INK} />
      <Path d="M16 26H64L58 48H22Z" {...INK} />
      <Circle cx={28} cy={20} r={8} fill="#A6211B" />
      <Circle cx={42} cy={14} r={8} fill="#A6211B" />
      <Circle cx={54} cy={21} r={8} fill="#A6211B" />
      {[106, 130].map((x) => (
        <Path
          key={x}
          d={`M${x} 8V34H${x + 20}V8Q${x + 18} 5 ${x + 17} 2H${x + 3}Q${x + 2} 5 ${x} 8Z`}
          {...INK}
          stroke="#A6211B"
        />
      ))}
    </Svg>
  );
}

/** A pot with a rule standing in it. */
export function PotAndRule() {
  return (
    <Svg width={140} height={104} viewBox="0 0 150 112" aria-hidden>
      <Path d="M22 30V100Q22 110 32 110H118Q128 110 128 100V30" {...INK} />
      <Path
        d="M24 74q7-5 14 0t14 0t14 0t14 0t14 0t14 0t14 0t4-1V100Q126 108 118 108H32Q24 108 24 100Z"
        fill="#2F6B33"
      />
      <Path d="M14 30H136" stroke={COLOURS.cobalt} strokeWidth={7} strokeLinecap="round" />
      <Path
        d="M22 44H10V66H22M128 44H140V66H128"
        stroke={COLOURS.cobalt}
        strokeWidth={6}
        fill="none"
        strokeLinejoin="round"
      />
      <Rect x={64} y={4} width={24} height={102} rx={3} {...INK} />
      <Path d="M64 24H72M64 42H78M64 60H72M64 78H78M64 94H72" stroke={COLOURS.ink} strokeWidth={2.4} />
    </Svg>
  );
}
