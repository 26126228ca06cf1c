import { type Household } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { NOTHING_MORE } from '@hoddle/core/yields/batchRecord';
import { EMPTY_HOUSEHOLD, USUAL_CANNER } from '../emptyHousehold';
import { type Write } from '../write';

/** The household as a page of an older version kept it: what has come since is empty until the server tells it. */
export function broughtUp(kept: HouseholdState): HouseholdState {
  const household = householdUp(kept.household);
  const picks = kept.picks.map((pick) => ({ ...NEW_IN_A_PICK, ...pick }));
  const batchRecords = (kept.batchRecords ?? []).map((record) => ({ ...NOTHING_MORE, ...record }));
  const lots = kept.lots.map((lot) => ({ ...newInALot(lot.place), ...lot }));
  // Until there was a season, all that was wanted mattered alike.
  const goals = (kept.goals ?? []).map((goal) => ({ ...{ priority: 'want' as const }, ...goal }));
  return { ...EMPTY_HOUSEHOLD, ...kept, household, picks, batchRecords, lots, goals };
}

/** An entry that an older page kept, as this one sends it: nothing that was typed changes. */
export function writeUp(write: Write): Write {
  if (write.kind === 'household') return { ...write, household: householdUp(write.household) };
  if (write.kind !== 'batch-record') return write;
  return { ...write, record: { ...NOTHING_MORE, ...write.record } };
}

/** Settings as an older page kept them, with what has come since. */
function householdUp(kept: Household): Household {
  const canners = kept.canners.map((canner: Partial<Canner> & Pick<Canner, 'declaredPints'>) => {
    return { ...USUAL_CANNER, declaredHalfPints: canner.declaredPints, ...canner } as Canner;
  });
  return { ...EMPTY_HOUSEHOLD.household, ...kept, canners };
}

type Canner = Household['canners'][number];

/** Until there were places, only jars that did not seal came to the refrigerator. */
function newInALot(place: string) {
  return { seal: place === 'refrigerator' ? 'unsealed' : 'sealed', jarsBefore: 0 } as const;
}

/** What a pick did not tell before the garden was set up. */
const NEW_IN_A_PICK = { ripeness: 'ripe', source: 'garden', plantingId: null } as const;
