import { type ProduceId } from '@hoddle/core/handbook/produce';
import { convertProduce } from '@hoddle/core/harvest/produceFigures';
import { type Amount, type Unit, UNIT_IDS, unitWords } from '@hoddle/core/measure/amount';
import { printFraction } from '@hoddle/core/measure/fraction';

/** The measures asked most. */
export const USUAL_UNITS: readonly Unit[] = ['cup', 'lb', 'quart', 'bushel', 'gallon-bag', 'quart-box'];

/** Answers that nobody measures with are left out: a bushel in teaspoons, a cup in bushels. */
const [LEAST, MOST] = [1 / 16, 400];

export interface Measure {
  readonly unit: Unit;
  /** To the eighth below 20, whole above: nobody weighs an ounce of a bushel. */
  readonly figure: string;
  readonly unitWords: string;
}

/** An amount of a crop in every other measure that is known for it and fit to measure with. */
export function inEveryMeasure(amount: Amount, crop: ProduceId, form: string | undefined): Measure[] {
  return UNIT_IDS.filter((unit) => unit !== amount.unit).flatMap((unit) => {
    const said = convertProduce(amount, unit, crop, form);
    if (said.kind === 'refusal' || said.value < LEAST || said.value > MOST) return [];
    return [{ unit, figure: figureOf(said.value), unitWords: unitWords(said.value, unit) }];
  });
}

function figureOf(value: number): string {
  if (value >= 20) return Math.round(value).toLocaleString('en-US');
  return printFraction(value, value < 1 ? 16 : 8);
}
