import { type Canner } from '@hoddle/core/canner/canner';
import { type LoadStyle } from '@hoddle/core/canner/splitLoads';
import { countJars, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { View } from 'react-native';
import { type DayEndsAt } from '@/household/day/useDayEnds';
import { Choice } from '@/ui/Choice';
import { clockTimeFrom } from '@/ui/clockWords';
import { type Mark } from '@/ui/colours';
import { JarTray } from '@/ui/JarTray';
import { CountStepper } from '@/ui/CountStepper';
import { Heading, Words } from '@/ui/Words';

interface LoadsPartProps {
  colours: { hue: string; mark: Mark };
  jar: JarSize;
  jars: number;
  loads: readonly number[];
  perLoad: number;
  canner: Canner;
  style: LoadStyle;
  /** When the day would be over with each way of parting them, while there is more than one; undefined until found. */
  endsAt: ReadonlyMap<LoadStyle, DayEndsAt>;
  startAt: number;
  onStyle: (style: LoadStyle) => void;
  onJars: (jars: number) => void;
}

const STYLE_WORDS: Readonly<Record<LoadStyle, string>> = {
  full: 'full loads first',
  even: 'evened out',
  beside: 'to fit each canner',
};

/** More than this in one day is a slip of the finger. */
const MOST_A_DAY = 150;

/** How many jars in how many canner loads: full ones with the rest in the last, evened out, or to go in side by side. */
export function LoadsPart({
  colours,
  jar,
  jars,
  loads,
  perLoad,
  canner,
  style,
  endsAt,
  startAt,
  onStyle,
  onJars,
}: LoadsPartProps) {
  const count = `${loads.length} ${loads.length === 1 ? 'load' : 'loads'}`;
  return (
    <View className="gap-3">
      <View className="flex-row items-baseline justify-between">
        <Heading>{count}</Heading>
        <Words size="label" tone="ink-2">
          {canner.name} holds {perLoad} {JARS[jar].several}
        </Words>
      </View>
      <CountStepper
        label="Jars to fill"
        count={jars}
        of={jars === 1 ? JARS[jar].one : JARS[jar].several}
        least={1}
        most={MOST_A_DAY}
        onCount={onJars}
      />
      <View className="flex-row flex-wrap gap-x-4 gap-y-2" role="list" aria-label={`${count}: ${loads.join(', ')}`}>
        {loads.map((load, i) => (
          <View key={i} role="listitem" className="items-start">
            <JarTray size={jar} jars={load} places={perLoad} quartPx={30} {...colours} />
            <Words size="label" tone="ink-2">
              {i + 1}: {countJars(load, jar)}
            </Words>
          </View>
        ))}
      </View>
      {endsAt.size > 0 && (
        <Choice
          label="How the loads are split"
          value={style}
          onChoose={onStyle}
          options={[...endsAt].map(([value, at]) => ({
            value,
            words: STYLE_WORDS[value],
            note: endWords(at, startAt),
          }))}
        />
      )}
    </View>
  );
}

function endWords(at: DayEndsAt, startAt: number): string {
  if (at === 'none') return 'no plan found';
  return at === undefined ? 'day over at ...' : `day over ${clockTimeFrom(at, startAt)}`;
}
