import { type Rows } from './rowStore';
import { type HouseholdRow } from './tables';

/**
 * A household of which nothing is known: what a damaged row stands for. Without an altitude every tested time is refused until
 * somebody has said it again, which is the safe side.
 */
function unsetHousehold(): HouseholdRow {
  return {
    ...{ id: 1, name: '', altitudeFt: null, burners: 4, demoOffsetMs: null, units: 'us', kitchen: null, ownJars: [] },
    ...{
      places: null,
      bestMonths: 12,
      dateOrder: null,
      instruments: null,
      mark: 0,
      seasonDays: null,
      seasonPlan: null,
      seasonPins: null,
    },
  };
}

/** The one row of the household; where it is damaged, one of which nothing is known. */
export function householdRow(rows: Rows): HouseholdRow {
  return rows.households.get('1') ?? unsetHousehold();
}
