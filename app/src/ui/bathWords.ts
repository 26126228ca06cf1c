import { degreesWords } from '@hoddle/core/measure/degreesWords';
import { BATH_F } from '@hoddle/core/process/findProcess';
import { type Units } from './amountWords';

/** Between what a low-temperature bath is held, as a household reads its thermometer: "180 to 185 F". */
export function bathWords(units: Units): { readonly low: string; readonly high: string; readonly both: string } {
  const [low, high] = [degreesWords(BATH_F.low, units), degreesWords(BATH_F.high, units)];
  return { low, high, both: `${low.replace(/ .*/, '')} to ${high}` };
}
