import { type Step } from '../handbook/steps';

/** A wait from here on is one of hours: the day goes on meanwhile, and it is made once for a whole batch. Common practice. */
export const LONG_WAIT_MIN = 100;

/** Whether a step of a card takes hours by itself: a soak, a drip, a night in the cold; nothing that is cooked. */
export function isLongWait({ row, waitMinutes }: Step): boolean {
  return waitMinutes[1] >= LONG_WAIT_MIN && !row.resources.includes('burner');
}
