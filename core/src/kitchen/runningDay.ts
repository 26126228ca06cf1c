import { type Canner } from '../canner/canner';
import { handbookCanner } from '../canner/handbookCanner';
import { type Batch } from '../day/batch';
import { type DayKitchen } from '../day/dayKitchen';
import { dayOf } from '../day/dayOf';
import { hostOf } from '../day/sharedLoad';
import { CANNERS } from '../handbook/canners';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { type KitchenEvent } from './kitchenEvent';
import { loadsNow } from './loadsNow';
import { type RunningDay } from './progressOf';

/**
 * What is known of a running day, from its batches and all that was told of it: for whoever has no plan of it at hand, such as
 * the server. Which canner a load goes into does not change what comes before it, so one that is gone is stood in for.
 *
 * @param batches of the day, as they stand
 * @param startAt epoch milliseconds of minute 0
 */
export function runningDay(
  batches: readonly Batch[],
  kitchen: Pick<DayKitchen, 'setup' | 'canners' | 'ownJars'>,
  events: readonly KitchenEvent[],
  dayEvents: readonly DayEvent[],
  startAt: number,
): RunningDay {
  const ids = batches.flatMap((batch) => [batch.cannerId, ...batch.loads.flatMap(({ cannerId }) => cannerId ?? [])]);
  const canners = [...new Set(ids)].map((id) => kitchen.canners.find((each) => each.id === id) ?? standIn(id));
  const { tasks } = dayOf(batches, { ...kitchen, canners, startMinute: 0 });
  const loads = loadsNow(batches, events)
    .filter(({ load }) => !hostOf(load, batches))
    .map(({ batch, load, order, state }) => {
      const cannerId = state.cannerId ?? load.cannerId ?? batch.cannerId;
      return [load.id, { order, state, cannerId }] as const;
    });
  return { tasks, day: dayState(dayEvents), loads: new Map(loads), startAt };
}

function standIn(id: string): Canner {
  const [row] = CANNERS;
  if (!row) throw new RangeError('the handbook has no canner');
  return handbookCanner(row, { id });
}
