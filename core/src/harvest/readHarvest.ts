import pluralize from 'pluralize';
import { formsOf } from '../handbook/forms';
import { type ProduceId, produceRow } from '../handbook/produce';
import { type Amount, sizeOf, type Unit, unitWords } from '../measure/amount';
import { readAmount } from '../measure/readAmount';
import { readNumber } from '../measure/readNumber';
import { massOf } from './massOf';
import { findOwnMeasure, type OwnMeasure } from './ownMeasure';
import { MOST_TOLD } from './pick';

export type HarvestReading =
  | { readonly kind: 'mass'; readonly massKg: number; readonly told: string }
  /** Nothing typed yet: no reproach. */
  | { readonly kind: 'empty' }
  | { readonly kind: 'slip'; readonly sentence: string }
  /** A measure of something prepared, and in which way is not told: the amount in each that the handbook weighs. */
  | { readonly kind: 'form'; readonly ways: readonly string[]; readonly sentence: string }
  /** How much one of this measure weighs is not known; once told, it is remembered. */
  | { readonly kind: 'ask'; readonly measure: string; readonly measureWords: string; readonly sentence: string };

/** A number and a word that is no measure of the book: "2 colanders". */
const OWN_VESSEL = /^(.*?)\s*([a-z][a-z -]{1,30})$/i;

/** "3 bags and 2 lb": what is told one after the other is added up. */
const BETWEEN_PARTS = /\s*(?:,\s+|\+|&|\band\b|\bplus\b)\s*/i;
/** "1 and 1/2 lb" is one amount. */
const FRACTION_FIRST = /^(?:\d+\s*[/⁄]\s*\d+|[¼½¾⅓⅔⅛⅜⅝⅞])/;
const ONLY_A_FIGURE = /^\d+$/;

/**
 * Reads an amount of a crop as it is told in a garden or at a counter: "68", "1/2 bushel", "2 colanders", "6 cups sliced",
 * "3 bags and 2 lb". The household's own measures stand before the book's; a cup, quart or bag is of a prepared form, by the
 * handbook's table.
 *
 * @param unitWhenBare the measure meant when the text names none
 */
export function readHarvest(
  typed: string,
  crop: ProduceId,
  unitWhenBare: Unit,
  own: readonly OwnMeasure[] = [],
): HarvestReading {
  const parts = partsOf(typed);
  if (parts.length < 2) return readPart(parts[0] ?? typed, crop, unitWhenBare, own);
  const readings = parts.map((part) => readPart(part, crop, unitWhenBare, own));
  const unread = readings.findIndex(({ kind }) => kind !== 'mass' && kind !== 'empty');
  const first = readings[unread];
  // Each way to read one part is a way to read the whole.
  if (first?.kind === 'form') {
    const ways = first.ways.map((way) => parts.map((part, i) => (i === unread ? way : part)).join(' and '));
    return { ...first, ways };
  }
  if (first) return first;
  const masses = readings.flatMap((reading) => (reading.kind === 'mass' ? [reading] : []));
  if (masses.length === 0) return { kind: 'empty' };
  const whole = massOf({ value: masses.reduce((sum, { massKg }) => sum + massKg, 0), unit: 'kg' }, crop);
  if (whole.kind === 'refusal') return { kind: 'slip', sentence: whole.reason };
  const told = masses.map((each) => each.told).join(' and ');
  if (told.length > MOST_TOLD)
    return { kind: 'slip', sentence: 'That is more than fits on a line: write it down in two.' };
  return { kind: 'mass', massKg: whole.massKg, told };
}

function partsOf(typed: string): string[] {
  const parts = typed
    .trim()
    .split(BETWEEN_PARTS)
    .filter((part, i) => i === 0 || part !== '');
  return parts.reduce<string[]>((joined, part) => {
    const before = joined.at(-1);
    const isOne = before !== undefined && ONLY_A_FIGURE.test(before) && FRACTION_FIRST.test(part);
    return isOne ? [...joined.slice(0, -1), `${before} ${part}`] : [...joined, part];
  }, []);
}

function readPart(typed: string, crop: ProduceId, unitWhenBare: Unit, own: readonly OwnMeasure[]): HarvestReading {
  const prepared = inForm(typed, crop);
  if (prepared) return prepared;
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
  const told = `${figureOf(typed)} ${unitWords(amount.value, amount.unit)}`;
  const known = findOwnMeasure(own, crop, amount.unit);
  const mass = known ? massOf({ value: amount.value * known.massKg, unit: 'kg' }, crop) : massOf(amount, crop);
  if (mass.kind === 'mass') return { kind: 'mass', massKg: mass.massKg, told };
  const hasNoWeight = !known && massOf({ value: 1, unit: amount.unit }, crop).kind === 'refusal';
  if (!hasNoWeight) return { kind: 'slip', sentence: mass.reason };
  return howPrepared(amount, crop, told) ?? ask(amount.unit, unitWords(1, amount.unit), crop);
}

function figureOf(typed: string): string {
  return typed.replace(/[a-z#.\s-]+$/i, '').trim() || '1';
}

/** "6 cups sliced", "4 cups of crushed": a measure of a form that the handbook weighs. */
function inForm(typed: string, crop: ProduceId): HarvestReading | undefined {
  for (const { form } of formsOf(crop)) {
    for (const called of callsOf(form)) {
      const match = new RegExp(`^(.*?)[\\s,]+(?:of\\s+)?${called}$`, 'i').exec(typed.trim());
      const amount = match && readAmount(match[1] ?? '', 'cup');
      if (!amount || amount.kind !== 'amount' || amount.amount.value === 0) continue;
      if (!isByForm(amount.amount.unit)) continue;
      const mass = massOf(amount.amount, crop, form);
      if (mass.kind === 'refusal') return { kind: 'slip', sentence: mass.reason };
      const told = `${figureOf(match[1] ?? '')} ${unitWords(amount.amount.value, amount.amount.unit)} ${form}`;
      return { kind: 'mass', massKg: mass.massKg, told };
    }
  }
  return undefined;
}

/** A form by its whole name, or by its first word where that is enough: "chopped" for "chopped peeled". */
function callsOf(form: string): string[] {
  return [...new Set([form, form.split(' ')[0] ?? form])];
}

function isByForm(unit: Unit): boolean {
  return sizeOf(unit).kind === 'volume';
}

/** What is measured in the garden, by the pail and the quart, comes in whole; cups and bags are of the kitchen. */
const OF_THE_GARDEN: readonly Unit[] = ['gallon', 'quart', 'pint'];

/**
 * A cup of something whole is no weight; where the handbook knows one form only that one is meant, and of berries by the quart
 * the whole ones; else it is asked which.
 */
function howPrepared(amount: Amount, crop: ProduceId, told: string): HarvestReading | undefined {
  const forms = isByForm(amount.unit) ? formsOf(crop).map(({ form }) => form) : [];
  const whole = OF_THE_GARDEN.includes(amount.unit) ? forms.find((form) => /whole$/.test(form)) : undefined;
  const only = whole ?? forms[0];
  if (only === undefined) return undefined;
  if (whole !== undefined || forms.length === 1) {
    const mass = massOf(amount, crop, only);
    return mass.kind === 'mass'
      ? { kind: 'mass', massKg: mass.massKg, told: `${told} ${only}` }
      : { kind: 'slip', sentence: mass.reason };
  }
  const ways = forms.map((form) => `${told} ${form}`);
  return { kind: 'form', ways, sentence: `How is it prepared? A cup whole weighs another thing than one that is cut.` };
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
