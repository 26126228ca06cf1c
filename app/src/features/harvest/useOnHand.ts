import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type Lot, onHand } from '@hoddle/core/harvest/onHand';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

export interface CropOnHand {
  readonly crop: ProduceId;
  readonly massKg: number;
  readonly softKg: number;
  /** The next to spoil first. */
  readonly lots: readonly Lot[];
}

/** What is on hand by crop, the crop with the next lot to spoil first. */
export function useOnHand(): CropOnHand[] {
  const { picks, batches } = useHousehold();
  return useMemo(() => {
    const lots = onHand(
      picks,
      batches.flatMap(({ uses }) => uses),
    );
    const crops = [...new Set(lots.map((lot) => lot.crop))];
    return crops.map((crop) => {
      const own = lots.filter((lot) => lot.crop === crop);
      const massOf = (some: readonly Lot[]) => some.reduce((sum, lot) => sum + lot.massKg, 0);
      return { crop, massKg: massOf(own), softKg: massOf(own.filter((lot) => lot.ripeness === 'soft')), lots: own };
    });
  }, [picks, batches]);
}
