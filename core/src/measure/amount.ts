/** International pound, exact. NIST Handbook 44, Appendix C. */
export const KG_PER_LB = 0.453_592_37;
const KG_PER_OZ = KG_PER_LB / 16;

/** US bushel and US liquid gallon in cubic inches, a cubic inch in millilitres, all exact. NIST Handbook 44, Appendix C. */
const BUSHEL_CUBIC_IN = 2150.42;
const GALLON_CUBIC_IN = 231;
const ML_PER_CUBIC_IN = 16.387_064;
const ML_PER_GALLON = GALLON_CUBIC_IN * ML_PER_CUBIC_IN;
export const ML_PER_CUP = ML_PER_GALLON / 16;
export const ML_PER_QUART = 4 * ML_PER_CUP;
export const ML_PER_TBSP = ML_PER_CUP / 16;
export const ML_PER_TSP = ML_PER_TBSP / 3;

interface UnitRow {
  readonly one: string;
  readonly several: string;
  readonly size:
    | { readonly kind: 'mass'; readonly kg: number }
    | { readonly kind: 'volume'; readonly ml: number }
    /** Produce as picked, level full, in a basket or bucket of so many bushels. */
    | { readonly kind: 'basket'; readonly bushels: number }
    /** A box whose weight is published crop by crop, or pieces. */
    | { readonly kind: 'lug' | 'quart-box' | 'pint-box' | 'count' };
}

const mass = (one: string, several: string, kg: number): UnitRow => ({ one, several, size: { kind: 'mass', kg } });
const volume = (one: string, several: string, ml: number): UnitRow => ({ one, several, size: { kind: 'volume', ml } });
const basket = (one: string, several: string, bushels: number): UnitRow => ({
  one,
  several,
  size: { kind: 'basket', bushels },
});

/**
 * Every measure a kitchen and a garden tell amounts in, with one and several of it as said in a sentence.
 *
 * Source: NIST Handbook 44, Appendix C, US customary; a quart, pint and cup are liquid measure. A gallon bag holds a
 * gallon (common practice); a lug and a quart box hold what is published for the crop, a pint box half a quart box.
 */
export const UNITS = {
  lb: mass('lb', 'lb', KG_PER_LB),
  oz: mass('oz', 'oz', KG_PER_OZ),
  kg: mass('kg', 'kg', 1),
  g: mass('g', 'g', 0.001),
  bushel: basket('bushel', 'bushels', 1),
  'half-bushel': basket('half bushel', 'half bushels', 1 / 2),
  peck: basket('peck', 'pecks', 1 / 4),
  lug: { one: 'lug', several: 'lugs', size: { kind: 'lug' } },
  'five-gallon-bucket': basket('five-gallon bucket', 'five-gallon buckets', (5 * GALLON_CUBIC_IN) / BUSHEL_CUBIC_IN),
  'quart-box': { one: 'quart box', several: 'quart boxes', size: { kind: 'quart-box' } },
  'pint-box': { one: 'pint box', several: 'pint boxes', size: { kind: 'pint-box' } },
  'gallon-bag': volume('gallon bag', 'gallon bags', ML_PER_GALLON),
  gallon: volume('gallon', 'gallons', ML_PER_GALLON),
  quart: volume('quart', 'quarts', ML_PER_GALLON / 4),
  pint: volume('pint', 'pints', ML_PER_GALLON / 8),
  cup: volume('cup', 'cups', ML_PER_CUP),
  tbsp: volume('Tbsp', 'Tbsp', ML_PER_TBSP),
  tsp: volume('tsp', 'tsp', ML_PER_TSP),
  l: volume('litre', 'litres', 1_000),
  ml: volume('ml', 'ml', 1),
  count: { one: 'piece', several: 'pieces', size: { kind: 'count' } },
} as const satisfies Record<string, UnitRow>;

export type Unit = keyof typeof UNITS;
export const UNIT_IDS = Object.keys(UNITS) as Unit[];

/** The measures a harvest is told in, in the order the keys stand. */
export const HARVEST_UNITS = ['lb', 'kg', 'bushel', 'half-bushel', 'peck', 'five-gallon-bucket'] as const;
export type HarvestUnit = (typeof HARVEST_UNITS)[number];

export interface Amount {
  readonly value: number;
  readonly unit: Unit;
}

/** Kind and size of a unit, whatever it is. */
export function sizeOf(unit: Unit): UnitRow['size'] {
  return UNITS[unit].size;
}

/** "1 bushel", "3 quarts": the figure as it is given, with its unit. */
export function unitWords(value: number, unit: Unit): string {
  return value > 0 && value <= 1 ? UNITS[unit].one : UNITS[unit].several;
}
