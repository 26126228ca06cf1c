import { type Amount, type HarvestUnit } from './amount';
import { readNumber, type NumberReading } from './readNumber';

export type AmountReading = { kind: 'amount'; amount: Amount } | Extract<NumberReading, { kind: 'unreadable' }>;

const UNIT_PATTERNS: readonly [RegExp, HarvestUnit][] = [
  [/half[\s-]?bushels?$/i, 'half-bushel'],
  [/(?:bushels?|bu\.?)$/i, 'bushel'],
  [/pecks?$/i, 'peck'],
  [/(?:(?:five|5)[\s-]?gal(?:lon|\.)?\s*)?buckets?$/i, 'five-gallon-bucket'],
  [/(?:lbs?\.?|pounds?|#)$/i, 'lb'],
  [/(?:kgs?\.?|kilos?|kilograms?)$/i, 'kg'],
];

/**
 * Reads an amount typed by hand: a number with or without its measure ("½ bushel", "1 1/4 pecks", "68 lb", "68").
 * A measure without a number means one of it ("half bushel").
 *
 * @param unitWhenBare the measure meant when the text names none
 */
export function readAmount(text: string, unitWhenBare: HarvestUnit): AmountReading {
  const typed = text.trim();
  for (const [pattern, unit] of UNIT_PATTERNS) {
    if (!pattern.test(typed)) continue;
    const figure = typed.replace(pattern, '').trim();
    return withUnit(figure === '' ? '1' : figure, unit);
  }
  return withUnit(typed, unitWhenBare);
}

function withUnit(figure: string, unit: HarvestUnit): AmountReading {
  const reading = readNumber(figure);
  return reading.kind === 'number' ? { kind: 'amount', amount: { value: reading.value, unit } } : reading;
}
