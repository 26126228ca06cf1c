/** Without I, L, O and U, which are misread on a lid. Base 32 after Douglas Crockford, https://www.crockford.com/base32.html */
const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const MEANT: Readonly<Record<string, string>> = { I: '1', L: '1', O: '0', U: 'V' };
const LENGTH = 4;
const MODULUS = 32 ** LENGTH;

/**
 * A short code for the jars of one load, to write on their lids: four signs for the lot and one that ties it to this
 * household, so that a slip of the pen or a neighbour's jar is noticed.
 *
 * @param rootLotId the lot as it first came to the shelf: carrying jars does not change their code
 * @param mark the household's own number
 */
export function jarCode(rootLotId: string, mark: number): string {
  const value = hash(rootLotId) % MODULUS;
  const signs = Array.from({ length: LENGTH }, (_, i) => SIGNS[Math.floor(value / 32 ** (LENGTH - 1 - i)) % 32]);
  return signs.join('') + checkSign(signs.join(''), mark);
}

export type ReadCode =
  | { readonly kind: 'code'; readonly code: string }
  /** So many signs are still missing. */
  | { readonly kind: 'short'; readonly missing: number }
  /** Not a code, or one of another household. */
  | { readonly kind: 'foreign' };

/** Reads a code as it is typed: small letters, spaces, and the letters that look like figures are understood. */
export function readCode(typed: string, mark: number): ReadCode {
  const signs = [...typed.toUpperCase().replace(/[\s-]/g, '')].map((sign) => MEANT[sign] ?? sign);
  if (signs.some((sign) => !SIGNS.includes(sign)) || signs.length > LENGTH + 1) return { kind: 'foreign' };
  if (signs.length < LENGTH + 1) return { kind: 'short', missing: LENGTH + 1 - signs.length };
  const code = signs.join('');
  const own = checkSign(code.slice(0, LENGTH), mark) === code.at(-1);
  return own ? { kind: 'code', code } : { kind: 'foreign' };
}

function checkSign(signs: string, mark: number): string {
  return SIGNS[hash(`${mark} ${signs}`) % 32] ?? '0';
}

/** FNV-1a, 32 bit, with its last bits mixed. http://www.isthe.com/chongo/tech/comp/fnv/ */
function hash(words: string): number {
  let value = 0x81_1c_9d_c5;
  for (let i = 0; i < words.length; i++) value = Math.imul(value ^ words.charCodeAt(i), 0x01_00_01_93);
  value = Math.imul(value ^ (value >>> 15), 0x2c_1b_3c_6d);
  return (value ^ (value >>> 13)) >>> 0;
}
