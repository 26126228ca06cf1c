import { ML_PER_CUP } from './amount';
import { printFraction } from './fraction';

const ML_PER_QUART = 4 * ML_PER_CUP;

/** "5 1/2 quarts", or "5.2 l": a volume in the household's units, to the quarter quart or the tenth of a litre. */
export function volumeWords(ml: number, units: 'us' | 'metric'): string {
  if (units === 'metric') return `${Math.round(ml / 100) / 10} l`;
  const quarts = ml / ML_PER_QUART;
  return `${printFraction(quarts, 4)} ${quarts > 1 ? 'quarts' : 'quart'}`;
}
