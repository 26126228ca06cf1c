import { ML_PER_QUART } from './amount';
import { printFraction } from './fraction';

/** "5 1/2 quarts", or "5.2 l": a volume in the household's units, to the quarter quart or the tenth of a litre. */
export function volumeWords(ml: number, units: 'us' | 'metric'): string {
  if (units === 'metric') return `${Math.round(ml / 100) / 10} l`;
  const quarts = ml / ML_PER_QUART;
  return `${printFraction(quarts, 4)} ${quarts > 1 ? 'quarts' : 'quart'}`;
}

/** How large a pot must be: the next whole quart or litre up, never less. */
export function potWords(ml: number, units: 'us' | 'metric'): string {
  const each = units === 'metric' ? 1_000 : ML_PER_QUART;
  return volumeWords(Math.max(1, Math.ceil(ml / each - 1e-6)) * each, units);
}
