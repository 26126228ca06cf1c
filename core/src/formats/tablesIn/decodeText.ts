/** What a file's bytes were written in. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** Bytes of a text that are looked at to tell what it is written in. */
const LOOKED_AT = 4_000;

/**
 * The text of a file as spreadsheets of any age and land write it: by its byte order mark; without one UTF-16 where every other
 * byte is none, UTF-8 where all of it is that, and else Windows-1252, in which any byte is a letter. WHATWG Encoding Standard.
 */
export function decodeText(bytes: Uint8Array): { text: string; encoding: Encoding } {
  const encoding = encodingOf(bytes);
  const read = new TextDecoder(encoding).decode(bytes);
  const text = encoding === 'windows-1252' ? read.replace(/[\u0080-\u009f]/g, ofWindows) : read;
  return { text: text.replace(/^\uFEFF/, ''), encoding };
}

/** What Windows writes where ISO 8859-1 has nothing to see: some decoders leave these bytes as they are. */
const OF_WINDOWS = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

function ofWindows(sign: string): string {
  return OF_WINDOWS[sign.charCodeAt(0) - 0x80] ?? sign;
}

function encodingOf(bytes: Uint8Array): Encoding {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const looked = bytes.subarray(0, LOOKED_AT);
  const nones = [0, 1].map((odd) => looked.filter((byte, i) => i % 2 === odd && byte === 0).length);
  const half = looked.length / 2;
  // Latin letters in two bytes: the upper one is none.
  if ((nones[1] ?? 0) > half / 3 && (nones[0] ?? 0) < half / 20) return 'utf-16le';
  if ((nones[0] ?? 0) > half / 3 && (nones[1] ?? 0) < half / 20) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}
