export type NumberReading =
  { kind: 'number'; value: number } | { kind: 'unreadable'; why: 'empty' | 'negative' | 'notANumber' };

/** The fraction signs a phone keyboard offers. */
const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const MIXED = /^(?:(\d+)(?:\s+|-))?(\d+)\s*[/⁄]\s*(\d+)$/;
const THOUSANDS = /^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/;
const DECIMAL = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;

/**
 * Reads a number as a cook types it: "12", "12.5", "1,5", "10,000", "1 1/4", "1-1/4", "1¼", "½".
 *
 * A comma before exactly three digits is read as a thousands mark ("1,250" is 1250), any other comma as a decimal one.
 *
 * @returns `unreadable` with the reason for an empty, negative or meaningless text; never NaN or infinity.
 */
export function readNumber(text: string): NumberReading {
  const spelled = text.replace(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${FRACTION_SIGNS[sign]}`).trim();
  if (spelled === '') return { kind: 'unreadable', why: 'empty' };
  if (/^[-−–]/.test(spelled)) return { kind: 'unreadable', why: 'negative' };
  const value = valueOf(spelled);
  return value !== undefined && Number.isFinite(value)
    ? { kind: 'number', value }
    : { kind: 'unreadable', why: 'notANumber' };
}

function valueOf(spelled: string): number | undefined {
  const mixed = MIXED.exec(spelled);
  if (mixed) {
    const denominator = Number(mixed[3]);
    return denominator === 0 ? undefined : Number(mixed[1] ?? 0) + Number(mixed[2]) / denominator;
  }
  if (THOUSANDS.test(spelled)) return Number(spelled.replaceAll(',', ''));
  if (DECIMAL.test(spelled)) return Number(spelled.replace(',', '.'));
  return undefined;
}
