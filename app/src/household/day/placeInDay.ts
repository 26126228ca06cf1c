import { type Batch, type PlannedLoad } from '@hoddle/core/day/batch';
import { type FollowingLoad } from '@/household/kitchen/nextSteps';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

export interface PlaceInDay {
  readonly number: number;
  readonly of: number;
  /** The next load that has not gone in yet, whatever batch it is of. */
  readonly following?: FollowingLoad;
}

/** Which load of its day a load is, counted as they come into the canners; of its batch where the day is another one. */
export function placeInDay(day: Day | undefined, batch: Batch, load: PlannedLoad): PlaceInDay {
  const index = day?.loads.findIndex(({ id }) => id === load.id) ?? -1;
  if (!day || index < 0) return { number: load.number, of: batch.loads.length };
  const next = day.loads.findIndex(({ id, phase }) => id !== load.id && phase === 'planned');
  const following = day.loads[next];
  return {
    number: index + 1,
    of: day.loads.length,
    ...(following && {
      following: { id: following.id, number: next + 1, jars: following.jars, jar: following.batch.jar },
    }),
  };
}
