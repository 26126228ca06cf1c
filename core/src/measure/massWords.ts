import { KG_PER_LB } from './amount';
import { printFraction } from './fraction';

/** "68 lb", "13 1/4 lb", or "30.8 kg": a mass in the household's units, to the quarter pound or tenth of a kilogram below 20. */
export function massWords(massKg: number, units: 'us' | 'metric'): string {
  if (units === 'metric') return `${massKg < 20 ? Math.round(massKg * 10) / 10 : Math.round(massKg)} kg`;
  const lb = massKg / KG_PER_LB;
  return `${lb < 20 ? printFraction(lb, 4) : Math.round(lb)} lb`;
}
