import { readNumber } from '@hoddle/core/measure/readNumber';

export type Count = { kind: 'count'; value: number } | { kind: 'empty' } | { kind: 'slip'; sentence: string };

/** More jars than a household fills at once: a typing slip. */
const MOST_JARS = 300;

/** A number of jars as it is typed: whole, from 1 up to what a household fills. */
export function readJars(typed: string): Count {
  const reading = readNumber(typed);
  if (reading.kind === 'unreadable') {
    if (reading.why === 'empty') return { kind: 'empty' };
    return {
      kind: 'slip',
      sentence:
        reading.why === 'negative' ? 'Fewer jars than none cannot be filled.' : `"${typed}" is no number of jars.`,
    };
  }
  const { value } = reading;
  if (value === 0) return { kind: 'slip', sentence: 'No jars, nothing to measure: how many are there?' };
  if (!Number.isInteger(value))
    return { kind: 'slip', sentence: 'Jars come whole: a part jar goes into a smaller one.' };
  if (value > MOST_JARS) {
    return {
      kind: 'slip',
      sentence: `${value.toLocaleString('en-US')} jars at once? Up to ${MOST_JARS} are worked out.`,
    };
  }
  return { kind: 'count', value };
}

/** A measure as it is typed, 0 or more: cups, pounds, percent. */
export function readMeasure(typed: string, what: string, most = 10_000): Count {
  const reading = readNumber(typed);
  if (reading.kind === 'unreadable') {
    if (reading.why === 'empty') return { kind: 'empty' };
    return {
      kind: 'slip',
      sentence:
        reading.why === 'negative'
          ? `Less than no ${what} cannot be measured.`
          : `"${typed}" is no number of ${what}. Try 1 1/2.`,
    };
  }
  if (reading.value > most)
    return { kind: 'slip', sentence: `More ${what} than a kitchen holds: up to ${most.toLocaleString('en-US')}.` };
  return { kind: 'count', value: reading.value };
}
