import { IN_CANNER } from './dayClose';
import { type LoadNow } from './loadsNow';

/** Water is looked at for a load that goes in within so long of when its batch was to begin. Common practice. */
const SOON_MS = 18 * 60 * 60_000;

/** What an instrument in a canner is asked about: the load that stands in it, or the next one to go in. */
export function atTheCanner(loads: readonly LoadNow[], cannerId: string, now: number): LoadNow | undefined {
  const own = loads.filter(
    ({ batch, load, state }) =>
      load.withLoadId === undefined && (state.cannerId ?? load.cannerId ?? batch.cannerId) === cannerId,
  );
  const inside = own.filter(({ state }) => IN_CANNER.includes(state.phase));
  // One that was forgotten in there long ago is not the one that was put in last.
  const last = inside.sort((a, b) => (b.state.startedAt ?? 0) - (a.state.startedAt ?? 0))[0];
  return last ?? own.find(({ batch, state }) => state.phase === 'planned' && Math.abs(batch.startAt - now) < SOON_MS);
}
