import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadsNow } from '@hoddle/core/kitchen/loadsNow';
import { shownKitchen } from '@hoddle/core/kitchen/shownKitchen';
import { stockedLots } from '@hoddle/core/pantry/shelf';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { localDay } from '@hoddle/core/measure/localTime';
import { type SeasonHousehold } from '@hoddle/core/season/seasonOfHousehold';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { withWhatWentIn } from '@hoddle/core/day/whatWentIn';
import { learnYields } from '@hoddle/core/yields/yieldModel';

/** What a season is planned from, out of all that is kept of a household. @param altitudeFt set already */
export function seasonHousehold(state: HouseholdState, altitudeFt: number, now: number): SeasonHousehold {
  const { household, season } = state;
  const { kitchen, places, bestMonths } = household;
  const pages = {
    checkedRows: new Map(state.checkedRows.map(({ rowId, checkedOn }) => [rowId, checkedOn])),
    sources: state.sources as HouseholdSource[],
    recipes: state.recipes as OwnRecipe[],
  };
  const dayEvents = state.dayEvents as DayEvent[];
  const events = state.events as KitchenEvent[];
  const told = batchesNow(state.batches as Batch[], dayEvents, events, { altitudeFt, pages });
  const records = state.batchRecords as BatchRecord[];
  const batches = withWhatWentIn(told, records);
  const states = new Map(loadsNow(batches, events).map(({ load, state: stands }) => [load.id, stands]));
  const today = localDay(now, kitchen.timeZone);
  return {
    ...{ altitudeFt, batches },
    kitchen: shownKitchen(household, { batches, dayEvents, states }),
    picks: state.picks,
    lotChanges: state.lotChanges,
    plantings: state.plantings,
    looks: state.gardenLooks,
    stocked: stockedLots(state.lots, state.movements, places, bestMonths),
    storedLoads: new Set(state.lots.flatMap(({ loadId }) => loadId ?? [])),
    goals: state.goals,
    hardware: state.hardware,
    hardwareMoves: state.hardwareMoves,
    pages,
    learned: learnYields(records, now),
    daysGiven: season.days,
    pins: season.pins.filter(({ day }) => day >= today),
    before: (season.plan?.days ?? []).flatMap(({ day, batches: planned }) =>
      planned.map(({ recipe }) => ({ day, recipe })),
    ),
  };
}
