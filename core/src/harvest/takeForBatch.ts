import { type Lot } from './onHand';
import { type PickUse } from './pick';
import { usesOf } from './usesOf';

/**
 * Takes produce for a batch from lots of one crop, the next to spoil first, until `massKg` is met or nothing is left.
 *
 * @returns one use per pick; their masses add up to the smaller of `massKg` and what is there
 */
export function takeForBatch(lots: readonly Lot[], massKg: number): PickUse[] {
  const taken: { readonly lot: Lot; readonly massKg: number }[] = [];
  let missingKg = massKg;
  for (const lot of [...lots].sort((a, b) => a.until - b.until)) {
    const takenKg = Math.min(lot.massKg, missingKg);
    if (takenKg <= 0) continue;
    missingKg -= takenKg;
    taken.push({ lot, massKg: takenKg });
  }
  return usesOf(taken);
}
