import { type JarCount, JAR_SIZES, JARS, type JarSize } from '../../handbook/jars';

/** Words without case, signs and doubled spaces. */
export function plainWords(words: string): string {
  return words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}/]+/gu, ' ')
    .trim();
}

const OTHER_SIZES: Readonly<Record<string, JarSize>> = {
  pt: 'pint',
  qt: 'quart',
  '1/2 pint': 'half-pint',
  '1/4 pint': 'quarter-pint',
  '1/2 gallon': 'half-gallon',
  '4 oz': 'quarter-pint',
  '8 oz': 'half-pint',
  '12 oz': 'twelve-ounce',
  '16 oz': 'pint',
  '24 oz': 'pint-and-half',
  '32 oz': 'quart',
  '64 oz': 'half-gallon',
};

const BY_SIZE = new Map<string, JarSize>([
  ...Object.entries(OTHER_SIZES),
  ...JAR_SIZES.flatMap((size) =>
    [size, JARS[size].one, JARS[size].several].map((each) => [plainWords(each), size] as const),
  ),
]);

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** The id that a row of the household's own table has; what other programs number their rows by is none. */
export function ownId(typed: string): { readonly id?: string } {
  return UUID.test(typed) ? { id: typed.toLowerCase() } : {};
}

/** A size of jar by any of its names: "Quarts", "32 oz", "half-pint jars". */
export function sizeNamed(words: string): JarSize | undefined {
  const plain = plainWords(words)
    .replace(/(\d)(oz|ounces?)\b/, '$1 oz')
    .replace(/ounces?( jars?)?$/, 'oz');
  return BY_SIZE.get(plainWords(words)) ?? BY_SIZE.get(plain) ?? BY_SIZE.get(plain.replace(/ jars?$/, ''));
}

/** The size that some words name among others: "wide-mouth quart jars". The longest name counts: a half-pint is no pint. */
export function sizeWithin(words: string): JarSize | undefined {
  const plain = ` ${plainWords(words)} `;
  const names = [...BY_SIZE].sort(([a], [b]) => b.length - a.length);
  return names.find(([name]) => plain.includes(` ${name} `))?.[1];
}

/** Jars of several sizes in one cell: "7 quarts, 2 pints", "7 quarts and 2 pints"; undefined for anything else. */
export function jarsNamed(words: string): JarCount[] | undefined {
  const counts = words.split(/,| and /).map((part) => {
    const [, typed = '', name = ''] = /^\s*(\d+)\s+(.+)$/.exec(part) ?? [];
    const count = wholeNumber(typed);
    const jar = sizeNamed(name);
    return count === undefined || jar === undefined ? undefined : { jar, count };
  });
  return counts.every((each) => each !== undefined) ? counts : undefined;
}

/** A whole number as tables write it: "1,250", "1.250", "1 250", "1250.0"; undefined for anything else. */
export function wholeNumber(words: string): number | undefined {
  const bare = words.trim().replace(/[.,]0{1,2}$/, '');
  const whole = /^\d{1,3}(?:([.,'\u00a0\u202f ])\d{3})(?:\1\d{3})*$/.test(bare) ? bare.replace(/\D/g, '') : bare;
  return /^\d{1,7}$/.test(whole) ? Number(whole) : undefined;
}
