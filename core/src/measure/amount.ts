/** The measures a harvest is told in, in the order the keys stand. */
export const HARVEST_UNITS = ['lb', 'kg', 'bushel', 'half-bushel', 'peck', 'five-gallon-bucket'] as const;
export type HarvestUnit = (typeof HARVEST_UNITS)[number];

export interface Amount {
  readonly value: number;
  readonly unit: HarvestUnit;
}

/** International pound, exact. NIST Handbook 44, Appendix C. */
export const KG_PER_LB = 0.453_592_37;

/** US bushel in cubic inches and US liquid gallon in cubic inches, both exact. NIST Handbook 44, Appendix C. */
const BUSHEL_CUBIC_IN = 2150.42;
const GALLON_CUBIC_IN = 231;

/** How many bushels one container of produce holds, level full. */
export const BUSHELS_PER_CONTAINER: Readonly<Record<Exclude<HarvestUnit, 'lb' | 'kg'>, number>> = {
  bushel: 1,
  'half-bushel': 1 / 2,
  peck: 1 / 4,
  'five-gallon-bucket': (5 * GALLON_CUBIC_IN) / BUSHEL_CUBIC_IN,
};

/** One unit and several, as said in a sentence. */
export const UNIT_WORDS: Readonly<Record<HarvestUnit, readonly [one: string, several: string]>> = {
  lb: ['lb', 'lb'],
  kg: ['kg', 'kg'],
  bushel: ['bushel', 'bushels'],
  'half-bushel': ['half bushel', 'half bushels'],
  peck: ['peck', 'pecks'],
  'five-gallon-bucket': ['five-gallon bucket', 'five-gallon buckets'],
};
