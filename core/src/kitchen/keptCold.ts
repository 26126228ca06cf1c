import { type Batch } from '../day/batch';
import { timedUses } from '../day/timedUses';
import { placesFor } from '../harvest/keeping';
import { type LotChange } from '../harvest/lotChange';
import { type Lot, onHand } from '../harvest/onHand';
import { type Pick, type PickUse } from '../harvest/pick';

/** Less than this is eaten by whoever stands at the stove. */
const EATEN_KG = 0.02;

/**
 * What stayed over at a gate, on its way into the refrigerator: each part from the lot it is of, soft as soft. What was
 * taken out of the freezer is thawed by now.
 *
 * @param batches as they stand, with what stayed over given back
 */
export function keptCold(
  left: readonly PickUse[],
  picks: readonly Pick[],
  batches: readonly Batch[],
  changes: readonly LotChange[],
): Omit<LotChange, 'id' | 'at'>[] {
  const lots = onHand(picks, timedUses(batches), changes);
  return left.flatMap(({ pickId, massKg, softKg }) => {
    const own = lots.filter((lot) => lot.pickId === pickId && placesFor(lot.crop).includes('refrigerator'));
    const ofPart = (part: Lot['part']) => own.filter((lot) => lot.part === part);
    const sound = carried([...ofPart('sound'), ...ofPart('soft')], massKg - softKg);
    const soft = carried([...ofPart('soft'), ...ofPart('sound')], softKg, sound);
    return [...sound, ...soft].flatMap(({ lot: { part, place }, kg }): Omit<LotChange, 'id' | 'at'>[] =>
      kg < EATEN_KG || place === 'refrigerator'
        ? []
        : [{ pickId, part, from: place, kind: 'moved', to: 'refrigerator', massKg: kg }],
    );
  });
}

interface Carried {
  readonly lot: Lot;
  readonly kg: number;
}

function carried(lots: readonly Lot[], massKg: number, before: readonly Carried[] = []): Carried[] {
  let missingKg = massKg;
  return lots.flatMap((lot): Carried[] => {
    const gone = before.reduce((sum, each) => sum + (each.lot === lot ? each.kg : 0), 0);
    const kg = Math.min(lot.massKg - gone, missingKg);
    if (kg <= 0) return [];
    missingKg -= kg;
    return [{ lot, kg }];
  });
}
