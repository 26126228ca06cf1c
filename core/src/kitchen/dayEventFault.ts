import { batchFault } from '../day/batchFault';
import { type Batch } from '../day/batch';
import { type Fault } from '../day/fault';
import { CRUMB_KG } from '../harvest/crumb';
import { joinFault } from '../day/joinPots';
import { madeAs } from '../day/madeAs';
import { batchesTogether } from '../day/daysTogether';
import { type DayKitchen } from '../day/dayKitchen';
import { type HouseholdPages } from '../process/findProcess';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { closedDates } from './closedDates';
import { IN_CANNER } from './dayClose';
import { type DayEvent, standing } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';
import { loadNow } from './loadNow';
import { beganAt } from './movedOn';
import { toldOf } from './toldOf';

/** What a kitchen has told until something more is told: that itself may be among it. */
export interface ToldBefore {
  /** As they were planned. */
  readonly batches: readonly Batch[];
  readonly dayEvents: readonly DayEvent[];
  readonly events: readonly KitchenEvent[];
}

const NO_BATCH: Fault = { code: 'no-batch', sentence: 'There is no such batch.' };

/** More stays over of a pick than the batch took of it. */
export function leftOverFault(
  { id, batchId, left = [] }: Extract<DayEvent, { type: 'measured' }>,
  { batches, dayEvents, events }: ToldBefore,
): Fault | undefined {
  if (!batches.some((batch) => batch.id === batchId)) return NO_BATCH;
  if (left.length === 0) return undefined;
  // What was told of this gate before is replaced by it.
  const told = dayEvents.map((event) => (event.id === id ? { ...event, left: [] } : event));
  const before = batchesNow(batches, told, events, AS_PLANNED).find((batch) => batch.id === batchId);
  const takenKg = (pickId: string) => before?.uses.find((use) => use.pickId === pickId)?.massKg ?? 0;
  if (left.every(({ pickId, massKg }) => massKg <= takenKg(pickId) + CRUMB_KG)) return undefined;
  return { code: 'not-taken', sentence: 'More stays over than this batch took of that produce.' };
}

/** Another card comes with its own tested time, and before any jar of the batch is in a canner, or not at all. */
export function anotherCardFault(
  event: Extract<DayEvent, { type: 'recipe-changed' }>,
  { batches, events }: ToldBefore,
  pages: HouseholdPages,
): Fault | undefined {
  const batch = batches.find(({ id }) => id === event.batchId);
  if (!batch) return NO_BATCH;
  const own = new Set(batch.loads.map(({ id }) => id));
  if (events.some(({ type, loadId, at }) => type === 'load-started' && own.has(loadId) && at < event.at))
    return { code: 'begun', sentence: 'Jars of it are in a canner already, or were: they are what they are.' };
  return batchFault(madeAs(batch, event), pages);
}

/** What has begun is not put off. */
export function moveFault(
  { batchId, at }: Extract<DayEvent, { type: 'batch-moved' }>,
  { batches, dayEvents, events }: ToldBefore,
): Fault | undefined {
  const batch = batches.find(({ id }) => id === batchId);
  if (!batch) return NO_BATCH;
  const begunAt = beganAt(batch, standing(dayEvents), events);
  if (begunAt === undefined || begunAt > at) return undefined;
  return { code: 'begun', sentence: 'It has begun already: what is in hand is not put off.' };
}

/** Only two pots of one card are joined, and before a jar is filled from either. */
export function joinedPotsFault(
  { id, batchId, withId }: Extract<DayEvent, { type: 'pots-joined' }>,
  { batches, dayEvents, events }: ToldBefore,
): Fault | undefined {
  const told = dayEvents.filter((event) => event.id !== id);
  const now = batchesNow(batches, told, events, AS_PLANNED);
  const [pot, other] = [batchId, withId].map((own) => now.find((batch) => batch.id === own));
  if (!pot || !other) return NO_BATCH;
  const sentence = joinFault(pot, other);
  if (sentence !== undefined) return { code: 'two-pots', sentence };
  const begun = new Set(events.flatMap(({ type, loadId }) => (type === 'load-started' ? [loadId] : [])));
  if (![...pot.loads, ...other.loads].some((load) => begun.has(load.id))) return undefined;
  return { code: 'two-pots', sentence: 'Jars of them are in a canner already: they are not joined any more.' };
}

/**
 * A day is closed when all its jars are out, and those of the dates that are one plan with it; what stands in a canner of any
 * other day is no matter of it.
 *
 * @param batches as they stand now
 */
export function closeFault(
  { id, day }: Pick<DayEvent, 'id' | 'day'>,
  { batches, dayEvents, events }: ToldBefore,
  kitchen: Pick<DayKitchen, 'canners' | 'ownJars' | 'setup'>,
): Fault | undefined {
  const closed = closedDates(dayEvents.filter((event) => event.id !== id));
  const own = batchesTogether(day, batches, kitchen, closed);
  const stillIn = own.flatMap((batch) =>
    batch.loads.filter((load) => {
      const { state } = loadNow(batch, load, batches, toldOf(load, batches, events));
      return IN_CANNER.includes(state.phase);
    }),
  );
  if (stillIn.length === 0) return undefined;
  const which = stillIn.length === 1 ? 'A load is' : `${stillIn.length} loads are`;
  return { code: 'still-in', sentence: `${which} still in the canner: the day is closed when all jars are out.` };
}
