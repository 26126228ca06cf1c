import { type Kitchen } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { NO_INSTRUMENTS } from '@hoddle/contract/instrument';
import { NO_SEASON } from '@hoddle/contract/season';
import { USUAL_PLACES } from '@hoddle/core/pantry/place';
import { USUAL_BURNER_WATTS } from '@hoddle/core/canner/canner';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';

/** Its own copy: a household's settings are changed. */
function usualKitchen(): Kitchen {
  const { burners: _, ...kitchen } = USUAL_KITCHEN;
  return structuredClone(kitchen) as unknown as Kitchen;
}

/** What a canner is until it is told otherwise. */
export const USUAL_CANNER = {
  alsoBoilingWater: false,
  layers: 1 as const,
  burnerWatts: USUAL_BURNER_WATTS,
  electric: false,
  timesItself: false,
  lidLocks: false,
  testFits: [],
};

/** A household of which nothing was entered yet: what a page of an older version did not keep is as here. */
export const EMPTY_HOUSEHOLD: HouseholdState = {
  now: 0,
  demoOffsetMs: null,
  mark: 0,
  household: {
    name: '',
    altitudeFt: null,
    units: 'us',
    burners: 4,
    canners: [],
    kitchen: usualKitchen(),
    ownJars: [],
    places: [...USUAL_PLACES] as HouseholdState['household']['places'],
    bestMonths: 12,
    dateOrder: null,
    instruments: NO_INSTRUMENTS(),
  },
  picks: [],
  lotChanges: [],
  plantings: [],
  gardenLooks: [],
  ownMeasures: [],
  batchRecords: [],
  batches: [],
  events: [],
  dayEvents: [],
  curves: [],
  lots: [],
  movements: [],
  use: [],
  goals: [],
  hardwareMoves: [],
  hardware: [],
  season: NO_SEASON(),
  checkedRows: [],
  sources: [],
  recipes: [],
};
