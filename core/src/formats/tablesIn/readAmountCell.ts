import { type ProduceId } from '../../handbook/produce';
import { type Unit } from '../../measure/amount';
import { readAmount } from '../../measure/readAmount';
import { massOf } from '../../harvest/massOf';

/** Kilograms of a crop as a cell tells them; or what is wrong with it. */
export type CellMass =
  { readonly kind: 'mass'; readonly massKg: number } | { readonly kind: 'fault'; readonly says: string };

const IN_HEAD: readonly (readonly [RegExp, Unit])[] = [
  [/\b(kgs?|kilos?|kilograms?)\b/i, 'kg'],
  [/\b(lbs?|pounds?)\b/i, 'lb'],
  [/\b(oz|ounces?)\b/i, 'oz'],
  [/\b(bushels?|bu)\b/i, 'bushel'],
  [/\b(g|grams?)\b/i, 'g'],
];

/**
 * An amount of produce: "68 lb", "1/2 bushel", "68" in the unit of its column's name ("Weight (kg)"), of a cell beside it, or of the
 * household.
 */
export function readAmountCell(
  typed: string,
  told: { readonly head: string; readonly unit: string },
  crop: ProduceId,
  units: 'us' | 'metric',
): CellMass {
  if (typed.trim() === '') return { kind: 'fault', says: 'is missing' };
  const inHead = IN_HEAD.find(([pattern]) => pattern.test(told.head))?.[1];
  const bare = inHead ?? (units === 'metric' ? 'kg' : 'lb');
  // 1,250.5 and 1.250,5: the mark that comes last is the decimal one.
  const figure = typed
    .trim()
    .replace(/^(\d{1,3})\.(\d{3}),(\d+)/, '$1$2.$3')
    .replace(/^(\d{1,3})[' \u00a0\u202f](\d{3})\b/, '$1$2');
  const read = readAmount(told.unit === '' ? figure : `${figure} ${told.unit}`, bare);
  if (read.kind === 'unreadable') return { kind: 'fault', says: 'is no amount: write it as 68 lb, or 30 kg' };
  const mass = massOf(read.amount, crop);
  return mass.kind === 'mass' ? mass : { kind: 'fault', says: `cannot be: ${mass.reason}` };
}
