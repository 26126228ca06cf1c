import { type Batch, jarsWords, nameOf } from '@hoddle/core/day/batch';
import { type DayChange } from '@hoddle/core/kitchen/dayChange';
import { otherProducts } from '@hoddle/core/kitchen/otherProducts';
import { begunOf, joinFaultNow } from '@hoddle/core/kitchen/potChanges';
import { potForm } from '@hoddle/core/recipe/potForm';
import { outputsOf } from '@hoddle/core/recipe/potOutputs';
import { useRouter } from 'expo-router';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { usePages } from '@/household/process/usePages';
import { KitchenKey } from '@/ui/KitchenKey';

interface PotsPartProps {
  day: Day;
  live: LiveDay;
  onChoose: (words: string, change: DayChange) => void;
  /** It is asked what else this batch may become. */
  onOther: (batchId: string) => void;
}

/** What can become of pots while they cook: poured together, made into something else, ladled off though nobody planned it. */
export function PotsPart({ day, live, onChoose, onOther }: PotsPartProps) {
  const router = useRouter();
  const pages = usePages();
  const { running, progress } = live;
  const waiting = day.batches.filter(({ loads }) => loads.every(({ id }) => !progress.cannerOf.has(id)));
  const pairs = waiting.flatMap((pot, i) =>
    waiting
      .slice(i + 1)
      .filter((other) => joinFaultNow(pot, other, running, progress) === undefined)
      .map((other) => [pot, other] as const),
  );
  const named = (batch: Batch) => potName(batch, day.batches);
  const begun = (batch: Batch) => begunOf(batch.id, running, progress);
  return (
    <>
      {pairs.map(([pot, other]) => (
        <KitchenKey
          key={`${pot.id} ${other.id}`}
          look="outline"
          words={`Pour two pots together: ${nameOf(pot).toLowerCase()}`}
          note={[pot, other].map((each) => `${potNumber(each, day.batches)}: ${jarsWords(each)}`).join('; ')}
          onPress={() =>
            onChoose(`One pot of ${nameOf(pot).toLowerCase()}`, {
              kind: 'pots',
              told: [{ type: 'pots-joined', batchId: pot.id, withId: other.id }],
              over: [],
            })
          }
        />
      ))}
      {waiting
        .filter((batch) => begun(batch).length > 0 && otherProducts(batch, begun(batch), pages).length > 0)
        .map((batch) => (
          <KitchenKey
            key={`other ${batch.id}`}
            look="outline"
            words={`It becomes something else: ${named(batch)}`}
            onPress={() => onOther(batch.id)}
          />
        ))}
      {waiting
        .filter((batch) => isLadledUnplanned(batch, day) && isSoft(begun(batch)))
        .map((batch) => (
          <KitchenKey
            key={`ladled ${batch.id}`}
            look="outline"
            words={`${outputsOf(batch.product)[0]?.words.replace(/^./, (first) => first.toUpperCase())} was ladled off: ${named(batch)}`}
            onPress={() => router.navigate({ pathname: '/kitchen/ladled', params: { batch: batch.id } })}
          />
        ))}
    </>
  );
}

/** A batch by its name; of several of that name by which pot it is. */
export function potName(batch: Batch, batches: readonly Batch[]): string {
  const name = nameOf(batch).toLowerCase();
  return alike(batch, batches).length > 1 ? `${name}, ${potNumber(batch, batches)}` : name;
}

/** "pot 2", of those with its name. */
function potNumber(batch: Batch, batches: readonly Batch[]): string {
  return `pot ${alike(batch, batches).findIndex(({ id }) => id === batch.id) + 1}`;
}

function alike(batch: Batch, batches: readonly Batch[]): Batch[] {
  return batches.filter((other) => nameOf(other) === nameOf(batch));
}

/** Nothing stands over fruit that was not heated; once it is in its jars it may still be told. */
function isSoft(begun: readonly string[]): boolean {
  return begun.length > 0 && (potForm(begun)?.softened ?? true);
}

/** Something could come off its pot, and nothing is planned to. */
function isLadledUnplanned({ id, product, gives = [] }: Batch, day: Day): boolean {
  return outputsOf(product).length > 0 && gives.length === 0 && day.batches.every(({ from }) => from?.batchId !== id);
}
