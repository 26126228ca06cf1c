import { type CardAmount, type PrintedUnit, UNIT_SIZES } from '../handbook/cards/cardAmount';
import { type Role } from '../handbook/cards/card';
import { KG_PER_LB } from '../measure/amount';
import { printMeasures, roundToMeasures } from '../measure/cookMeasure';
import { printFraction } from '../measure/fraction';
import pluralize from 'pluralize';

/** An amount as it is taken in a kitchen: millilitres, kilograms or pieces of a printed unit, or words without a figure. */
export type Measure =
  | { readonly of: 'ml' | 'kg' | 'pieces'; readonly value: number; readonly unit: PrintedUnit; readonly word?: string }
  | { readonly of: 'words'; readonly words: string };

export type Figure = Exclude<Measure, { of: 'words' }>;

/** Acid is never rounded down. */
const ROUNDED_UP: readonly Role[] = ['vinegar', 'lemon', 'citric-acid'];
/** Water, low-acid vegetables, oil and starch, of which too much thins or thickens, never up. */
const ROUNDED_DOWN: readonly Role[] = ['water', 'low-acid', 'oil', 'thickener'];

/** Which way an ingredient is rounded to the measures a kitchen has. */
export function roundingOf(role: Role): { readonly up: boolean; readonly down: boolean } {
  return { up: ROUNDED_UP.includes(role), down: ROUNDED_DOWN.includes(role) };
}

/** Finest steps of a kitchen scale, in pounds, up to a weight. Common practice. */
const WEIGHT_STEPS: readonly (readonly [upToLb: number, stepLb: number])[] = [
  [1 / 2, 1 / 64],
  [2, 1 / 16],
  [Infinity, 1 / 8],
];
/** A clove can be quartered, and a sixteenth of it is a crumb. */
const PIECE_STEPS: readonly (readonly [upTo: number, step: number])[] = [
  [1 / 4, 1 / 16],
  [2, 1 / 4],
  [Infinity, 1 / 2],
];

/**
 * So many times an amount of a card, in measures a kitchen has: acid up, water and low-acid vegetables down, all else to the
 * nearest. Never nothing of what is asked for.
 *
 * @param times above 0
 * @param end the end of a range that counts: low of produce, high of all else
 */
export function kitchenMeasure(role: Role, amount: CardAmount, times: number): Measure {
  if (amount.of === 'words') return amount;
  const { of, unit, word } = amount;
  const exact = endOf(role, amount) * times;
  const more = word === undefined ? { unit } : { unit, word };
  if (of === 'ml') return { of, value: exact <= 0 ? 0 : roundToMeasures(exact, roundingOf(role)), ...more };
  if (of === 'kg') return { of, value: inSteps(exact / KG_PER_LB, WEIGHT_STEPS, role) * KG_PER_LB, ...more };
  if (role === 'pectin') return { of, value: Math.ceil(exact - 1e-9), ...more };
  return { of, value: inSteps(exact, PIECE_STEPS, role), ...more };
}

/** The end of a range that counts: of produce the low one, since its acid is then the stronger; of all else the high one. */
export function endOf(role: Role, amount: Exclude<CardAmount, { of: 'words' }>): number {
  return role === 'low-acid' || role === 'acid-food' ? amount.low : amount.high;
}

function inSteps(value: number, steps: readonly (readonly [number, number])[], role: Role): number {
  if (value <= 0) return 0;
  const step = (steps.find(([upTo]) => value <= upTo + 1e-9) ?? [0, 1])[1];
  const { up, down } = roundingOf(role);
  const count = value / step;
  const whole = up ? Math.ceil(count - 1e-9) : down ? Math.floor(count + 1e-9) : Math.round(count);
  return Math.max(1, whole) * step;
}

/** Two measures of one thing together; words stay as they are. */
export function sumOf(a: Measure, b: Measure): Measure {
  if (a.of === 'words' || b.of === 'words') return a;
  return { ...a, value: a.value + b.value };
}

/** The same thing so many times. */
export function timesOf(measure: Measure, times: number): Measure {
  return measure.of === 'words' ? measure : { ...measure, value: measure.value * times };
}

/** How many of its printed unit a measure is. */
export function inUnit({ value, unit }: Figure): number {
  return value / UNIT_SIZES[unit].size;
}

/** "4 1/2 cups", "3/4 lb", "6 cloves"; in a metric kitchen "1.1 l", "340 g", and still "2 Tbsp". */
export function measureWords(measure: Measure, units: 'us' | 'metric' = 'us', role: Role = 'other'): string {
  if (measure.of === 'words') return measure.words;
  const { of, value, unit, word } = measure;
  if (value <= 0) return 'none';
  if (of === 'ml') return units === 'metric' ? metricVolume(value, role) : cupWords(value, isJugged(unit, role));
  if (of === 'kg') return units === 'metric' ? metricMass(value, role) : poundWords(value / KG_PER_LB);
  const count = printFraction(value, 16);
  const counted = unit === 'box' || unit === 'pouch' ? unit : word;
  if (counted === undefined) return count;
  return counted.endsWith('of') ? `${counted} ${count}` : `${count} ${value > 1 ? pluralize(counted) : counted}`;
}

/** Water and vinegar, and what the page itself has by the quart; sugar and fruit are counted out by the cup. */
function isJugged(unit: PrintedUnit, role: Role): boolean {
  return role === 'water' || role === 'vinegar' || unit === 'quart' || unit === 'gallon';
}

/** A lot of what is poured is carried by the quart and the gallon. */
function cupWords(ml: number, jugged: boolean): string {
  if (!jugged) return printMeasures(ml, { exact: true });
  const quarts = ml / UNIT_SIZES.quart.size;
  const whole = (of: number, parts: number) => Math.abs(of * parts - Math.round(of * parts)) < 1e-6;
  if (quarts >= 4 - 1e-9 && whole(quarts / 4, 2))
    return `${printFraction(quarts / 4)} ${quarts > 4 ? 'gallons' : 'gallon'}`;
  if (quarts >= 4 && whole(quarts, 8)) return `${printFraction(quarts)} quarts`;
  return printMeasures(ml, { exact: true });
}

function poundWords(lb: number): string {
  const isQuarter = Math.abs(lb * 4 - Math.round(lb * 4)) < 1e-6;
  return lb < 1 / 2 || (lb < 1 && !isQuarter) ? `${printFraction(lb * 16, 4)} oz` : `${printFraction(lb, 16)} lb`;
}

/** Up to this it is taken by the spoon and the quarter cup in a metric kitchen too. Common practice. */
const SPOONED_ML = UNIT_SIZES.cup.size / 4;

function metricVolume(ml: number, role: Role): string {
  if (ml <= SPOONED_ML + 1e-6) return printMeasures(ml, { exact: true });
  return ml < 1_000 ? `${metric(ml, 5, role)} ml` : `${metric(ml / 1_000, 0.01, role)} l`;
}

function metricMass(kg: number, role: Role): string {
  return kg < 1 ? `${metric(kg * 1_000, 1, role)} g` : `${metric(kg, 0.01, role)} kg`;
}

function metric(value: number, step: number, role: Role): string {
  const { up, down } = roundingOf(role);
  const steps = value / step;
  const whole = up ? Math.ceil(steps - 1e-6) : down ? Math.floor(steps + 1e-6) : Math.round(steps);
  return String(Number((Math.max(1, whole) * step).toFixed(2)));
}
