import { printFraction } from './fraction';
import { readNumber, type NumberReading } from './readNumber';

/** A figure as a recipe gives it: one, or from low to high ("8-16 heads of dill"). */
export interface Span {
  readonly low: number;
  readonly high: number;
}

export type SpanReading = { kind: 'span'; span: Span } | Extract<NumberReading, { kind: 'unreadable' }>;

/** "2-3", "2 – 3", "2 to 3", "1 1/2-2"; a dash between a whole number and a fraction joins them ("1-1/4" is 1 1/4). */
const RANGE = /^(.*\S)\s*(?:[-–—]|\bto\b)\s*(\S.*)$/i;

/**
 * Reads a figure or a range of two: "8", "2-3", "1 1/4 to 1 1/2".
 *
 * @returns `unreadable` also for a range whose second figure is the smaller one
 */
export function readSpan(text: string): SpanReading {
  const whole = readNumber(text);
  if (whole.kind === 'number') return { kind: 'span', span: { low: whole.value, high: whole.value } };
  const range = RANGE.exec(text.trim());
  if (!range) return whole;
  const [low, high] = [readNumber(range[1] ?? ''), readNumber(range[2] ?? '')];
  if (low.kind === 'unreadable' || high.kind === 'unreadable') return whole;
  if (high.value < low.value) return { kind: 'unreadable', why: 'notANumber' };
  return { kind: 'span', span: { low: low.value, high: high.value } };
}

/** "8", "2 to 3", "1 1/4 to 1 1/2". */
export function printSpan({ low, high }: Span, parts = 8): string {
  const [first, last] = [printFraction(low, parts), printFraction(high, parts)];
  return first === last ? first : `${first} to ${last}`;
}
