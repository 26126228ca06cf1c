import { type Batch } from './batch';
import { type DayKitchen } from './dayKitchen';
import { dayOf } from './dayOf';
import { HANDS } from './dayProblem';

/** Minutes of work for hands that a batch takes by itself, likely: the steps of its card, its jars and its loads. */
export function handsMinutes(batch: Batch, kitchen: Omit<DayKitchen, 'startMinute'>): number {
  const { tasks } = dayOf([batch], { ...kitchen, startMinute: 0, errands: undefined });
  return tasks.reduce(
    (sum, { kind, minutes, needs }) => sum + (needs[HANDS] && kind !== 'errand' ? minutes.p50 : 0),
    0,
  );
}
