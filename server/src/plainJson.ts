/** Deeper than anything of a household goes. */
const DEEPEST = 40;

/** Keys through which JSON could reach into the program instead of being data. */
const HOSTILE_KEYS = new Set(['__proto__', 'constructor', 'prototype']);

/** Control characters but tab and line ends, halves of a pair, and what is no character: nobody types them, and they break files. */
const NO_TEXT =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/**
 * What no value from outside may hold, wherever it stands: a number beyond all numbers (JSON's `1e999`), characters that are
 * none, a nest without end.
 *
 * @returns why not, or undefined where it is plain
 */
export function notPlain(value: unknown): string | undefined {
  const open: { value: unknown; depth: number }[] = [{ value, depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: each, depth } = next;
    if (typeof each === 'number' && !Number.isFinite(each)) return 'holds a number that is none';
    if (typeof each === 'string' && NO_TEXT.test(each)) return 'holds characters that are no text';
    if (typeof each !== 'object' || each === null) continue;
    if (depth >= DEEPEST) return 'is nested too deep';
    for (const [key, inner] of Object.entries(each)) {
      if (HOSTILE_KEYS.has(key)) return 'holds a name that is no data';
      if (NO_TEXT.test(key)) return 'holds characters that are no text';
      open.push({ value: inner, depth: depth + 1 });
    }
  }
  return undefined;
}
