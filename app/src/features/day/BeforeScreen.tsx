import { type CannerMethod, isPressure } from '@hoddle/core/canner/canner';
import { type Way } from '@hoddle/core/process/method';
import { type BatchAmounts } from '@hoddle/core/day/amountsOfBatch';
import { type Batch, nameOf, jarsWords, jarCounts } from '@hoddle/core/day/batch';
import { fullestOfBatch } from '@hoddle/core/day/potsOfBatch';
import { potWords } from '@hoddle/core/measure/volumeWords';
import { beforeYouStart } from '@hoddle/core/day/beforeYouStart';
import { madeBefore } from '@hoddle/core/day/daySequence';
import { countJars, type JarSize } from '@hoddle/core/handbook/jars';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { DosePart } from '@/ui/DosePart';
import { usePages } from '@/household/process/usePages';
import { MissingLines } from '@/household/recipe/MissingLines';
import { RecipeSheet } from '@/household/recipe/RecipeSheet';
import { TakeLater } from '@/household/recipe/TakeLater';
import { useUnits } from '@/store/useUnits';
import { sheetOfBatch } from '@/household/recipe/sheetOf';
import { useBatchAmounts, useMissingOf } from '@/household/recipe/useBatchAmounts';
import { useHousehold } from '@/store/useHousehold';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { Line, Part } from './ReadyLists';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';

/** What must lie ready before the day begins: jars, lids, canners, tools, and what goes into the pots. */
export function BeforeScreen() {
  const day = useDay();
  return (
    <Screen station="plan" title="Before you start" backTo="/plan">
      {day ? <Lists day={day} /> : <Words>Nothing is planned yet.</Words>}
    </Screen>
  );
}

function Lists({ day }: { day: Day }) {
  const wide = useIsWide();
  const { household } = useHousehold();
  const used = household.canners.filter(({ id }) => day.loads.some(({ cannerId }) => cannerId === id));
  const wayIn = (cannerId: string) => day.loads.find((load) => load.cannerId === cannerId)?.batch.method;
  const { jars, lids, tools } = beforeYouStart(day.batches);
  const all = jars.reduce((sum, entry) => sum + entry.jars, 0);
  const { towelJars } = household.kitchen;
  return (
    <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
      <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
        <Part title="Jars, washed and hot">
          {jars.map(({ jar, jars: count, spare, sterile }) => (
            <Line key={jar}>
              {countJars(count, jar)} and {spare} to spare. Rims without chips, bottoms without cracks.
              {sterile &&
                ` ${countJars(sterile.jars, jar)} boiled ${sterile.minutes} min, covered by 1 in of water, within the hour before they are filled.`}
            </Line>
          ))}
          {lids.map(({ mouth, lids: count }) => (
            <Line key={mouth}>
              {count} new {mouth} lids; bands that turn freely.
            </Line>
          ))}
          {all > towelJars && (
            <Line>
              {all} jars cool an inch apart: your towels hold {towelJars}. Clear more room.
            </Line>
          )}
        </Part>
        {used.length > 0 && (
          <Part title="On the stove">
            {used.map(({ id, name, method }) => (
              <Line key={name}>
                {name}, its rack in, {waterWords(method, wayIn(id))}.
              </Line>
            ))}
          </Part>
        )}
        <Part title="On the towel">
          {tools.map((tool) => (
            <Line key={tool}>{tool}</Line>
          ))}
        </Part>
      </View>
      <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
        {day.batches.map((batch) => (
          <BatchDoses key={batch.id} batch={batch} dayId={day.id} />
        ))}
      </View>
    </View>
  );
}

const OF_WORDS = { batch: '', load: 'Each load: ', pot: 'Each pot: ' } as const;

/** How much of a batch stands over the fire at its fullest moment, and in how many of the household's pots. */
function PotLine({ batch, amounts }: { batch: Batch; amounts: BatchAmounts }) {
  const { kitchen } = useHousehold().household;
  const units = useUnits();
  const fullest = fullestOfBatch(batch, amounts, kitchen);
  if (!fullest) return null;
  const { pots = 1, ml, isOver } = fullest;
  return (
    <Words weight={isOver ? 700 : 400}>
      {OF_WORDS[fullest.of]}
      {potWords(ml, units)} in the pot at its fullest{fullest.climbs ? ', since jam climbs as it boils' : ''}
      {pots > 1 ? `: ${pots} of your largest pots side by side` : ''}.
      {isOver && ` You have ${kitchen.bigPots}: cook one after the other, or plan smaller loads.`}
    </Words>
  );
}

function DoseOf({ batch, jar, jars }: { batch: Batch; jar: JarSize; jars: number }) {
  const row = findTestedRow({ ...batch, jar }, usePages());
  return row.kind === 'testedRow' ? <DosePart row={row} jar={jar} jars={jars} /> : null;
}

function BatchDoses({ batch, dayId }: { batch: Batch; dayId: string }) {
  const router = useRouter();
  const amounts = useBatchAmounts(batch);
  const missing = useMissingOf(batch);
  const name = nameOf(batch);
  return (
    <View role="group" aria-label={name} className="gap-2">
      <Heading>
        {name}: {jarsWords(batch)}
      </Heading>
      {jarCounts(batch).map(({ jar, count }) => (
        <DoseOf key={jar} batch={batch} jar={jar} jars={count} />
      ))}
      {amounts && (
        <>
          {madeBefore(amounts.card).map(({ entry, step }) => (
            <Words key={entry} weight={700}>
              Done by now: {step.plainWords.toLowerCase()}.
            </Words>
          ))}
          <PotLine batch={batch} amounts={amounts} />
          <RecipeSheet content={sheetOfBatch(amounts)} jar={batch.jar} missing={missing} />
          <MissingLines missing={missing} />
          <TakeLater batch={batch} dayId={dayId} />
          <SmallKey
            words="As a recipe card"
            label={`${name} as a recipe card`}
            onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'recipe', batch: batch.id } })}
          />
        </>
      )}
    </View>
  );
}

/** @param way what it is used for that day: a pressure canner may serve as a pot */
function waterWords(method: CannerMethod, way: Way = method): string {
  if (isPressure(way)) return '2 to 3 in of water, vent and gasket clean';
  if (isPressure(method)) return 'as a pot: water to the rack and more, weight off, lid laid on and never locked';
  return method === 'steam' ? 'water under the rack' : 'water to the rack and more';
}
