import { timedUses } from '@hoddle/core/day/timedUses';
import { countJars } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { lookBack, type YearBack } from '@hoddle/core/season/report/lookBack';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { COLOURS } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';

/** Products named of a year; the rest is one line. */
const MOST_NAMED = 6;

/** What the years came to, side by side. */
export function YearsScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const mass = useMassWords();
  const { picks, batches, lotChanges, batchRecords, dayEvents, goals, household } = useHousehold();
  const years = useMemo(
    () => lookBack(picks, timedUses(batches), lotChanges, batchRecords, dayEvents, goals, household.kitchen.timeZone),
    [picks, batches, lotChanges, batchRecords, dayEvents, goals, household],
  );
  return (
    <Screen station="plan" title="Years so far" note="what came in, and what became of it" backTo="/plan/season">
      <View className="gap-4">
        {years.length === 0 && <Words>With the first picks and jars, this page fills.</Words>}
        {years.length > 0 && (
          <View className="max-w-[640px] gap-3">
            <Bars
              years={years}
              heading="Came in, and saved of it (solid)"
              valueOf={({ cameInKg }) => cameInKg}
              partOf={({ savedKg }) => savedKg}
              words={mass}
            />
            <Bars years={years} heading="Jars made" valueOf={({ jars }) => jars} words={(jars) => `${jars} jars`} />
          </View>
        )}
        <View className={wide ? 'flex-row flex-wrap gap-4' : 'gap-4'}>
          {[...years].reverse().map((year) => (
            <YearPlate key={year.year} year={year} />
          ))}
        </View>
        <Key look="outline" words="All of it as tables" onPress={() => router.navigate('/shelf/files')} />
      </View>
    </Screen>
  );
}

function YearPlate({
  year: { year, cameInKg, savedPart, jars, byProduct, hours, goalsMet, goals },
}: {
  year: YearBack;
}) {
  const router = useRouter();
  const mass = useMassWords();
  const named = byProduct.slice(0, MOST_NAMED);
  const others = byProduct.slice(MOST_NAMED).reduce((sum, each) => sum + each.jars, 0);
  return (
    <Plate className="min-w-[300px] gap-1">
      <Heading>{year}</Heading>
      <Words>
        {mass(cameInKg)} in, {Math.round(savedPart * 100)} % saved; {jars} jars
        {hours >= 1 ? `; ${Math.round(hours)} h on preserving days` : ''}
      </Words>
      {goals > 0 && (
        <Words>
          {goalsMet} of {goals} of today’s goals made in that year
        </Words>
      )}
      {named.map(({ product, jar, jars: count }) => (
        <Words key={`${product} ${jar}`} size="label" tone="ink-2">
          {countJars(count, jar)} {productRow(product).name.toLowerCase()}
        </Words>
      ))}
      {others > 0 && (
        <Words size="label" tone="ink-2">
          {others} jars of others
        </Words>
      )}
      {jars > 0 && (
        <SmallKey
          words="The year book"
          label={`The year book of ${year}`}
          onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'year', year: String(year) } })}
        />
      )}
    </Plate>
  );
}

const BAR_PX = 26;
const LABEL_PX = 50;
const FIGURE_PX = 92;

function Bars({
  years,
  heading,
  valueOf,
  partOf,
  words,
}: {
  years: readonly YearBack[];
  heading: string;
  valueOf: (year: YearBack) => number;
  partOf?: (year: YearBack) => number;
  words: (value: number) => string;
}) {
  const [width, setWidth] = useState(358);
  const most = Math.max(1e-6, ...years.map(valueOf));
  const px = (value: number) => (value / most) * (width - LABEL_PX - FIGURE_PX);
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Words weight={700}>{heading}</Words>
      <Svg
        width={width}
        height={years.length * BAR_PX}
        role="img"
        aria-label={years.map((year) => `${year.year}: ${words(valueOf(year))}`).join(', ')}
      >
        {years.map((year, i) => (
          <YearBar key={year.year} y={i * BAR_PX} year={year} px={px} {...{ valueOf, partOf, words }} />
        ))}
      </Svg>
    </View>
  );
}

function YearBar({
  y,
  year,
  px,
  valueOf,
  partOf = valueOf,
  words,
}: {
  y: number;
  year: YearBack;
  px: (value: number) => number;
  valueOf: (year: YearBack) => number;
  partOf?: (year: YearBack) => number;
  words: (value: number) => string;
}) {
  return (
    <>
      <SvgText x={0} y={y + 18} fill={COLOURS.ink} fontSize={15} fontFamily="Atkinson700">
        {year.year}
      </SvgText>
      <Rect x={LABEL_PX} y={y + 5} width={px(valueOf(year))} height={16} fill={COLOURS.plate} stroke={COLOURS.cobalt} />
      <Rect x={LABEL_PX} y={y + 5} width={px(partOf(year))} height={16} fill={COLOURS.cobalt} />
      <Line x1={LABEL_PX} y1={y} x2={LABEL_PX} y2={y + BAR_PX} stroke={COLOURS.ink} strokeWidth={1.6} />
      <SvgText
        x={LABEL_PX + px(valueOf(year)) + 6}
        y={y + 18}
        fill={COLOURS.ink}
        fontSize={15}
        fontFamily="Atkinson500"
      >
        {words(valueOf(year))}
      </SvgText>
    </>
  );
}
