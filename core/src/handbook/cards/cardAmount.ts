import { KG_PER_LB, ML_PER_CUP, ML_PER_QUART, ML_PER_TBSP, ML_PER_TSP } from '../../measure/amount';

/** The measure a page prints an amount in. */
export type PrintedUnit =
  'tsp' | 'tbsp' | 'cup' | 'pint' | 'quart' | 'gallon' | 'oz' | 'lb' | 'box' | 'pouch' | 'piece';

/**
 * An amount as a page gives it. `low` and `high` differ where it gives a range ("10-11 lb"); they are in millilitres,
 * kilograms or pieces. What has no figure is told in words ("to cover").
 */
export type CardAmount =
  | {
      readonly of: 'ml' | 'kg' | 'pieces';
      readonly low: number;
      readonly high: number;
      readonly unit: PrintedUnit;
      /** What is counted: "clove", "half-inch cube". */
      readonly word?: string;
    }
  | { readonly of: 'words'; readonly words: string };

export type MeasuredAmount = Exclude<CardAmount, { of: 'words' }>;

/** How much of its kind one printed unit is: millilitres, kilograms or pieces. A pouch holds 3 fluid ounces of pectin. */
export const UNIT_SIZES: Readonly<Record<PrintedUnit, { readonly of: MeasuredAmount['of']; readonly size: number }>> = {
  tsp: { of: 'ml', size: ML_PER_TSP },
  tbsp: { of: 'ml', size: ML_PER_TBSP },
  cup: { of: 'ml', size: ML_PER_CUP },
  pint: { of: 'ml', size: 2 * ML_PER_CUP },
  quart: { of: 'ml', size: ML_PER_QUART },
  gallon: { of: 'ml', size: 16 * ML_PER_CUP },
  oz: { of: 'kg', size: KG_PER_LB / 16 },
  lb: { of: 'kg', size: KG_PER_LB },
  box: { of: 'pieces', size: 1 },
  pouch: { of: 'pieces', size: 1 },
  piece: { of: 'pieces', size: 1 },
};

const measured =
  (unit: PrintedUnit) =>
  (low: number, high = low): MeasuredAmount => {
    const { of, size } = UNIT_SIZES[unit];
    return { of, low: low * size, high: high * size, unit };
  };

export const tsp = measured('tsp');
export const tbsp = measured('tbsp');
export const cups = measured('cup');
export const pints = measured('pint');
export const quarts = measured('quart');
export const gallons = measured('gallon');
export const oz = measured('oz');
export const lb = measured('lb');
export const boxes = measured('box');
export const pouches = measured('pouch');
export const piecesFromTo = measured('piece');

/** So many of a thing: `pieces(6, 'clove')`. */
export function pieces(count: number, word?: string): MeasuredAmount {
  return { of: 'pieces', low: count, high: count, unit: 'piece', ...(word !== undefined && { word }) };
}

/** An amount without a figure, as the page says it. */
export function words(said: string): CardAmount {
  return { of: 'words', words: said };
}
