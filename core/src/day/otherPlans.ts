import { type LoadStyle, partLoads } from '../canner/splitLoads';
import { type Batch, isCanned, jarsOf, type PlannedLoad } from './batch';
import { stepsOfBatch } from './daySequence';
import { placesFor } from './inTheCanner';
import { type DayQuestion } from './questionOfDay';

/** Another way to do a day, to lay beside the one it is. */
export type OtherPlan =
  /** Without one of the cooks. */
  | { readonly kind: 'without'; readonly cook: string }
  /** With one more pair of hands, as long as the first. */
  | { readonly kind: 'helper' }
  /** Loads as full as can be, or as even, or so that they fit into canners side by side. */
  | { readonly kind: 'loads'; readonly style: LoadStyle }
  /** A batch in its other pack, with that one's tested time. */
  | { readonly kind: 'pack'; readonly batch: Batch }
  /** A step left out that the card leaves to the cook. */
  | { readonly kind: 'leave-out'; readonly batchId: string; readonly step: string }
  /** One more canner like this one. */
  | { readonly kind: 'borrow'; readonly likeCannerId: string }
  /** Nothing else to do, and nothing wished. */
  | { readonly kind: 'plain' };

/** The day as it would be that way; undefined where that is no other way. */
export function otherQuestion(question: DayQuestion, other: OtherPlan): DayQuestion | undefined {
  const { setup, canners, batches } = question;
  const { cooks } = setup;
  switch (other.kind) {
    case 'without': {
      const left = cooks.filter(({ name }) => name !== other.cook);
      return left.length > 0 && left.length < cooks.length
        ? { ...question, setup: { ...setup, cooks: left } }
        : undefined;
    }
    case 'helper': {
      const [first] = cooks;
      // A helper comes for this day: what the cook does besides is not the helper's.
      return first && { ...question, setup: { ...setup, cooks: [...cooks, { ...first, name: 'Helper', breaks: [] }] } };
    }
    case 'leave-out': {
      const batch = batches.find(({ id }) => id === other.batchId);
      if (!batch || !leftToCook(batch).includes(other.step)) return undefined;
      const without = [...(batch.without ?? []), other.step];
      return { ...question, batches: batches.map((each) => (each === batch ? { ...batch, without } : each)) };
    }
    case 'pack':
      return batches.some(({ id }) => id === other.batch.id)
        ? { ...question, batches: batches.map((each) => (each.id === other.batch.id ? other.batch : each)) }
        : undefined;
    case 'borrow': {
      const like = canners.find(({ id }) => id === other.likeCannerId);
      return like && { ...question, canners: [...canners, { ...like, id: `${like.id} borrowed` }] };
    }
    case 'loads': {
      const parted = batches.map((batch) => partedAnew(batch, other.style, question));
      return parted.some((batch, k) => batch !== batches[k]) ? { ...question, batches: parted } : undefined;
    }
    case 'plain': {
      const { wishes, errands, overByMin, ...plain } = question;
      const breaks = cooks.some((cook) => cook.breaks.length > 0);
      if (!wishes && overByMin === undefined && !breaks && !errands?.set.length) return undefined;
      return { ...plain, setup: { ...setup, cooks: cooks.map((cook) => ({ ...cook, breaks: [] })) } };
    }
  }
}

/** Steps of a batch that are in its day and that its card leaves to the cook. */
export function leftToCook(batch: Batch): string[] {
  return stepsOfBatch(batch).flatMap(({ entry, optional }) => (optional ? [entry] : []));
}

/** The same jars parted in another way, into no more loads unless side by side; of several sizes, or with guests, as it is. */
function partedAnew(batch: Batch, style: LoadStyle, { canners, ownJars = [] }: DayQuestion): Batch {
  const { loads } = batch;
  const [first] = loads;
  if (!isCanned(batch) || !first || loads.some(({ size, withLoadId }) => size || withLoadId !== undefined))
    return batch;
  const into = style === 'beside' ? canners : canners.filter(({ id }) => id === batch.cannerId);
  const places = placesFor(batch, into, ownJars);
  if (places.length === 0) return batch;
  const counts = partLoads(jarsOf(batch), places, style);
  if (style !== 'beside' && counts.length > loads.length) return batch;
  if (counts.length === loads.length && counts.every((jars, k) => jars === loads[k]?.jars)) return batch;
  const more = (k: number): PlannedLoad => ({ ...first, id: `${first.id} and ${k}`, number: k + 1 });
  return { ...batch, loads: counts.map((jars, k): PlannedLoad => ({ ...(loads[k] ?? more(k)), jars })) };
}
