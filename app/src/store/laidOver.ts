import { type HouseholdState } from '@hoddle/contract/householdState';
import isSame from 'fast-deep-equal';
import { applyWrite, type Write } from './write';

/** A household with what was entered since laid over it, in order. */
export function laidOver(
  server: HouseholdState | undefined,
  rows: readonly { readonly write: Write }[],
): HouseholdState | undefined {
  return server && rows.reduce((state, { write }) => applyWrite(state, write), server);
}

/** Parts that are as they were stay the same objects: what is worked out from them is not worked out again. */
export function unchangedKept(before: HouseholdState | undefined, now: HouseholdState): HouseholdState {
  if (!before || before === now) return now;
  const parts = Object.entries(now).map(([part, told]) => {
    const known = before[part as keyof HouseholdState];
    return [part, isSame(known, told) ? known : told];
  });
  return Object.fromEntries(parts) as HouseholdState;
}
