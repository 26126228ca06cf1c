import { type Cited, cited } from './source';

type Row = readonly [
  syrup: SyrupRow['syrup'],
  percentSugar: number,
  waterCups9Pints: number,
  sugarCups9Pints: number,
  waterCups7Quarts: number,
  sugarCups7Quarts: number,
];

// One syrup a line, as the table is printed.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['very-light', 10, 6.5, 0.75, 10.5, 1.25],
  ['light', 20, 5.75, 1.5, 9, 2.25],
  ['medium', 30, 5.25, 2.25, 8.25, 3.75],
  ['heavy', 40, 5, 3.25, 7.75, 5.25],
  ['very-heavy', 50, 4.25, 4.25, 6.5, 6.75],
];

export interface SyrupRow extends Cited {
  readonly syrup: 'very-light' | 'light' | 'medium' | 'heavy' | 'very-heavy';
  /** By weight. */
  readonly percentSugar: number;
  readonly waterCupsPer9Pints: number;
  readonly sugarCupsPer9Pints: number;
  readonly waterCupsPer7Quarts: number;
  readonly sugarCupsPer7Quarts: number;
}

/** Source: USDA Complete Guide to Home Canning, 2015, guide 2, "Preparing and using syrups", as recalled. */
export const SYRUPS: readonly SyrupRow[] = ROWS.map(([syrup, percentSugar, water9, sugar9, water7, sugar7]) => ({
  syrup,
  percentSugar,
  waterCupsPer9Pints: water9,
  sugarCupsPer9Pints: sugar9,
  waterCupsPer7Quarts: water7,
  sugarCupsPer7Quarts: sugar7,
  ...cited(2),
}));
