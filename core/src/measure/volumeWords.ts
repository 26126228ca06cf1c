import { ML_PER_QUART } from './amount';
import { printFraction } from './fraction';

/** "5 1/2 quarts", or "5.2 l": a volume in the household's units, to the quarter quart or the tenth of a litre. */
export function volumeWords(ml: number, units: 'us' | 'metric'): string {
  if (units === 'metric') return `${Math.round(ml / 100) / 10} l`;
  const quarts = ml / ML_PER_QUART;
  return `${printFraction(quarts, 4)} ${quarts > 1 ? 'quarts' : 'quart'}`;
}
