import { KG_PER_LB } from '../measure/amount';

/** What an instrument measures, and where it is used. */
export type InstrumentKind = 'kitchen-scale' | 'hanging-scale' | 'probe' | 'pressure-gauge' | 'jar-counter';

export type InstrumentUnit = 'g' | 'kg' | 'oz' | 'lb' | 'F' | 'C' | 'psi' | 'kPa' | 'jars';

/** What an instrument says of itself when it comes, and again when something of it changes. */
export interface Announced {
  readonly id: string;
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly unit: InstrumentUnit;
  /** The smallest step it tells, in its unit. */
  readonly step: number;
  /** Percent, where it has one. */
  readonly battery?: number;
  /** What its own clock says now, epoch milliseconds: what it kept while nobody heard it is dated by that. */
  readonly at?: number;
}

export interface Measure {
  /** What readings are kept in: grams, degrees Fahrenheit, pounds a square inch over the air's, jars. */
  readonly base: 'g' | 'F' | 'psi' | 'jars';
  /** From a unit that such an instrument may tell, to the base. */
  readonly toBase: Readonly<Partial<Record<InstrumentUnit, (value: number) => number>>>;
  /** Beyond these nothing of a kitchen lies, in the base. */
  readonly lowest: number;
  readonly highest: number;
}

const GRAMS_PER_LB = 1_000 * KG_PER_LB;
const GRAMS_PER_OZ = GRAMS_PER_LB / 16;
/** A pound a square inch. NIST Special Publication 811. */
const KPA_PER_PSI = 6.894_757;

const same = (value: number) => value;
const WEIGHT: Pick<Measure, 'base' | 'toBase'> = {
  base: 'g',
  toBase: {
    g: same,
    kg: (value) => 1_000 * value,
    oz: (value) => GRAMS_PER_OZ * value,
    lb: (value) => GRAMS_PER_LB * value,
  },
};

/** By kind, what it may tell. Bounds are common practice: a scale shows less than nothing when what was tared is lifted off. */
export const MEASURES: Readonly<Record<InstrumentKind, Measure>> = {
  'kitchen-scale': { ...WEIGHT, lowest: -20_000, highest: 40_000 },
  'hanging-scale': { ...WEIGHT, lowest: -50_000, highest: 200_000 },
  probe: { base: 'F', toBase: { F: same, C: (value) => value * 1.8 + 32 }, lowest: -60, highest: 600 },
  'pressure-gauge': {
    base: 'psi',
    toBase: { psi: same, kPa: (value) => value / KPA_PER_PSI },
    lowest: -2,
    highest: 30,
  },
  'jar-counter': { base: 'jars', toBase: { jars: same }, lowest: -200, highest: 200 },
};

/** How much the smallest step of an instrument is in the base of its kind. */
export function stepInBase({ kind, unit, step }: Pick<Announced, 'kind' | 'unit' | 'step'>): number | undefined {
  const toBase = MEASURES[kind].toBase[unit];
  return toBase && toBase(step) - toBase(0);
}
