import { produceRow } from '@hoddle/core/handbook/produce';
import { type GardenLook, usualKg } from '@hoddle/core/harvest/planting';
import { picksOfPlanting } from '@hoddle/core/harvest/picksOfPlanting';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { dayAndDate } from '@/ui/clockWords';
import { COLOURS, hueOfCrop } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { BedCurve } from './BedCurve';
import { countWords, courseWords, rangeWords, weekWords } from '@/household/harvest/bedWords';
import { type BedForecast, useForecasts, weekAt } from '@/household/harvest/useForecasts';

/** One bed or tree: its season drawn, what it still gives, and what the cook saw there. */
export function BedScreen({ plantingId }: { plantingId: string }) {
  const bed = useForecasts().find(({ planting }) => planting.id === plantingId);
  if (!bed) {
    return (
      <Screen station="harvest" title="No such bed" backTo="/harvest/garden">
        <Words>It was struck out. Its picks are still there.</Words>
      </Screen>
    );
  }
  return <Bed bed={bed} />;
}

function Bed({ bed }: { bed: BedForecast }) {
  const router = useRouter();
  const now = useNow(60_000);
  const mass = useMassWords();
  const units = useUnits();
  const enter = useHouseholdStore((store) => store.enter);
  const { planting, forecast, year } = bed;
  const { firstWeek, peakWeek, lastWeek } = planting;
  const look = (kind: GardenLook['kind']) =>
    enter({ kind: 'look', look: { id: uuidV7(), plantingId: planting.id, kind, at: householdNow() } });
  const week = weekAt(bed, now);
  return (
    <Screen
      station="harvest"
      title={planting.name}
      note={`${countWords(planting)} of ${produceRow(planting.crop).name.toLowerCase()}`}
      backTo="/harvest/garden"
      headSide={
        <TextKey
          words="Change"
          label={`Change ${planting.name}`}
          onPress={() =>
            router.navigate({ pathname: '/harvest/garden/[plantingId]/edit', params: { plantingId: planting.id } })
          }
        />
      }
      foot={<Key tall words="What came in?" onPress={() => router.navigate('/harvest/pick')} />}
    >
      <View className="max-w-[640px] gap-3">
        <View>
          <Words size="head" weight={800}>
            {rangeWords(forecast.remainingKg, units)} to come
          </Words>
          <Words>
            {mass(forecast.pickedKg)} picked this year. {capital(courseWords(forecast))}.
          </Words>
        </View>
        <BedCurve bed={bed} now={now} full />
        <CurveLegend hue={hueOfCrop(planting.crop).hue} />
        {week && week.expectedKg.p90 > 0.1 && (
          <Words>
            <Words weight={700}>Still to come this week:</Words> {rangeWords(week.expectedKg, units)}
          </Words>
        )}
        <Words tone="ink-2">
          Set up for {weekWords(year, firstWeek)}, fullest {weekWords(year, peakWeek)}, last {weekWords(year, lastWeek)}
          ; {mass(usualKg(planting))} a year {planting.usualKg === null ? 'by common practice' : 'as you said'}. A week
          without a pick written down is no sign of anything; say so when nothing is ripe.
        </Words>
        <View className="flex-row flex-wrap gap-3">
          <Key look="outline" words="Looked: nothing ripe" onPress={() => look('nothing-ripe')} />
          <Key look="outline" words="Done for this year" onPress={() => look('finished')} />
        </View>
        <Looks bed={bed} />
        <Pickings bed={bed} />
      </View>
    </Screen>
  );
}

function CurveLegend({ hue }: { hue: string }) {
  return (
    <View className="flex-row flex-wrap items-center gap-x-3 gap-y-1">
      <Legend words="picked">
        <Rect x={2} y={3} width={18} height={10} fill={hue} />
      </Legend>
      <Legend words="likely, 8 in 10">
        <Rect x={2} y={6} width={18} height={8} fill="none" stroke={hue} strokeWidth={1.4} />
        <Line x1={11} y1={1} x2={11} y2={14} stroke={COLOURS.cobalt} strokeWidth={2.2} />
        <Circle cx={11} cy={6} r={3.4} fill={COLOURS.cobalt} />
      </Legend>
      <Legend words="as set up">
        <Line x1={1} y1={8} x2={21} y2={8} stroke={COLOURS.ink} strokeWidth={1.6} strokeDasharray="4 4" />
      </Legend>
      <Legend words="today">
        <Line x1={11} y1={1} x2={11} y2={15} stroke={COLOURS.ink} strokeWidth={2} />
      </Legend>
    </View>
  );
}

function Legend({ words, children }: { words: string; children: React.ReactNode }) {
  return (
    <View className="flex-row items-center gap-1">
      <Svg width={22} height={16} aria-hidden>
        {children}
      </Svg>
      <Words size="label" tone="ink-2">
        {words}
      </Words>
    </View>
  );
}

function Looks({ bed: { planting, forecast } }: { bed: BedForecast }) {
  const enter = useHouseholdStore((store) => store.enter);
  const { gardenLooks } = useHousehold();
  const own = gardenLooks
    .filter(({ plantingId, at }) => plantingId === planting.id && at > forecast.season.startAt - 90 * 86_400_000)
    .sort((a, b) => b.at - a.at);
  return (
    <View>
      {own.map(({ id, kind, at }) => (
        <View key={id} className="min-h-[48px] flex-row items-center border-t border-hair">
          <Words className="flex-1">
            {dayAndDate(at)}: {kind === 'finished' ? 'done for this year' : 'nothing ripe'}
          </Words>
          <TextKey
            words="Take back"
            label={`Take back: ${kind === 'finished' ? 'done for this year' : 'nothing ripe'}, ${dayAndDate(at)}`}
            onPress={() => enter({ kind: 'look-struck', lookId: id })}
          />
        </View>
      ))}
    </View>
  );
}

function Pickings({ bed: { planting, year } }: { bed: BedForecast }) {
  const mass = useMassWords();
  const { plantings, picks } = useHousehold();
  const seasons = [...picksOfPlanting(planting, plantings, picks)].sort(([a], [b]) => b - a);
  if (seasons.length === 0) return null;
  return (
    <View>
      <Heading className="pb-1">Picked so far</Heading>
      {seasons.map(([each, own]) => (
        <Words key={each} className="border-t border-hair py-2">
          <Words weight={700}>{each}: </Words>
          {mass(own.reduce((sum, { massKg }) => sum + massKg, 0))}
          {each === year ? `, ${own.map(({ at, massKg }) => `${mass(massKg)} ${shortDay(at)}`).join(', ')}` : ''}
        </Words>
      ))}
    </View>
  );
}

function shortDay(at: number): string {
  return dayAndDate(at).replace(/^\w+ /, '');
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
