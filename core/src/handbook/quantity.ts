import { type ProductId } from './products';

export interface QuantityRow {
  readonly product: ProductId;
  /** Pounds as picked for a canner load of 7 quarts, and of 9 pints. */
  readonly lbPer7Quarts: number;
  readonly lbPer9Pints: number;
  /** A bushel of `bushelLb` pounds yields between these many quarts. */
  readonly bushelLb: number;
  readonly bushelQuarts: readonly [low: number, high: number];
  readonly lbPerQuart: number;
  readonly source: string;
}

/** Source: USDA Complete Guide to Home Canning, 2015, guides 2 and 3, "Quantity", as recalled. */
export const QUANTITIES: readonly QuantityRow[] = [
  {
    product: 'plums',
    lbPer7Quarts: 14,
    lbPer9Pints: 9,
    bushelLb: 56,
    bushelQuarts: [22, 36],
    lbPerQuart: 2,
    source: 'handbook',
  },
  {
    product: 'tomatoes-crushed',
    lbPer7Quarts: 22,
    lbPer9Pints: 14,
    bushelLb: 53,
    bushelQuarts: [17, 20],
    lbPerQuart: 2.75,
    source: 'handbook',
  },
  {
    product: 'tomato-sauce-thin',
    lbPer7Quarts: 35,
    lbPer9Pints: 21,
    bushelLb: 53,
    bushelQuarts: [10, 12],
    lbPerQuart: 5,
    source: 'handbook',
  },
  {
    product: 'tomatoes-whole-in-water',
    lbPer7Quarts: 21,
    lbPer9Pints: 13,
    bushelLb: 53,
    bushelQuarts: [15, 21],
    lbPerQuart: 3,
    source: 'handbook',
  },
];
