import { type Lot } from './onHand';
import { type PickUse } from './pick';
import { usesOf } from './usesOf';

/** So much of one lot. */
export interface TakenOfLot {
  readonly lot: Lot;
  readonly massKg: number;
}

/** What of which lots comes to `massKg`, the next to spoil first, or all there is. */
export function takeFromLots(lots: readonly Lot[], massKg: number): TakenOfLot[] {
  const taken: TakenOfLot[] = [];
  let missingKg = massKg;
  for (const lot of [...lots].sort((a, b) => a.until - b.until)) {
    const takenKg = Math.min(lot.massKg, missingKg);
    if (takenKg <= 0) continue;
    missingKg -= takenKg;
    taken.push({ lot, massKg: takenKg });
  }
  return taken;
}

/**
 * Takes produce for a batch from lots of one crop, the next to spoil first, until `massKg` is met or nothing is left.
 *
 * @returns one use per pick; their masses add up to the smaller of `massKg` and what is there
 */
export function takeForBatch(lots: readonly Lot[], massKg: number): PickUse[] {
  return usesOf(takeFromLots(lots, massKg));
}
