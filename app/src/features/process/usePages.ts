import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

/** What the household has added to the handbook, as a look-up takes it. */
export function usePages(): HouseholdPages {
  const { checkedRows, sources, recipes } = useHousehold();
  return useMemo(
    () => ({
      checkedRows: new Map(checkedRows.map(({ rowId, checkedOn }) => [rowId, checkedOn])),
      sources: sources as HouseholdSource[],
      recipes: recipes as OwnRecipe[],
    }),
    [checkedRows, sources, recipes],
  );
}
