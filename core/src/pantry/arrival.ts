import { type JarLot, type Movement } from './jarLot';
import { frozenBestBy, refrigeratedUseBy } from './keepsUntil';
import { type PantryPlace, placeOf, type PlaceKind } from './place';

export type Arrival =
  { readonly kind: 'lot'; readonly lot: JarLot } | { readonly kind: 'refused'; readonly reason: string };

/**
 * The lot that jars carried elsewhere, or opened, are in afterwards. Where it is there already it is the same one again.
 *
 * @returns a refusal where what is open or never sealed would go back to a shelf (handbook rules 9 and 10)
 */
export function arrivalOf(lot: JarLot, movement: Movement, places: readonly PantryPlace[]): Arrival {
  const { intoLotId, toPlace, at, kind } = movement;
  if (intoLotId === undefined || toPlace === undefined) return refused('Where do they go?');
  const { kind: placeKind } = placeOf(places, toPlace);
  const cold = placeKind === 'refrigerator' || placeKind === 'freezer';
  const seal = kind === 'opened' ? 'opened' : lot.seal;
  if (seal !== 'sealed' && !cold) {
    return refused('Opened, or never sealed: it stays in the refrigerator or the freezer, and is eaten first.');
  }
  const from = placeOf(places, lot.place).kind;
  if (lot.seal !== 'sealed' && from === 'refrigerator' && lot.keepsUntil < at) {
    return refused('Past its days in the refrigerator: throw it away, do not taste it.');
  }
  const { jarsBefore: _, ...common } = lot;
  const moved = { ...common, id: intoLotId, fromLotId: lot.id, place: toPlace, seal };
  return { kind: 'lot', lot: { ...moved, keepsUntil: keepsThere(lot, movement, from, placeKind) } };
}

/** Days in the refrigerator begin when a sealed jar is opened or a frozen one thaws; carrying never begins them anew. */
function keepsThere(lot: JarLot, { kind, at }: Movement, from: PlaceKind, to: PlaceKind): number {
  if (to === 'freezer') return frozenBestBy(at);
  const isThawed = from === 'freezer' && lot.seal !== 'sealed';
  const isOpened = kind === 'opened' && lot.seal === 'sealed';
  return isThawed || isOpened ? refrigeratedUseBy(lot.product, at) : lot.keepsUntil;
}

function refused(reason: string): Arrival {
  return { kind: 'refused', reason };
}

/** Whether two lots are the same jars in the same place: then carried ones join it. */
export function isSameLot(a: JarLot, b: JarLot): boolean {
  return (
    a.product === b.product &&
    a.jar === b.jar &&
    a.place === b.place &&
    a.seal === b.seal &&
    a.madeAt === b.madeAt &&
    a.loadId === b.loadId
  );
}
