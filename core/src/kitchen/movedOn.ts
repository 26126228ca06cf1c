import { type Batch } from '../day/batch';
import { type DayEvent, standing } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';
import { putIn } from './putIn';

/** What says that a batch has begun: hands were put to it, a jar of it went in, or it was measured. */
const BEGINS: readonly DayEvent['type'][] = ['step-started', 'clock-started', 'step-done', 'done-before'];

/**
 * The batches at the time they were moved to last. One that had begun by then stays where it is; what begins with the pot of another
 * is moved with that one.
 */
export function movedOn(
  batches: readonly Batch[],
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
): readonly Batch[] {
  if (dayEvents.every(({ type }) => type !== 'batch-moved')) return batches;
  const told = standing(dayEvents);
  const startOf = new Map<string, number>();
  for (const event of told) {
    if (event.type !== 'batch-moved') continue;
    const batch = batches.find(({ id }) => id === event.batchId);
    const begunAt = batch ? beganAt(batch, told, events) : undefined;
    if (batch && (begunAt === undefined || begunAt > event.at)) startOf.set(batch.id, event.startAt);
  }
  return batches.map((batch) => {
    const startAt = startOf.get(batch.from?.batchId ?? batch.id) ?? startOf.get(batch.id);
    return startAt === undefined ? batch : { ...batch, startAt };
  });
}

/** When something of a batch was first begun, epoch milliseconds; undefined where nothing was, or by a slip that was taken back. */
export function beganAt(
  { id: batchId, loads }: Batch,
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
): number | undefined {
  const own = new Set([batchId, ...loads.flatMap((load) => [load.id, load.withLoadId ?? load.id])]);
  const isOf = (taskId: string) => own.has(taskId.slice(taskId.lastIndexOf(' ') + 1));
  const inHand = dayEvents.flatMap((event) =>
    BEGINS.includes(event.type) && 'taskId' in event && isOf(event.taskId) ? [event.at] : [],
  );
  const inCanner = [...own].flatMap((id) => putIn(events.filter(({ loadId }) => loadId === id))?.at ?? []);
  const first = Math.min(...inHand, ...inCanner);
  return first < Infinity ? first : undefined;
}
