import { type Unit } from '../measure/amount';
import { convertAmount } from '../measure/convertAmount';
import { readAmount } from '../measure/readAmount';
import { isLiquid, LEFT_WORDS } from './leftBehind';
import { type LeftKind } from './leftOf';

/** What was typed of something left behind. */
export type LeftReading =
  | { readonly kind: 'mass'; readonly massKg: number; readonly told: string }
  | { readonly kind: 'empty' }
  | { readonly kind: 'slip'; readonly sentence: string };

/**
 * Reads how much was left behind: what is liquid by its volume, a litre of it a kilogram (common practice), everything else by
 * its weight, since peels and pulp lie as they lie in a bowl.
 *
 * @param bare the unit of a figure that names none
 */
export function readLeft(typed: string, kind: LeftKind, bare: Unit): LeftReading {
  if (typed.trim() === '') return { kind: 'empty' };
  const reading = readAmount(typed, bare);
  if (reading.kind === 'unreadable')
    return { kind: 'slip', sentence: `"${typed}" is not an amount. Try ${isLiquid(kind) ? '3 quarts' : '4 lb'}.` };
  const kg = convertAmount(reading.amount, 'kg');
  const litres = isLiquid(kind) && kg.kind !== 'converted' ? convertAmount(reading.amount, 'l') : kg;
  if (litres.kind !== 'converted') {
    const words = LEFT_WORDS[kind];
    return { kind: 'slip', sentence: `What ${typed} of ${words} weigh is not known: put them on the scale.` };
  }
  if (!(litres.value > 0)) return { kind: 'slip', sentence: 'Nothing left over needs no entry.' };
  return { kind: 'mass', massKg: litres.value, told: /[a-z]/i.test(typed) ? typed.trim() : `${typed.trim()} ${bare}` };
}
