import { type Batch, nameOf, jarCounts } from '@hoddle/core/day/batch';
import { HANDS } from '@hoddle/core/day/dayProblem';
import { countJars, type JarSize } from '@hoddle/core/handbook/jars';
import { closeBatch } from '@hoddle/core/kitchen/closeBatch';
import { type LoadState } from '@hoddle/core/kitchen/loadState';
import { printFraction } from '@hoddle/core/measure/fraction';
import { besideLot } from '@hoddle/core/pantry/coldLot';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { idOfWords, useJarsIn } from '@/household/pantry/useJarsIn';
import { useHousehold } from '@/store/useHousehold';
import { clockTimeFrom, dayAndDate } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useLoads } from '@/household/kitchen/useLoad';

/** "loads 1 and 3" of a batch, by the numbers of the day: two batches of one product are told apart. */
export function loadsOf(batch: Batch, day: Day): string {
  const numbers = day.loads.flatMap(({ id }, i) => (batch.loads.some((load) => load.id === id) ? [i + 1] : []));
  if (numbers.length === 0) return '';
  return numbers.length === 1 ? `load ${numbers[0]}` : `loads ${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;
}

/** At the close every jar is somewhere: out of its canner, beside what was written down; part jars and other sizes kept cold. */
export function JarsSomewhere({ day }: { day: Day }) {
  const states = new Map(useLoads().map(({ load, state }) => [load.id, state] as const));
  const first = (batch: Batch) => day.loads.findIndex(({ id }) => batch.loads.some((load) => load.id === id));
  const inOrder = [...day.batches].sort((a, b) => first(a) - first(b));
  return (
    <View role="list" aria-label="Every jar" className="gap-2">
      {inOrder.map((batch) => (
        <BatchRow key={batch.id} batch={batch} day={day} states={states} />
      ))}
    </View>
  );
}

function BatchRow({ batch, day, states }: { batch: Batch; day: Day; states: ReadonlyMap<string, LoadState> }) {
  const { batchRecords } = useHousehold();
  const record = batchRecords.find(({ batchId }) => batchId === batch.id);
  const { out, broken, written, besides, partJar } = closeBatch(batch, states, record);
  const loads = loadsOf(batch, day);
  const differs = written !== undefined && written !== out;
  return (
    <View role="listitem" className="gap-2 border-t-2 border-granite-line py-2">
      <Words size="lead" weight={700} tone="milk">
        {nameOf(batch)}
        {loads === '' ? '' : `, ${loads}`}: {outWords(batch, out)} out{broken > 0 ? `, ${broken} broke` : ''}
        {written === undefined ? '' : `, ${written} written down`}
      </Words>
      {differs && (
        <Words role="alert" size="lead" tone="milk">
          These differ: look at the towel, and put right what was written down.
        </Words>
      )}
      {toldBefore(batch, day).map(({ id, words, endedAt }) => (
        <Words key={id} size="lead" tone="milk-2">
          “{words}” was done before, over {clockTimeFrom(endedAt, day.startAt)}.
        </Words>
      ))}
      {record && partJar && (
        <IntoTheCold batch={batch} recordId={record.id} jar={partJar.jar} jars={1} part={partJar.part} />
      )}
      {record &&
        besides.map(({ jar, count }) => (
          <IntoTheCold key={jar} batch={batch} recordId={record.id} jar={jar} jars={count} />
        ))}
    </View>
  );
}

/** Waits of a batch that were over before anybody told: when, as it was said. */
function toldBefore(batch: Batch, { live, state }: Day): { id: string; words: string; endedAt: number }[] {
  const own = (live?.running.tasks ?? []).filter(({ batchId, needs }) => batchId === batch.id && !needs[HANDS]);
  return own.flatMap(({ id, words }) => {
    const [end] = (state.steps.get(id)?.ends ?? []).filter(({ toldAt }) => toldAt !== undefined);
    return end ? [{ id, words, endedAt: end.at }] : [];
  });
}

/** Jars that went into no canner: into the refrigerator, once, with the day they are eaten by. */
function IntoTheCold({
  batch,
  recordId,
  jar,
  jars,
  part,
}: {
  batch: Batch;
  recordId: string;
  jar: JarSize;
  jars: number;
  part?: number;
}) {
  const put = useJarsIn();
  const { lots } = useHousehold();
  const id = idOfWords(`${recordId} ${jar} ${part ?? 'full'} in the refrigerator`);
  const stands = lots.find((lot) => lot.id === id);
  const what = part === undefined ? countJars(jars, jar) : `The jar that is ${printFraction(part, 4)} full`;
  if (stands) {
    return (
      <Words size="lead" tone="milk-2">
        {what}: in the refrigerator, eaten by {dayAndDate(stands.keepsUntil)}.
      </Words>
    );
  }
  return (
    <KitchenKey
      look="outline"
      words={`${what}: into the refrigerator`}
      onPress={() => put([{ lot: besideLot(batch, jar, id), jars }])}
    />
  );
}

/** "21 quarts"; of several sizes only how many jars. */
function outWords(batch: Batch, out: number): string {
  const [only, ...others] = jarCounts(batch);
  return only && others.length === 0 ? countJars(out, only.jar) : `${out} jars`;
}
