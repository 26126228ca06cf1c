import { type CropId } from './crops';

export interface ProductRow {
  readonly product: ProductId;
  readonly name: string;
  /** Short, after a count of jars: "14 quarts crushed". */
  readonly shortName: string;
  readonly otherNames: readonly string[];
  readonly crops: readonly CropId[];
  /** Keeping class: says how long an opened or unsealed jar lasts in the refrigerator. */
  readonly keepingClass: 'tomato' | 'fruit';
  /** The key of its rows in the table of tested times. */
  readonly process: 'tomatoes-crushed' | 'tomatoes-whole-in-water' | 'tomato-sauce' | 'plums';
  /** The pack its step sequence makes. Where both are tested the minutes are in the table for both. */
  readonly pack: 'hot' | 'raw';
  /** The form, fill and cut the tested time holds for, as sentences. */
  readonly conditions: readonly string[];
  /** The steps in the order done; `boil-5` is the step `boil-N` with 5 minutes. */
  readonly sequence: readonly string[];
}

export type ProductId = 'tomatoes-crushed' | 'tomatoes-whole-in-water' | 'tomato-sauce-thin' | 'plums';

/** Source: USDA Complete Guide to Home Canning, 2015, guides 2 and 3, as recalled; sequences are common practice. */
export const PRODUCTS: readonly ProductRow[] = [
  {
    product: 'tomatoes-crushed',
    name: 'Crushed tomatoes',
    shortName: 'crushed',
    otherNames: ['stewed tomatoes', 'quartered tomatoes'],
    crops: ['tomato-paste', 'tomato-slicing'],
    keepingClass: 'tomato',
    process: 'tomatoes-crushed',
    pack: 'hot',
    conditions: ['Peeled, cored and crushed tomatoes alone', 'boiled 5 min, filled boiling hot', 'no liquid added'],
    sequence: ['wash', 'scald-peel', 'core', 'crush-heat', 'boil-5', 'acid', 'fill'],
  },
  {
    product: 'tomatoes-whole-in-water',
    name: 'Whole tomatoes in water',
    shortName: 'whole',
    otherNames: ['halved tomatoes'],
    crops: ['tomato-paste', 'tomato-slicing'],
    keepingClass: 'tomato',
    process: 'tomatoes-whole-in-water',
    pack: 'raw',
    conditions: ['Peeled, cored tomatoes, whole or halved', 'covered with boiling water'],
    sequence: ['wash', 'scald-peel', 'core', 'acid', 'raw-pack', 'top-up', 'close'],
  },
  {
    product: 'tomato-sauce-thin',
    name: 'Thin tomato sauce',
    shortName: 'sauce',
    otherNames: ['passata'],
    crops: ['tomato-paste', 'tomato-slicing'],
    keepingClass: 'tomato',
    process: 'tomato-sauce',
    pack: 'hot',
    conditions: ['Tomatoes alone, milled and cooked down by a third', 'filled boiling hot', 'no starch, oil or onion'],
    sequence: ['wash', 'chop', 'simmer-5', 'food-mill', 'cook-down-third', 'acid', 'fill'],
  },
  {
    product: 'plums',
    name: 'Plums or damsons in syrup',
    shortName: 'in syrup',
    otherNames: ['damsons'],
    crops: ['damson', 'plum'],
    keepingClass: 'fruit',
    process: 'plums',
    pack: 'hot',
    conditions: ['Whole or halved plums in syrup, juice or water', 'boiled 2 min, stood 30 min covered, filled hot'],
    sequence: ['wash-prick', 'syrup', 'boil-2', 'stand-30', 'fill'],
  },
];

/** The product's row, or undefined when the handbook does not have it. */
export function findProduct(product: string): ProductRow | undefined {
  return PRODUCTS.find((row) => row.product === product);
}

/** The row of a product known to exist. @throws RangeError for an id the handbook does not have. */
export function productRow(product: string): ProductRow {
  const row = findProduct(product);
  if (!row) throw new RangeError(`no product ${JSON.stringify(product)} in the handbook`);
  return row;
}
