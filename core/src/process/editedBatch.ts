import { type ProductRow } from '../handbook/products';
import { ML_PER_CUP, ML_PER_TSP } from '../measure/amount';
import { type Span } from '../measure/span';
import { type ChangeId, type ChangeVerdict, mayChange } from './change';
import { type Formula, type Ingredient, type Role } from '../handbook/formula';
import { neverOnShelf } from './neverOnShelf';

/** Kitchen measures are not laboratory ones: this much off counts as the same. */
const SLACK = 0.02;

/** Against foam, in the whole pot. Handbook rule 17. */
const MOST_BUTTER_ML = 0.5 * ML_PER_TSP;

const PEPPER = /pepper|chile|chilli|jalape|serrano/;

/**
 * How much more of everything the edited batch holds than the formula. Low and high differ where the page gives a range
 * ("10-11 lb"): what is least needed goes by the low one, what is most allowed by the high one.
 */
type Scale = Span;

/**
 * What a batch does to a formula, each change with rule 17's verdict. Empty when it is the formula, at any size up to one
 * batch; a larger one may count as doubled.
 *
 * The batch is scaled by its main food where that is acid, else by its acid: a brine's acid says how many vegetables,
 * how much water and oil it bears. What the rule does not name counts as a change of proportion.
 */
export function changesOf(product: ProductRow, formula: Formula, written: readonly Ingredient[]): ChangeVerdict[] {
  const found = new Set<ChangeId>();
  const edited = written.map((own) => inTestedMeasure(own, formula.ingredients));
  const scale = scaleOf(formula.ingredients, edited);
  if (scale === undefined) return [mayChange(product, 'other-proportion')];
  if (edited.some(({ food }) => neverOnShelf(food))) found.add('new-ingredient');
  if (isThinner(formula.ingredients, edited)) found.add('less-acid');
  forAcids(formula.ingredients, edited, scale, found);
  forFoods(formula.ingredients, edited, scale, found);
  if (hasMoreWater(formula.ingredients, edited, scale)) found.add('more-water');
  if (ratioOf('thickener', formula.ingredients, edited) > scale.high * (1 + SLACK)) found.add('thickener');
  forOil(formula.ingredients, edited, scale, found);
  forTaste(formula.ingredients, edited, scale, found);
  if (hasOtherPectin(formula.ingredients, edited, scale)) found.add('other-pectin');
  if (!product.mayDouble && scale.low > 1 + SLACK) found.add('doubled');
  for (const own of edited) {
    if (own.role !== 'spice' || formula.ingredients.some(({ food }) => likeness(food, own.food) > 0)) continue;
    found.add(isMoreThanSpice(own, scale) ? 'new-ingredient' : 'dry-spices');
  }
  return [...found].map((change) => mayChange(product, change));
}

/** A spice is taken by the spoon: above half a cup a batch it is an ingredient. Common practice. */
const MOST_SPICE_ML = ML_PER_CUP / 2;

function isMoreThanSpice({ amount }: Ingredient, scale: Scale): boolean {
  if (!amount || amount.of === 'pieces') return false;
  return amount.of === 'kg' || amount.span.high > MOST_SPICE_ML * Math.max(1, scale.high);
}

/** Another kind of pectin, or not its measure: boxes of powder and ounces of liquid never stand for each other. */
function hasOtherPectin(formula: readonly Ingredient[], edited: readonly Ingredient[], scale: Scale): boolean {
  return (['pieces', 'kg', 'ml'] as const).some((of) => {
    const [tested, own] = [total('pectin', of, 'high', formula), total('pectin', of, 'high', edited)];
    return own < tested * scale.low * (1 - SLACK) || own > tested * scale.high * (1 + SLACK);
  });
}

/**
 * A formula may have water to soak in and water in its brine. The brine's is the smaller; a batch that names one water
 * is held against that one, so that soaking water never excuses a thin brine.
 */
function hasMoreWater(formula: readonly Ingredient[], edited: readonly Ingredient[], scale: Scale): boolean {
  const waters = (list: readonly Ingredient[]) =>
    list.flatMap(({ role, amount }) => (role === 'water' && amount ? [amount.span.high] : [])).sort((a, b) => a - b);
  const tested = waters(formula);
  return waters(edited).some((own, i) => own > (tested[i] ?? 0) * scale.high * (1 + SLACK));
}

/** Whether a batch is still the tested formula: nothing that is never. */
export function neverIn(changes: readonly ChangeVerdict[]): ChangeVerdict | undefined {
  return changes.find(({ verdict }) => verdict === 'never');
}

function scaleOf(formula: readonly Ingredient[], edited: readonly Ingredient[]): Scale | undefined {
  const main = formula.find(({ role, amount }) => (role === 'acid-food' || role === 'low-acid') && amount);
  const byFood = main && ratioTo(main, edited);
  if (main?.role === 'acid-food' && byFood) return byFood;
  const acids = [ratioOf('vinegar', formula, edited), ratioOf('lemon', formula, edited)].filter((ratio) => ratio > 0);
  const acid = Math.min(...acids);
  return Number.isFinite(acid) ? { low: acid, high: acid } : byFood;
}

/** Less acid for the main food than tested: said so, beside what else follows from it. */
function isThinner(formula: readonly Ingredient[], edited: readonly Ingredient[]): boolean {
  const main = formula.find(({ role, amount }) => (role === 'acid-food' || role === 'low-acid') && amount);
  const byFood = main && ratioTo(main, edited);
  return (['vinegar', 'lemon'] as const).some(
    (role) => byFood !== undefined && ratioOf(role, formula, edited) < byFood.low * (1 - SLACK),
  );
}

/** Edited over tested of one ingredient, where it is measured in the same way. */
function ratioTo(tested: Ingredient, edited: readonly Ingredient[]): Scale | undefined {
  const own = sameFood(tested, edited)?.amount;
  if (!own || !tested.amount || tested.amount.span.low === 0) return undefined;
  return { low: own.span.high / tested.amount.span.high, high: own.span.high / tested.amount.span.low };
}

/** The ingredient of a list that is this food in this role and measure; of several that share a word, the nearest. */
function sameFood(wanted: Ingredient, list: readonly Ingredient[]): Ingredient | undefined {
  const near = list
    .filter(({ role, amount }) => role === wanted.role && amount?.of === wanted.amount?.of)
    .map((own) => ({ own, nearness: likeness(own.food, wanted.food) }))
    .sort((a, b) => b.nearness - a.nearness)[0];
  return near && near.nearness > 0 ? near.own : undefined;
}

/** Pounds of what the page gives in cups and in pounds, told in cups: so that both can be compared. */
function inTestedMeasure(own: Ingredient, formula: readonly Ingredient[]): Ingredient {
  const tested = formula.find(
    ({ role, food, also }) => role === own.role && also?.of === own.amount?.of && likeness(food, own.food) > 0,
  );
  if (!own.amount || !tested?.amount || !tested.also || own.amount.of === tested.amount.of) return own;
  const size = tested.amount.span.high / tested.also.span.high;
  const { low, high } = own.amount.span;
  return { ...own, amount: { of: tested.amount.of, span: { low: low * size, high: high * size } } };
}

/** Names for one food. */
const ONE_NAME: Readonly<Record<string, string>> = {
  damson: 'plum',
  beetroot: 'beet',
  courgette: 'zucchini',
  chilli: 'chile',
  catsup: 'ketchup',
};

/** A formula that says "crushed berries" means any of them. */
function isOneWord(a: string, b: string): boolean {
  return a === b || (a === 'berr' && b.endsWith('berr')) || (b === 'berr' && a.endsWith('berr'));
}

const HOW_IT_IS_CUT = /^(chopp|slic|crush|peel|ripe|fresh|firm|small|large|mixed|whole|drain)/;

/** How much two names have in common, 0 to 1: "tomatoes" and "ripe tomatoes" all, "orange peel" and "lemon peel" a part. */
function likeness(a: string, b: string): number {
  const words = (food: string) => {
    const all = food
      .replace(/[^a-z ]/g, ' ')
      .split(' ')
      .map((word) => word.replace(/(oes|ies|s)$/, ''))
      .map((word) => ONE_NAME[word] ?? word)
      .filter((word) => word.length > 2);
    const named = all.filter((word) => !HOW_IT_IS_CUT.test(word));
    return new Set(named.length > 0 ? named : all);
  };
  const [first, second] = [words(a), words(b)];
  const shared = [...first].filter((word) => [...second].some((other) => isOneWord(word, other))).length;
  return shared / Math.max(1, new Set([...first, ...second]).size);
}

function total(role: Role, of: 'ml' | 'kg' | 'pieces', end: 'low' | 'high', list: readonly Ingredient[]): number {
  return list
    .filter((own) => own.role === role && own.amount?.of === of && !(own.optional && end === 'low'))
    .reduce((sum, { amount }) => sum + (amount?.span[end] ?? 0), 0);
}

/** Edited over tested of everything in a role, by volume first; Infinity when the formula has none of it and the batch has. */
function ratioOf(role: Role, formula: readonly Ingredient[], edited: readonly Ingredient[]): number {
  const ratios = (['ml', 'kg', 'pieces'] as const).flatMap((of) => {
    const [tested, own] = [total(role, of, 'high', formula), total(role, of, 'high', edited)];
    if (tested === 0 && own === 0) return [];
    return [tested === 0 ? Infinity : own / tested];
  });
  // None in either: no change, at any scale.
  return ratios.length === 0 ? NaN : Math.max(...ratios);
}

function forAcids(formula: readonly Ingredient[], edited: readonly Ingredient[], scale: Scale, found: Set<ChangeId>) {
  for (const role of ['vinegar', 'lemon'] as const) {
    const needed = total(role, 'ml', 'low', formula) * scale.low;
    if (total(role, 'ml', 'low', edited) < needed * (1 - SLACK)) found.add('less-acid');
  }
  for (const { role, food } of edited) {
    if (role === 'vinegar' && /home.?made/.test(food)) found.add('home-made-vinegar');
    const percent = /(\d+(?:\.\d+)?)\s*%/.exec(food);
    if (role === 'vinegar' && percent && Number(percent[1]) < 5) found.add('weaker-vinegar');
    if (role === 'lemon' && /fresh/.test(food)) found.add('fresh-lemon');
  }
}

function forFoods(formula: readonly Ingredient[], edited: readonly Ingredient[], scale: Scale, found: Set<ChangeId>) {
  const peppers = (list: readonly Ingredient[], of: 'ml' | 'kg' | 'pieces') =>
    list
      .filter(({ role, food, amount }) => role === 'low-acid' && PEPPER.test(food) && amount?.of === of)
      .reduce((sum, { amount }) => sum + (amount?.span.high ?? 0), 0);
  for (const own of edited) {
    if (own.role !== 'low-acid' && own.role !== 'acid-food') continue;
    const lowAcid = own.role === 'low-acid';
    const tested = sameFood(own, formula);
    const testedPeppers = own.amount && lowAcid && PEPPER.test(own.food) ? peppers(formula, own.amount.of) : 0;
    if (own.amount && testedPeppers > 0) {
      if (peppers(edited, own.amount.of) > testedPeppers * scale.high * (1 + SLACK)) found.add('more-low-acid');
      else if (!tested || own.amount.span.high > (tested.amount?.span.high ?? 0) * scale.high * (1 + SLACK)) {
        found.add('swap-peppers');
      }
      continue;
    }
    if (!tested) {
      found.add(lowAcid ? 'more-low-acid' : 'new-ingredient');
      continue;
    }
    if (!own.amount || !tested.amount) continue;
    const { high } = own.amount.span;
    if (high > tested.amount.span.high * scale.high * (1 + SLACK))
      found.add(lowAcid ? 'more-low-acid' : 'other-proportion');
    if (high < tested.amount.span.low * scale.low * (1 - SLACK))
      found.add(lowAcid ? 'less-low-acid' : 'other-proportion');
  }
  for (const tested of formula) {
    if (tested.optional || !tested.amount || sameFood(tested, edited)) continue;
    if (tested.role === 'low-acid' && !PEPPER.test(tested.food)) found.add('less-low-acid');
    if (tested.role === 'acid-food') found.add('other-proportion');
  }
}

function forOil(formula: readonly Ingredient[], edited: readonly Ingredient[], scale: Scale, found: Set<ChangeId>) {
  if (!(ratioOf('oil', formula, edited) > scale.high * (1 + SLACK))) return;
  const isButter = edited.every(({ role, food }) => role !== 'oil' || /butter/.test(food));
  found.add(isButter && total('oil', 'ml', 'high', edited) <= MOST_BUTTER_ML * (1 + SLACK) ? 'butter' : 'oil');
}

function forTaste(formula: readonly Ingredient[], edited: readonly Ingredient[], scale: Scale, found: Set<ChangeId>) {
  for (const [role, less] of [
    ['salt', 'less-salt'],
    ['sugar', 'less-sugar'],
  ] as const) {
    const least = total(role, 'ml', 'low', formula) * scale.low;
    const most = total(role, 'ml', 'high', formula) * scale.high;
    const own = total(role, 'ml', 'high', edited);
    if (own < least * (1 - SLACK)) found.add(less);
    if (own > most * (1 + SLACK)) found.add('other-proportion');
  }
}
