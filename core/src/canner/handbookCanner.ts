import { type CannerRow } from '../handbook/canners';
import { type Canner, type CannerMethod, USUAL_BURNER_WATTS } from './canner';

/** A canner of the household as the handbook has it, until it is measured. A pressure canner is taken for a weighted one. */
export function handbookCanner(row: CannerRow, { id, name = row.canner }: { id: string; name?: string }): Canner {
  const { insideDiameterIn, insideHeightIn, rackHeightIn, declaredQuarts, declaredPints, declaredHalfPints } = row;
  const method: CannerMethod = row.method === 'pressure' ? 'pressure-weighted' : row.method;
  return {
    id,
    name,
    method,
    alsoBoilingWater: row.method === 'pressure',
    insideDiameterIn,
    insideHeightIn,
    rackHeightIn,
    declaredQuarts,
    declaredPints,
    declaredHalfPints,
    layers: row.layers === 2 ? 2 : 1,
    burnerWatts: USUAL_BURNER_WATTS,
    electric: false,
    timesItself: false,
    lidLocks: false,
    testFits: [],
  };
}
