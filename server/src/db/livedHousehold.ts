import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { withWhatWentIn } from '@hoddle/core/day/whatWentIn';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadsNow } from '@hoddle/core/kitchen/loadsNow';
import { type LoadState } from '@hoddle/core/kitchen/loadState';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';

/** A household's batches as they stand by all that was told of them, with what that stands on. */
export interface LivedHousehold {
  readonly pages: HouseholdPages & { readonly recipes: readonly OwnRecipe[] };
  readonly records: readonly BatchRecord[];
  readonly dayEvents: readonly DayEvent[];
  /** By the table as it is now, with what really went in. */
  readonly batches: readonly Batch[];
  readonly states: ReadonlyMap<string, LoadState>;
}

/** What was lived through in a household, out of all that is kept of it. */
export function livedHousehold(state: HouseholdState): LivedHousehold {
  const pages = {
    checkedRows: new Map(state.checkedRows.map(({ rowId, checkedOn }) => [rowId, checkedOn])),
    sources: state.sources as HouseholdSource[],
    recipes: state.recipes as OwnRecipe[],
  };
  const records = state.batchRecords as BatchRecord[];
  const dayEvents = state.dayEvents as DayEvent[];
  const events = state.events as KitchenEvent[];
  const { altitudeFt } = state.household;
  const told = batchesNow(state.batches, dayEvents, events, { altitudeFt, pages });
  const batches = withWhatWentIn(told, records);
  const states = new Map(loadsNow(batches, events).map(({ load, state: stands }) => [load.id, stands]));
  return { pages, records, dayEvents, batches, states };
}
