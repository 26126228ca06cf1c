import { latestBegin } from '@hoddle/core/day/latestBegin';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type Asked, laidAnd } from './asked';

/** How late a day can begin, in minutes after its planned beginning. */
export interface LatestBegin {
  readonly laterMin?: number;
}

/** Tells how late a day can begin and still be ready when it is to be. */
export function tellDayLatest(data: Asked<DayQuestion>): void {
  const latest: LatestBegin = { laterMin: latestBegin(laidAnd(data)) };
  self.postMessage(latest);
}
