import { type Kitchen } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';

/** Its own copy: a household's settings are changed. */
function usualKitchen(): Kitchen {
  const { burners: _, ...kitchen } = USUAL_KITCHEN;
  return structuredClone(kitchen) as unknown as Kitchen;
}

/** A household of which nothing was entered yet: what a page of an older version did not keep is as here. */
export const EMPTY_HOUSEHOLD: HouseholdState = {
  now: 0,
  demoOffsetMs: null,
  household: { name: '', altitudeFt: null, units: 'us', burners: 4, canners: [], kitchen: usualKitchen(), ownJars: [] },
  picks: [],
  lotChanges: [],
  plantings: [],
  gardenLooks: [],
  ownMeasures: [],
  batchRecords: [],
  batches: [],
  events: [],
  dayEvents: [],
  lots: [],
  movements: [],
  checkedRows: [],
  sources: [],
};
