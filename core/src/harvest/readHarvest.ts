import pluralize from 'pluralize';
import { type ProduceId, produceRow } from '../handbook/produce';
import { type Unit, unitWords } from '../measure/amount';
import { readAmount } from '../measure/readAmount';
import { readNumber } from '../measure/readNumber';
import { massOf } from './massOf';
import { findOwnMeasure, type OwnMeasure } from './ownMeasure';

export type HarvestReading =
  | { readonly kind: 'mass'; readonly massKg: number; readonly told: string }
  /** Nothing typed yet: no reproach. */
  | { readonly kind: 'empty' }
  | { readonly kind: 'slip'; readonly sentence: string }
  /** How much one of this measure weighs is not known; once told, it is remembered. */
  | { readonly kind: 'ask'; readonly measure: string; readonly measureWords: string; readonly sentence: string };

/** A number and a word that is no measure of the book: "2 colanders". */
const OWN_VESSEL = /^(.*?)\s*([a-z][a-z -]{1,30})$/i;

/**
 * Reads an amount of a crop as it is told in a garden: "68", "1/2 bushel", "2 colanders". The household's own measures
 * stand before the book's.
 *
 * @param unitWhenBare the measure meant when the text names none
 */
export function readHarvest(
  typed: string,
  crop: ProduceId,
  unitWhenBare: Unit,
  own: readonly OwnMeasure[] = [],
): HarvestReading {
  const reading = readAmount(typed, unitWhenBare);
  if (reading.kind === 'unreadable') {
    if (reading.why === 'empty') return { kind: 'empty' };
    const vessel = inOwnVessel(typed, crop, own);
    if (vessel) return vessel;
    const sentence =
      reading.why === 'negative'
        ? 'Less than nothing cannot be picked.'
        : `"${typed}" is not an amount. Try 68, 1 1/4 or ½ bushel.`;
    return { kind: 'slip', sentence };
  }
  const { amount } = reading;
  if (amount.value === 0) return { kind: 'empty' };
  const figure = typed.replace(/[a-z#.\s-]+$/i, '').trim() || '1';
  const told = `${figure} ${unitWords(amount.value, amount.unit)}`;
  const known = findOwnMeasure(own, crop, amount.unit);
  const mass = known ? massOf({ value: amount.value * known.massKg, unit: 'kg' }, crop) : massOf(amount, crop);
  if (mass.kind === 'mass') return { kind: 'mass', massKg: mass.massKg, told };
  const hasNoWeight = !known && massOf({ value: 1, unit: amount.unit }, crop).kind === 'refusal';
  return hasNoWeight ? ask(amount.unit, unitWords(1, amount.unit), crop) : { kind: 'slip', sentence: mass.reason };
}

function inOwnVessel(typed: string, crop: ProduceId, own: readonly OwnMeasure[]): HarvestReading | undefined {
  const match = OWN_VESSEL.exec(typed.trim());
  if (!match) return undefined;
  const [, figure = '', word = ''] = match;
  const count = readNumber(figure);
  if (count.kind === 'unreadable' || !(count.value > 0)) return undefined;
  const measure = pluralize.singular(word.toLowerCase());
  const known = findOwnMeasure(own, crop, measure);
  if (!known) return ask(measure, measure, crop);
  const mass = massOf({ value: count.value * known.massKg, unit: 'kg' }, crop);
  return mass.kind === 'mass'
    ? { kind: 'mass', massKg: mass.massKg, told: `${figure} ${pluralize(measure, count.value > 1 ? 2 : 1)}` }
    : { kind: 'slip', sentence: mass.reason };
}

function ask(measure: string, measureWords: string, crop: ProduceId): HarvestReading {
  const sentence = `What does one ${measureWords} of ${produceRow(crop).name.toLowerCase()} weigh? Asked once, then remembered.`;
  return { kind: 'ask', measure, measureWords, sentence };
}
