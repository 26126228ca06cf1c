import { type Lot } from './onHand';
import { type PickUse } from './pick';

/**
 * Takes produce for a batch from lots of one crop, the next to spoil first, until `massKg` is met or nothing is left.
 *
 * @returns one use per pick; their masses add up to the smaller of `massKg` and what is there
 */
export function takeForBatch(lots: readonly Lot[], massKg: number): PickUse[] {
  const uses = new Map<string, PickUse>();
  let missingKg = massKg;
  for (const lot of [...lots].sort((a, b) => a.until - b.until)) {
    const takenKg = Math.min(lot.massKg, missingKg);
    if (takenKg <= 0) continue;
    missingKg -= takenKg;
    const before = uses.get(lot.pickId) ?? { pickId: lot.pickId, crop: lot.crop, massKg: 0, softKg: 0 };
    const softKg = before.softKg + (lot.ripeness === 'soft' ? takenKg : 0);
    uses.set(lot.pickId, { ...before, massKg: before.massKg + takenKg, softKg });
  }
  return [...uses.values()];
}
