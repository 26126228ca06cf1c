import { type HouseholdState } from '@hoddle/contract/householdState';
import { shownKitchen } from '@hoddle/core/kitchen/shownKitchen';
import { stockedLots } from '@hoddle/core/pantry/shelf';
import { localDay } from '@hoddle/core/measure/localTime';
import { type SeasonHousehold } from '@hoddle/core/season/problem/seasonOfHousehold';
import { learnYields } from '@hoddle/core/yields/yieldModel';
import { livedHousehold } from '../db/livedHousehold';

/** What a season is planned from, out of all that is kept of a household. @param altitudeFt set already */
export function seasonHousehold(state: HouseholdState, altitudeFt: number, now: number): SeasonHousehold {
  const { household, season } = state;
  const { kitchen, places, bestMonths } = household;
  const { pages, records, dayEvents, batches, states } = livedHousehold(state);
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
