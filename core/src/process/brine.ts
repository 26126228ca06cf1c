import { cardsOf } from '../handbook/cards';
import { type Card, type Role } from '../handbook/cards/card';
import { type ProductRow } from '../handbook/products';
import { type Refusal, refusal } from './refusal';

/** One liquid of a brine. Water has 0 %. */
export interface BrineLiquid {
  readonly ml: number;
  /** Acetic acid by the label, percent. */
  readonly acidPercent: number;
  readonly homeMade?: boolean;
}

export interface Brine {
  readonly kind: 'brine';
  /** Of the whole mix, percent. */
  readonly acidPercent: number;
  /** Water over vinegar, by volume; Infinity without vinegar. */
  readonly waterPerVinegar: number;
}

/** The weakest vinegar that counts. Handbook rule 3. */
const LEAST_PERCENT = 5;

/**
 * The strength of a mix: sum of volume times percent, over the whole volume. Handbook rule 3.
 *
 * @returns a refusal for vinegar under 5 %, home-made vinegar whatever its strength, or nothing at all
 */
export function mixBrine(liquids: readonly BrineLiquid[]): Brine | Refusal {
  const vinegars = liquids.filter(({ acidPercent }) => acidPercent > 0);
  const way = ['vinegar of 5 % acid by its label'];
  if (vinegars.some(({ homeMade }) => homeMade)) {
    return refusal('changed', 'Home-made vinegar varies; it is never canning acid, whatever strength is typed.', way);
  }
  if (vinegars.some(({ acidPercent }) => acidPercent < LEAST_PERCENT)) {
    return refusal('changed', 'Vinegar under 5 % is weaker than what was tested.', way);
  }
  const totalMl = sum(liquids.map(({ ml }) => ml));
  if (!(totalMl > 0)) return refusal('changed', 'There is nothing in this brine yet.', way);
  const vinegarMl = sum(vinegars.map(({ ml }) => ml));
  return {
    kind: 'brine',
    acidPercent: sum(liquids.map(({ ml, acidPercent }) => ml * acidPercent)) / totalMl,
    waterPerVinegar: (totalMl - vinegarMl) / vinegarMl,
  };
}

/** The liquids that stay with the food, in one batch of a card. */
export interface CardBrine {
  readonly card: Card;
  readonly vinegarMl: number;
  readonly lemonMl: number;
  /** Without what the food soaks or cooks in and is drained of. */
  readonly waterMl: number;
  readonly sugarMl: number;
}

/** The brine of a card: vinegar, lemon juice, water and sugar that stay in the jars; undefined where there is no acid in it. */
export function brineOf(card: Card): CardBrine | undefined {
  const sum = (role: Role) =>
    card.ingredients.reduce(
      (all, { role: own, then, amount, inside }) =>
        own === role && then === 'jar' && inside === undefined && amount.of === 'ml' ? all + amount.high : all,
      0,
    );
  const [vinegarMl, lemonMl] = [sum('vinegar'), sum('lemon')];
  if (vinegarMl + lemonMl === 0) return undefined;
  return { card, vinegarMl, lemonMl, waterMl: sum('water'), sugarMl: sum('sugar') };
}

/** The brines of a product's cards. */
export function brinesOf(product: ProductRow): CardBrine[] {
  return cardsOf(product.product).flatMap((card) => brineOf(card) ?? []);
}

/**
 * Water to vinegar in the brine that a product was tested with: its own proportion, never a general threshold. Of several
 * cards the one with least water.
 *
 * @returns undefined for what is no pickle in a vinegar brine: a ferment makes its own acid, and the vinegar in a pie
 * filling or a sauce says nothing of a brine. No proportion, no verdict.
 */
export function testedWaterPerVinegar(product: ProductRow): number | undefined {
  if (product.productClass !== 'pickle') return undefined;
  const proportions = brinesOf(product)
    .filter(({ vinegarMl }) => vinegarMl > 0)
    .map(({ vinegarMl, waterMl }) => waterMl / vinegarMl);
  return proportions.length === 0 ? undefined : Math.min(...proportions);
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
