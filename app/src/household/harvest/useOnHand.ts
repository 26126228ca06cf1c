import { timedUses } from '@hoddle/core/day/timedUses';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { leftBehind, type Lot, onHand } from '@hoddle/core/harvest/onHand';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

export interface CropOnHand {
  readonly crop: ProduceId;
  readonly massKg: number;
  readonly softKg: number;
  /** The next to spoil first. */
  readonly lots: readonly Lot[];
}

/** Every lot on hand, the next to spoil first. */
export function useLots(): Lot[] {
  const { picks, batches, lotChanges } = useHousehold();
  return useMemo(() => onHand(picks, timedUses(batches), lotChanges), [picks, batches, lotChanges]);
}

/** What batches left behind and is still there, the next to spoil first. */
export function useLeftBehind(): Lot[] {
  const { picks, batches, lotChanges } = useHousehold();
  return useMemo(() => leftBehind(picks, timedUses(batches), lotChanges), [picks, batches, lotChanges]);
}

/** What is on hand by crop, the crop with the next lot to spoil first. Frozen lots stand apart: {@link useFrozen}. */
export function useOnHand(): CropOnHand[] {
  const lots = useLots();
  return useMemo(() => byCrop(lots.filter(({ place }) => place !== 'freezer')), [lots]);
}

/** What waits in the freezer, by crop. */
export function useFrozen(): CropOnHand[] {
  const lots = useLots();
  return useMemo(() => byCrop(lots.filter(({ place }) => place === 'freezer')), [lots]);
}

/** Lots gathered by crop, in the order they come. */
export function byCrop(lots: readonly Lot[]): CropOnHand[] {
  const crops = [...new Set(lots.map((lot) => lot.crop))];
  return crops.map((crop) => {
    const own = lots.filter((lot) => lot.crop === crop);
    const massOf = (some: readonly Lot[]) => some.reduce((sum, lot) => sum + lot.massKg, 0);
    return { crop, massKg: massOf(own), softKg: massOf(own.filter((lot) => lot.ripeness === 'soft')), lots: own };
  });
}

/** What names a lot in an address: its pick, its part and its place. */
export function lotKey({ pickId, part, place }: Pick<Lot, 'pickId' | 'part' | 'place'>): string {
  return `${pickId}~${part}~${place}`;
}
