import { USUAL_KITCHEN } from '../../src/day/kitchenSetup';
import { type DayQuestion } from '../../src/day/questionOfDay';
import { type Chance } from '../chance';
import { type Made, productQuestion } from './productDay';

const PRODUCTS: readonly (readonly [product: Made[0], jar: Made[1], jars: number, poundsPerLoad: number])[] = [
  ['tomatoes-crushed', 'quart', 7, 20],
  ['tomato-sauce-thin', 'pint', 9, 30],
  ['applesauce', 'quart', 7, 21],
  ['plums', 'pint', 9, 9],
  ['dilled-beans', 'pint', 8, 5],
  ['peaches', 'quart', 7, 17],
  ['jam-no-pectin', 'half-pint', 8, 4],
  ['pepper-onion-relish', 'pint', 8, 8],
  ['snap-beans', 'pint', 9, 9],
];

/** A preserving day of one to three products in one or two pots, with one or two cooks who have hours and a break. */
export function randomDay(chance: Chance): DayQuestion {
  const many = chance.oneOf([1, 1, 2, 2, 3]);
  const made = Array.from({ length: many }, (): Made => {
    const [product, jar, jars, pounds] = chance.oneOf(PRODUCTS);
    const loads = chance.oneOf([1, 2, 2, 3]);
    return [product, jar, Array.from({ length: loads }, () => jars), pounds * loads];
  });
  const question = productQuestion(made, chance.oneOf([1, 2]));
  const lunch = { fromMin: 12 * 60, toMin: 12 * 60 + 40, atHome: true };
  const cook = { name: 'Cook', fromMin: 7 * 60, toMin: chance.oneOf([18, 20, 22]) * 60, breaks: [lunch] };
  const helper = { name: 'Helper', fromMin: 8 * 60, toMin: 17 * 60, breaks: [] };
  const cooks = chance.uniform(0, 1) < 0.4 ? [cook, helper] : [cook];
  return { ...question, setup: { ...USUAL_KITCHEN, cooks } };
}
