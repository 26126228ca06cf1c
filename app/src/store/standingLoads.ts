import { type Batch } from '@hoddle/core/day/batch';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadsNow } from '@hoddle/core/kitchen/loadsNow';
import { type LoadState } from '@hoddle/core/kitchen/loadState';
import memoizeOne from 'memoize-one';

/** All loads where they stand; one state, one answer for every screen that asks. */
export const standingLoads = memoizeOne(loadsNow);

/** Where every load of the household stands, by its id. */
export const statesOf = memoizeOne(
  (batches: readonly Batch[], events: readonly KitchenEvent[]): ReadonlyMap<string, LoadState> =>
    new Map(standingLoads(batches, events).map(({ load, state }) => [load.id, state])),
);
