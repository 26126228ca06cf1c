import { type Card } from '../handbook/cards/card';
import { JAR_SIZES, quartsPerJar } from '../handbook/jars';
import { type ProductClass, type ProductRow, PRODUCTS } from '../handbook/products';
import { ML_PER_TBSP } from '../measure/amount';
import { quartsPerBatch } from '../recipe/cardColumns';
import { acidOfFood } from '../recipe/own/acidOfFood';
import { cardOfPage } from '../recipe/own/cardOfPage';
import { foodClass, type FoodJudgement } from '../recipe/own/foodClass';
import { mainLineOf } from '../recipe/own/mainLineOf';
import { fromWords } from '../recipe/own/pagesOf';
import { altitudeBand } from './altitudeBand';
import { sourceFault } from './sourceFault';
import { cardsOf, hasSureCard } from '../handbook/cards';
import { neverOnShelf } from './neverOnShelf';
import { type OwnRecipe, sourceOfRecipe } from './ownRecipe';
import { bandAt, bandsOf } from './withOwnSource';
import { publishedRow } from './testedRow';

/** What of a page may not be, and which part of it to mend. */
export interface ShelfFault {
  readonly field: 'kind' | 'title' | 'page' | 'product' | 'lines' | 'method' | 'bands' | 'jar';
  readonly reason: string;
}

export interface OwnJudgement {
  /** Of each card: one, or one a filling. */
  readonly foods: readonly (FoodJudgement & { readonly card: Card })[];
  /** Why it may not go to the shelf; empty where its source allows it. Undefined without a source. */
  readonly faults?: readonly ShelfFault[];
}

const JUDGED = new WeakMap<OwnRecipe, OwnJudgement>();

/** Whether its own tested page lets it onto the shelf, at some altitude. */
export function isForShelf(recipe: OwnRecipe): boolean {
  return recipe.source !== undefined && judgedOnce(recipe).faults?.length === 0;
}

/** The same of {@link judgeRecipe}, worked out once a page. */
export function judgedOnce(recipe: OwnRecipe): OwnJudgement {
  const known = JUDGED.get(recipe) ?? judgeRecipe(recipe);
  JUDGED.set(recipe, known);
  return known;
}

/** A recipe's cards, what their food is, and what its source allows. */
export function judgeRecipe(recipe: OwnRecipe): OwnJudgement {
  const from = fromWords(recipe);
  const fillings = recipe.fillings.length === 0 ? [undefined] : recipe.fillings;
  const foods = fillings.map((filling) => {
    const { card } = cardOfPage(recipe, from, filling);
    return { ...foodClass(card), card };
  });
  return { foods, ...(recipe.source && { faults: shelfFaults(recipe, foods) }) };
}

/**
 * Everything that keeps a recipe from the shelf. Handbook rules 2, 16 and 18: a tested kind of source with its page, never for
 * food low in acid outside pressure, never a food that is not canned at all, acid in tomatoes and figs, and never fewer
 * minutes than the handbook has for the same crop and form.
 */
function shelfFaults(recipe: OwnRecipe, foods: OwnJudgement['foods']): ShelfFault[] {
  const { source } = recipe;
  if (!source) return [];
  const faults: ShelfFault[] = [];
  // What no page can test comes first: it says more than that the food is low in acid.
  for (const text of [recipe.name, ...recipe.lines.map((line) => line.text)]) {
    const never = neverOnShelf(text);
    if (never) faults.push({ field: 'product', reason: never.reason });
  }
  const isLow = foods.some(
    ({ hasLowAcid, isAcidified, foodClass: kind }) =>
      kind === 'oil' || (hasLowAcid && !isAcidified && kind !== 'ferment'),
  );
  const named = sourceOfRecipe(recipe, isLow);
  const check = named && sourceFault(named);
  if (check) faults.push({ field: check.field as ShelfFault['field'], reason: check.reason });
  if (recipe.lines.some(({ open }) => open === 'food' || open === 'strength' || open === 'amount')) {
    faults.push({
      field: 'lines',
      reason: 'A line is still open: a tested time holds for what the page says, line by line.',
    });
  }
  if (recipe.fillings.length > 0) {
    faults.push({
      field: 'product',
      reason: 'Several fillings under one liquid are no one tested recipe: each has its own page.',
    });
  }
  const pressure = source.method.startsWith('pressure');
  for (const { card, foodClass: kind, reason } of foods) {
    if (kind === 'oil')
      faults.push({
        field: 'lines',
        reason: `${reason} Nothing in oil is tested but the handbook's marinated peppers.`,
      });
    if (!pressure && needsDose(card)) {
      faults.push({
        field: 'lines',
        reason:
          'Tomatoes, figs and Asian pears need acid in every jar: bottled lemon juice, 1 Tbsp a pint, 2 Tbsp a quart.',
      });
    }
    faults.push(...shorterThanHandbook(recipe, card));
  }
  return faults.filter(({ reason }, i) => faults.findIndex((other) => other.reason === reason) === i);
}

const DOSED = ['tomato-paste', 'tomato-slicing', 'fig', 'asian-pear'];
/** To a quart of jar: 2 Tbsp of bottled lemon juice, 4 Tbsp of vinegar, 1/2 tsp of citric acid. Handbook rule 2. */
const LEMON_ML_PER_QUART = 2 * ML_PER_TBSP;
const VINEGAR_ML_PER_QUART = 4 * ML_PER_TBSP;

/** Whether the main food is one that is dosed and the card has less acid than the dose. */
function needsDose(card: Card): boolean {
  const main = mainLineOf(card);
  if (!main?.crops.some((crop) => DOSED.includes(crop))) return false;
  if (card.ingredients.some(({ role, then }) => role === 'citric-acid' && then !== 'drained')) return false;
  const perJar = card.ingredients.filter(({ then }) => then === 'per-jar');
  const quartsAJar = card.yields ? quartsPerJar(card.yields.jar) : 1;
  const dose = (role: string) =>
    perJar.reduce(
      (sum, line) => sum + (line.role === role && line.amount.of === 'ml' ? line.amount.low / quartsAJar : 0),
      0,
    );
  const quarts = quartsPerBatch(card)?.high ?? 1;
  const { vinegarMl, lemonMl } = acidOfFood({
    ...card,
    ingredients: card.ingredients.filter(({ then }) => then !== 'per-jar'),
  });
  const lemon = dose('lemon') + lemonMl / quarts;
  const vinegar = dose('vinegar') + vinegarMl / quarts;
  return lemon / LEMON_ML_PER_QUART + vinegar / VINEGAR_ML_PER_QUART < 0.995;
}

/** Classes of one kind of food: each is laid beside the others of its row. */
const KINDS: readonly (readonly ProductClass[])[] = [
  ['pickle', 'recipe-acid'],
  ['fruit', 'tomato', 'fruit-acidified', 'recipe-acid'],
  ['spread'],
  ['ferment'],
  ['low-acid'],
];

/**
 * Products of the handbook of the same crop that are the same kind of food, in vinegar or not as it is, and in the same form
 * where there is one.
 */
function kinOf(card: Card): ProductRow[] {
  const crops = mainLineOf(card)?.crops ?? [];
  const { productClass, acid } = foodClass(card);
  const classes = KINDS.find((kind) => kind.includes(productClass)) ?? [productClass];
  const isInVinegar = (of: Card | undefined) => of !== undefined && acidOfFood(of).vinegarMl > 0;
  const same = PRODUCTS.filter(
    (row) =>
      classes.includes(row.productClass) &&
      (!row.hasFormula || hasSureCard(row.product)) &&
      row.crops.some(([first]) => first !== undefined && crops.includes(first)) &&
      isInVinegar(cardsOf(row.product)[0]) === acid.vinegarMl > 0,
  );
  const isJuice = card.steps.some(({ step }) => /drip|measure-juice|press-juice/.test(step));
  const inForm = same.filter(({ form }) => (form === 'juice') === isJuice);
  return inForm.length > 0 ? inForm : same;
}

/** Never fewer minutes than the least the handbook has for the same crop and form, band by band. */
function shorterThanHandbook(recipe: OwnRecipe, card: Card): ShelfFault[] {
  const { source, pack } = recipe;
  if (!source) return [];
  const { method, jar } = source;
  const kin = kinOf(card);
  const packs = pack === 'hot' ? (['hot', 'raw'] as const) : (['raw', 'hot'] as const);
  return source.bands.flatMap(({ upToFt, minutes }): ShelfFault[] => {
    const altitudeFt = Math.min(upToFt ?? 12_000, 12_000);
    const tested = kin.flatMap((product) => {
      for (const size of [
        jar,
        ...[...JAR_SIZES].reverse().filter((other) => quartsPerJar(other) < quartsPerJar(jar)),
      ]) {
        for (const each of packs) {
          const row = publishedRow({ product, pack: each, jar: size, method });
          const band = row.kind === 'testedRow' ? bandAt(row, altitudeFt) : undefined;
          if (band?.kind === 'tested') return [{ product, minutes: band.minutes }];
        }
      }
      return [];
    });
    const least = tested.reduce<(typeof tested)[number] | undefined>(
      (best, each) => (best && best.minutes <= each.minutes ? best : each),
      undefined,
    );
    if (!least || minutes >= least.minutes) return [];
    const where = bandsOf(method)[altitudeBand(altitudeFt, bandsOf(method)).index]?.words ?? '';
    return [
      {
        field: 'bands',
        reason: `The handbook has ${least.minutes} min for ${least.product.name.toLowerCase()} ${where}; fewer is never taken.`,
      },
    ];
  });
}
