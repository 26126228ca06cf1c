import { type HouseholdState } from '@hoddle/contract/householdState';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import memoizeOne from 'memoize-one';

type Kept = Pick<HouseholdState, 'checkedRows' | 'sources' | 'recipes'>;

/** What the household has added to the handbook, as a look-up takes it: the same object as long as nothing is added. */
export function pagesOf({ checkedRows, sources, recipes }: Kept): HouseholdPages {
  return laid(checkedRows, sources, recipes);
}

const laid = memoizeOne(
  (checkedRows: Kept['checkedRows'], sources: Kept['sources'], recipes: Kept['recipes']): HouseholdPages => ({
    checkedRows: new Map(checkedRows.map(({ rowId, checkedOn }) => [rowId, checkedOn])),
    sources,
    recipes,
  }),
);
