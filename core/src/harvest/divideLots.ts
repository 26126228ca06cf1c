import { type ProductId, productRow } from '../handbook/products';
import { type Lot } from './onHand';
import { type PickUse } from './pick';
import { usesOf } from './usesOf';

/** What a part of some lots is to become, and how much of them, in kilograms as picked. */
export interface LotPart {
  readonly product: ProductId;
  readonly massKg: number;
}

/** A part with the produce that goes into it. */
export interface DividedPart {
  readonly uses: readonly PickUse[];
  /** What it gets: less than asked where there is no more. */
  readonly massKg: number;
  readonly softKg: number;
}

export interface Division {
  /** In the order they were asked for. */
  readonly parts: readonly DividedPart[];
  readonly leftKg: number;
  readonly leftSoftKg: number;
  /** More than there is was asked for. */
  readonly shortKg: number;
}

const SOFT_FORMS = ['sauce', 'juice', 'butter', 'chopped', 'crushed'];

/** Whether soft fruit is as good for it: what is cooked to a pulp, pressed, or boiled with sugar. Common practice. */
export function takesSoft(product: ProductId): boolean {
  const { form, productClass } = productRow(product);
  return productClass === 'spread' || SOFT_FORMS.includes(form);
}

/**
 * Parts some lots of one crop among products: sound fruit to what is packed in pieces, soft fruit to sauces, juices and jams
 * first, each the next to spoil first. Only where the sound fruit does not do, pieces are of soft fruit too. Common practice:
 * the best fruit to halves, the soft to the pot.
 *
 * @param parts 0 kilograms and more each; what goes beyond the lots is short in the last ones of their kind
 */
export function divideLots(lots: readonly Lot[], parts: readonly LotPart[]): Division {
  const left = [...lots].sort((a, b) => a.until - b.until).map((lot) => ({ lot, massKg: lot.massKg }));
  const taken = parts.map(() => [] as { readonly lot: Lot; readonly massKg: number }[]);
  const missing = parts.map(({ massKg }) => massKg);
  const give = (to: number, fits: (lot: Lot) => boolean) => {
    for (const own of left) {
      const massKg = Math.min(own.massKg, missing[to] ?? 0);
      if (massKg <= 0 || !fits(own.lot)) continue;
      own.massKg -= massKg;
      missing[to] = (missing[to] ?? 0) - massKg;
      taken[to]?.push({ lot: own.lot, massKg });
    }
  };
  const isSoft = ({ ripeness }: Lot) => ripeness === 'soft';
  const of = (soft: boolean) => parts.flatMap(({ product }, i) => (takesSoft(product) === soft ? [i] : []));
  for (const i of of(false)) give(i, (lot) => !isSoft(lot));
  for (const i of of(true)) give(i, isSoft);
  for (const i of of(true)) give(i, (lot) => !isSoft(lot));
  for (const i of of(false)) give(i, isSoft);
  const sum = (each: readonly { massKg: number }[]) => each.reduce((all, { massKg }) => all + massKg, 0);
  return {
    parts: taken.map((own) => ({
      uses: usesOf(own),
      massKg: sum(own),
      softKg: sum(own.filter(({ lot }) => isSoft(lot))),
    })),
    leftKg: sum(left),
    leftSoftKg: sum(left.filter(({ lot }) => isSoft(lot))),
    shortKg: missing.reduce((all, kg) => all + kg, 0),
  };
}
