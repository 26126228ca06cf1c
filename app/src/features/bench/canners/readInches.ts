import { readNumber } from '@hoddle/core/measure/readNumber';

/** What was typed as inches, "13 1/4" or "13.25"; undefined for what is no measure between the two. */
export function readInches(typed: string, least: number, most: number): number | undefined {
  const reading = readNumber(typed.replace(/\s*(in|inch|inches|")\.?$/i, ''));
  if (reading.kind === 'unreadable') return undefined;
  return reading.value >= least && reading.value <= most ? reading.value : undefined;
}
