import { type HardwareNeed } from '@hoddle/core/pantry/hardwareStock';

/** Before the season needs them: two months are time enough to buy. */
const AHEAD_MS = 60 * 24 * 60 * 60_000;

/** What the drawer lacks for the crop that is coming, while there is still time to buy it. */
export function shortNow(needs: readonly HardwareNeed[], now: number): HardwareNeed[] {
  return needs.filter(({ short, from }) => short > 0 && (from ?? Infinity) < now + AHEAD_MS);
}
