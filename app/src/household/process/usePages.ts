import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { pagesOf } from '@/store/pagesOf';
import { useHousehold } from '@/store/useHousehold';

/** What the household has added to the handbook, as a look-up takes it. */
export function usePages(): HouseholdPages {
  return pagesOf(useHousehold());
}
