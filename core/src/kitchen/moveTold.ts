import { type Batch } from '../day/batch';
import { type DayWish, wishKey } from '../day/dayWish';
import { localDay } from '../measure/localTime';
import { type DayEvent } from './dayEvent';

type Told<Event> = Event extends DayEvent ? Omit<Event, 'id' | 'at'> : never;

/** What is told, and of which date. */
export type ToldOfDay = Told<Extract<DayEvent, { readonly type: 'batch-moved' | 'wish-made' | 'wish-dropped' }>>;

/** The plan that batches are moved out of. */
interface PlanLeft {
  /** The date under which all of it is told. */
  readonly id: string;
  readonly batches: readonly Pick<Batch, 'id'>[];
  readonly wishes: readonly DayWish[];
}

/**
 * What is told where batches are put off, or brought forward, so that the first of them begins at a moment; the others as long after it
 * as before. How they are processed, and in which canner, is wished of their new date; what else is wished of a plan goes with all of
 * its batches, and is wished no more of a date that nothing is left of.
 *
 * @param from the plan they stand in, where that is known
 */
export function moveTold(
  batches: readonly Batch[],
  to: number,
  from: PlanLeft | undefined,
  timeZone: string | undefined,
): ToldOfDay[] {
  const dateOf = (at: number) => localDay(at, timeZone);
  const by = to - Math.min(...batches.map(({ startAt }) => startAt));
  const moved = batches.map(({ id, startAt }): ToldOfDay => ({
    ...{ day: dateOf(startAt), type: 'batch-moved', batchId: id, startAt: startAt + by },
  }));
  const date = dateOf(to);
  if (!from || date === from.id) return moved;
  const isWhole = from.batches.every(({ id }) => batches.some((batch) => batch.id === id));
  const going = from.wishes.filter((wish) => isWhole || isAbout(wish, batches));
  return [
    ...moved,
    ...going
      .filter(({ kind }) => kind !== 'not-before')
      .map((wish): ToldOfDay => ({ day: date, type: 'wish-made', wish })),
    ...going.map((wish): ToldOfDay => ({ day: from.id, type: 'wish-dropped', key: wishKey(wish) })),
  ];
}

/** Whether a wish says where the jars of these batches go, whatever the day. */
function isAbout(wish: DayWish, batches: readonly Batch[]): boolean {
  if (wish.kind === 'way') return batches.some(({ id }) => id === wish.batchId);
  return wish.kind === 'canner' && batches.some(({ loads }) => loads.some(({ id }) => id === wish.loadId));
}
