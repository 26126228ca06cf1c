import { massWords, type Units } from '@/ui/amountWords';
import { useHousehold } from './useHousehold';

/** The units this household reads in. */
export function useUnits(): Units {
  return useHousehold().household.units;
}

/** Masses in words, in the household's units. */
export function useMassWords(): (massKg: number) => string {
  const units = useUnits();
  return (massKg) => massWords(massKg, units);
}
