import { type Cited, COMMON_PRACTICE } from './source';

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
export type Mouth = 'regular' | 'wide';

type Row = readonly [JarSize, nominalFlOz: number, Mouth, maxDiameterIn: number, heightIn: number, lids: Mouth];

/** Sizes are approximate, common practice; a household's own measure wins. */
// One jar a line, as the table is printed.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['quarter-pint', 4, 'regular', 2.75, 2.25, 'regular'],
  ['half-pint', 8, 'regular', 2.875, 3.75, 'regular'],
  ['half-pint', 8, 'wide', 3.375, 2.75, 'wide'],
  ['twelve-ounce', 12, 'regular', 2.75, 5.25, 'regular'],
  ['pint', 16, 'regular', 3.125, 5, 'regular'],
  ['pint', 16, 'wide', 3.375, 4.75, 'wide'],
  ['pint-and-half', 24, 'wide', 3.375, 6.875, 'wide'],
  ['quart', 32, 'regular', 3.75, 6.75, 'regular'],
  ['quart', 32, 'wide', 3.875, 6.75, 'wide'],
  ['half-gallon', 64, 'wide', 4.75, 9.5, 'wide'],
];

export interface JarRow extends Cited {
  readonly size: JarSize;
  readonly nominalFlOz: number;
  readonly mouth: Mouth;
  /** Outside, at the widest. */
  readonly maxDiameterIn: number;
  readonly heightIn: number;
  readonly lids: Mouth;
  readonly one: string;
  readonly several: string;
}

const WORDS: Readonly<Record<JarSize, readonly [one: string, several: string]>> = {
  'quarter-pint': ['quarter-pint', 'quarter-pints'],
  'half-pint': ['half-pint', 'half-pints'],
  'twelve-ounce': ['12-ounce jar', '12-ounce jars'],
  pint: ['pint', 'pints'],
  'pint-and-half': ['pint-and-half', 'pint-and-halves'],
  quart: ['quart', 'quarts'],
  'half-gallon': ['half-gallon', 'half-gallons'],
};

/** Every jar that is sold, by size and mouth. */
export const JAR_ROWS: readonly JarRow[] = ROWS.map(([size, nominalFlOz, mouth, maxDiameterIn, heightIn, lids]) => {
  const [one, several] = WORDS[size];
  return { size, nominalFlOz, mouth, maxDiameterIn, heightIn, lids, one, several, ...COMMON_PRACTICE };
});

/** One jar of each size: the regular mouth, or the wide one where there is no other. */
export const JARS = Object.fromEntries([...JAR_ROWS].reverse().map((row) => [row.size, row])) as Readonly<
  Record<JarSize, JarRow>
>;

/** "6 quarts, 4 pints and 3 half-pints". */
export function countSizes(counts: readonly JarCount[]): string {
  const words = counts.map(({ jar, count }) => countJars(count, jar));
  const [last] = words.slice(-1);
  return words.length < 2 ? (last ?? '') : `${words.slice(0, -1).join(', ')} and ${last}`;
}

/** "1 quart", "20 quarts". */
export function countJars(count: number, size: JarSize): string {
  return `${count} ${count === 1 ? JARS[size].one : JARS[size].several}`;
}

/** Whether a text names a jar size of the handbook. */
export function isJarSize(text: string): text is JarSize {
  return (JAR_SIZES as readonly string[]).includes(text);
}

/** Full jars of one size. */
export interface JarCount {
  readonly jar: JarSize;
  readonly count: number;
}

/** Quarts in a jar of a size. */
export function quartsPerJar(jar: JarSize): number {
  return JARS[jar].nominalFlOz / JARS.quart.nominalFlOz;
}
