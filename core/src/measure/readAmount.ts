import { type Amount, type Unit } from './amount';
import { readNumber, type NumberReading } from './readNumber';

export type AmountReading = { kind: 'amount'; amount: Amount } | Extract<NumberReading, { kind: 'unreadable' }>;

/** As hands write them; longer names stand before the shorter ones they end in. */
const SPELLINGS: readonly [spelling: string, Unit][] = [
  ['half[\\s-]?(?:a\\s)?bushels?', 'half-bushel'],
  ['(?:bushels?|bu)', 'bushel'],
  ['pecks?', 'peck'],
  ['lugs?', 'lug'],
  ['(?:(?:five|5)[\\s-]?gal(?:lon|\\.)?\\s*)?(?:buckets?|pails?)', 'five-gallon-bucket'],
  ['(?:gallon|gal\\.?)[\\s-]?bags?', 'gallon-bag'],
  ['quart[\\s-]?box(?:es)?', 'quart-box'],
  ['pint[\\s-]?box(?:es)?', 'pint-box'],
  ['(?:gallons?|gals?)', 'gallon'],
  ['(?:quarts?|qts?)', 'quart'],
  ['(?:pints?|pts?)', 'pint'],
  ['(?:cups?|c)', 'cup'],
  ['(?:tablespoons?|tbsps?|tbs?)', 'tbsp'],
  ['(?:teaspoons?|tsps?)', 'tsp'],
  ['(?:millilit(?:re|er)s?|mls?)', 'ml'],
  ['(?:lit(?:re|er)s?|l)', 'l'],
  ['(?:lbs?|pounds?|#)', 'lb'],
  ['(?:ounces?|ozs?)', 'oz'],
  ['(?:kgs?|kilos?|kilograms?)', 'kg'],
  ['(?:grams?|g)', 'g'],
  ['(?:pieces?|pcs?|ears?|heads?|whole)', 'count'],
];

const UNIT_PATTERNS = SPELLINGS.map(
  ([spelling, unit]) => [new RegExp(`(?<![a-z])${spelling}\\.?$`, 'i'), unit] as const,
);

/** One capital T is a tablespoon and one small t a teaspoon, as recipe cards have it. */
const CARD_SPOON = /(?<![a-z])[Tt]\.?$/;

/**
 * Reads an amount typed by hand: a number with or without its measure ("½ bushel", "1 1/4 pecks", "68 lb", "2 T", "68").
 * A measure without a number means one of it ("half bushel").
 *
 * @param unitWhenBare the measure meant when the text names none
 */
export function readAmount(text: string, unitWhenBare: Unit): AmountReading {
  const typed = text.trim();
  const spoon = CARD_SPOON.exec(typed);
  if (spoon) return withUnit(typed.slice(0, spoon.index), spoon[0].startsWith('T') ? 'tbsp' : 'tsp');
  for (const [pattern, unit] of UNIT_PATTERNS) {
    if (pattern.test(typed)) return withUnit(typed.replace(pattern, ''), unit);
  }
  return withUnit(typed, unitWhenBare, { bare: true });
}

function withUnit(before: string, unit: Unit, { bare = false } = {}): AmountReading {
  const figure = before.trim();
  const reading = readNumber(figure === '' && !bare ? '1' : figure);
  return reading.kind === 'number' ? { kind: 'amount', amount: { value: reading.value, unit } } : reading;
}
