/** Jar sizes by their handbook id, from small to large. */
export const JAR_SIZES = [
  'quarter-pint',
  'half-pint',
  'twelve-ounce',
  'pint',
  'pint-and-half',
  'quart',
  'half-gallon',
] as const;
export type JarSize = (typeof JAR_SIZES)[number];

export interface JarRow {
  readonly size: JarSize;
  readonly nominalFlOz: number;
  /** Outside, at the widest; a regular-mouth jar. Common practice, a household's own measure wins. */
  readonly maxDiameterIn: number;
  readonly heightIn: number;
  readonly one: string;
  readonly several: string;
}

/** Regular-mouth jars; those sold with a wide mouth only are given as such. Sizes are common practice. */
export const JARS: Readonly<Record<JarSize, JarRow>> = {
  'quarter-pint': {
    size: 'quarter-pint',
    nominalFlOz: 4,
    maxDiameterIn: 2.75,
    heightIn: 2.25,
    one: 'quarter-pint',
    several: 'quarter-pints',
  },
  'half-pint': {
    size: 'half-pint',
    nominalFlOz: 8,
    maxDiameterIn: 2.875,
    heightIn: 3.75,
    one: 'half-pint',
    several: 'half-pints',
  },
  'twelve-ounce': {
    size: 'twelve-ounce',
    nominalFlOz: 12,
    maxDiameterIn: 2.75,
    heightIn: 5.25,
    one: '12-ounce jar',
    several: '12-ounce jars',
  },
  pint: { size: 'pint', nominalFlOz: 16, maxDiameterIn: 3.125, heightIn: 5, one: 'pint', several: 'pints' },
  'pint-and-half': {
    size: 'pint-and-half',
    nominalFlOz: 24,
    maxDiameterIn: 3.375,
    heightIn: 6.875,
    one: 'pint-and-half',
    several: 'pint-and-halves',
  },
  quart: { size: 'quart', nominalFlOz: 32, maxDiameterIn: 3.75, heightIn: 6.75, one: 'quart', several: 'quarts' },
  'half-gallon': {
    size: 'half-gallon',
    nominalFlOz: 64,
    maxDiameterIn: 4.75,
    heightIn: 9.5,
    one: 'half-gallon',
    several: 'half-gallons',
  },
};

/** "1 quart", "20 quarts". */
export function countJars(count: number, size: JarSize): string {
  return `${count} ${count === 1 ? JARS[size].one : JARS[size].several}`;
}
