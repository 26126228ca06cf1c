import { type ProductClass, type ProductId, productRow } from './products';
import { type Cited, cited, type Guide } from './source';

type Row = readonly [
  product: ProductId,
  lbPer7Quarts: number | null,
  lbPer9Pints: number | null,
  container: string,
  containerLb: number | null,
  quartsLow: number | null,
  quartsHigh: number | null,
  lbPerQuart: number | null,
];

// One product a line, as the table is printed.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['apples-sliced', 19, 12.25, 'bushel', 48, 16, 19, 2.75],
  ['applesauce', 21, 13.5, 'bushel', 48, 14, 19, 3],
  ['apricots', 16, 10, 'bushel', 50, 20, 25, 2.25],
  ['berries-whole', 12, 8, '24-quart crate', 36, 18, 24, 1.75],
  ['cherries-whole', 17.5, 11, 'lug', 25, 8, 12, 2.5],
  ['figs', 16, 11, '', null, null, null, 2.5],
  ['grape-juice', 24.5, 16, 'lug', 26, 7, 9, 3.5],
  ['grapes-whole', 14, 9, 'lug', 26, 12, 14, 2],
  ['peaches', 17.5, 11, 'bushel', 48, 16, 24, 2.5],
  ['nectarines', 17.5, 11, 'bushel', 48, 16, 24, 2.5],
  ['pears-halved', 17.5, 11, 'bushel', 50, 16, 25, 2.5],
  ['plums', 14, 9, 'bushel', 56, 22, 36, 2],
  ['rhubarb-stewed', 10.5, 7, 'lug', 28, 14, 28, 1.5],
  ['tomato-juice', 23, 14, 'bushel', 53, 15, 18, 3.25],
  ['tomatoes-crushed', 22, 14, 'bushel', 53, 17, 20, 2.75],
  ['tomato-sauce-thin', 35, 21, 'bushel', 53, 10, 12, 5],
  ['tomato-sauce-thick', 46, 28, 'bushel', 53, 7, 9, 6.5],
  ['tomatoes-whole-in-water', 21, 13, 'bushel', 53, 15, 21, 3],
  ['tomatoes-whole-in-juice', 21, 13, 'bushel', 53, 15, 21, 3],
  ['tomatoes-raw-no-liquid', 21, 13, 'bushel', 53, 15, 21, 3],
  ['snap-beans', 14, 9, 'bushel', 30, 12, 20, 2],
  ['beets', 21, 13.5, 'bushel', 52, 15, 20, 3],
  ['carrots', 17.5, 11, 'bushel', 50, 17, 25, 2.5],
  ['corn-whole-kernel', 31.5, 20, 'bushel', 35, 6, 11, 4.5],
  ['peas', 31.5, 20, 'bushel', 30, 5, 10, 4.5],
  ['lima-beans', 28, 18, 'bushel', 32, 6, 10, 4],
  ['okra', 11, 7, 'bushel', 26, 16, 18, 1.5],
  ['asparagus', 24.5, 16, 'crate', 31, 7, 12, 3.5],
  ['spinach-greens', 28, 18, 'bushel', 18, 3, 9, 4],
  ['pumpkin-winter-squash', 16, 10, '', null, null, null, 2.25],
  ['potatoes-white', 20, 13, 'bag', 50, 18, 22, 2.75],
  ['sweet-potatoes', 17.5, 11, 'bushel', 50, 17, 25, 2.5],
  ['pineapple', 21, 13, '', null, null, null, 3],
  ['dried-beans', 5, 3.25, '', null, null, null, 0.75],
  ['peppers', null, 9, 'bushel', 25, 10, 15, 2],
  ['mushrooms', null, 14.5, '', null, null, null, 4],
  ['tomato-vegetable-juice', 22, null, '', null, null, null, null],
];

export interface QuantityRow extends Cited {
  readonly product: ProductId;
  /** Pounds as picked for a canner load of 7 quarts, and of 9 pints. */
  readonly lbPer7Quarts?: number;
  readonly lbPer9Pints?: number;
  /** A container of that many pounds yields between these many quarts. */
  readonly container?: {
    readonly name: string;
    readonly lb: number;
    readonly quarts: readonly [low: number, high: number];
  };
  readonly lbPerQuart?: number;
}

/** The guide that prints the quantities of a kind of food. */
const GUIDES: Partial<Record<ProductClass, Guide>> = { tomato: 3, 'low-acid': 4 };

/** Source: USDA Complete Guide to Home Canning, 2015, guides 2, 3 and 4, "Quantity", as recalled. */
export const QUANTITIES: readonly QuantityRow[] = ROWS.map(([product, per7, per9, name, lb, low, high, perQuart]) => ({
  product,
  ...(per7 !== null && { lbPer7Quarts: per7 }),
  ...(per9 !== null && { lbPer9Pints: per9 }),
  ...(lb !== null && low !== null && high !== null && { container: { name, lb, quarts: [low, high] as const } }),
  ...(perQuart !== null && { lbPerQuart: perQuart }),
  ...cited(GUIDES[productRow(product).productClass] ?? 2),
}));
