import { ML_PER_CUP, ML_PER_TBSP, ML_PER_TSP, KG_PER_LB } from '../measure/amount';
import { printFraction } from '../measure/fraction';
import { readSpan, type Span } from '../measure/span';

/** What an ingredient does in a formula; a tested time holds for the balance between these. */
export type Role =
  | 'vinegar'
  | 'lemon'
  | 'water'
  | 'salt'
  | 'sugar'
  | 'thickener'
  | 'oil'
  | 'pectin'
  | 'spice'
  | 'low-acid'
  | 'acid-food'
  | 'ice'
  | 'firming';

export interface Measured {
  readonly span: Span;
  readonly of: 'ml' | 'kg' | 'pieces';
}

export interface Ingredient {
  /** As the page or the cook writes it. */
  readonly text: string;
  readonly food: string;
  readonly role: Role;
  /** Undefined where no figure stands: "spices". */
  readonly amount?: Measured;
  /** The same amount in another measure, where the page gives both: "8 cups sliced onions (about 3 lb)". */
  readonly also?: Measured;
  readonly optional: boolean;
}

export interface Formula {
  /** Of several formulas of one product the one meant: "strawberry, powdered pectin"; empty where there is one. */
  readonly kind: string;
  readonly ingredients: readonly Ingredient[];
}

/** The first that fits decides, so "celery seed" is a spice before celery is a vegetable. */
const ROLES: readonly [RegExp, Role][] = [
  [/vinegar/i, 'vinegar'],
  [/(lemon|lime).*juice/i, 'lemon'],
  [/pickling lime/i, 'firming'],
  [/\bwater\b/i, 'water'],
  [/\bice\b/i, 'ice'],
  [/pectin/i, 'pectin'],
  [/starch|flour|arrowroot|gelatin/i, 'thickener'],
  [/\boil\b|butter/i, 'oil'],
  [/\bsugar\b/i, 'sugar'],
  [/\bsalt\b/i, 'salt'],
  [
    /(garlic|onion|chili|curry|mustard|celery) (powder|salt)|seed|clove(?!s? garlic)|cinnamon|allspice|mustard|dill|turmeric|flakes|cayenne|oregano|ginger|nutmeg|spice|horseradish|chili powder|^(ground )?(black )?pepper$|bay|paprika|cumin|coriander/i,
    'spice',
  ],
  [
    /onion|pepper|chile|chilli|jalape|serrano|celery|carrot|garlic|cabbage|corn|bean|garbanzo|mushroom|cauliflower|floret|cucumber|asparagus|beet|zucchini|squash|cantaloupe|rind|broccoli|potato|pea\b|peas\b|herb|parsley|basil|cilantro|meat/i,
    'low-acid',
  ],
];

const VOLUME_ML: Readonly<Record<string, number>> = {
  tsp: ML_PER_TSP,
  tbsp: ML_PER_TBSP,
  cup: ML_PER_CUP,
  pint: 2 * ML_PER_CUP,
  quart: 4 * ML_PER_CUP,
  gal: 16 * ML_PER_CUP,
};
const MASS_KG: Readonly<Record<string, number>> = { lb: KG_PER_LB, oz: KG_PER_LB / 16 };

const FIGURE = String.raw`[\d.,/¼½¾⅓⅔⅛⅜⅝⅞]+(?:\s\d+\/\d+)?(?:\s?(?:-|–|to)\s?[\d./]+)?`;
const UNIT = String.raw`(?:cups?|tbsp|tablespoons?|tsp|teaspoons?|lbs?|pounds?|oz|ounces?|pints?|quarts?|gal(?:lons?)?)\b`;
const AMOUNT = new RegExp(
  String.raw`^(?:not more than|up to|about)?\s*(${FIGURE})\s*(${UNIT})?(?:\s*\+\s*(${FIGURE})\s*(${UNIT}))?\s*(.*)$`,
  'i',
);

/** What an ingredient is called decides what it does. */
export function roleOf(food: string): Role {
  return ROLES.find(([pattern]) => pattern.test(food))?.[1] ?? 'acid-food';
}

/** Reads one ingredient as a page or a cook writes it: "1.25 cups 5% white vinegar", "4-6 onions", "spices". */
export function readIngredient(text: string): Ingredient {
  const plain = text.trim();
  const optional = /\(optional\)|^up to/i.test(plain);
  const match = AMOUNT.exec(plain);
  const spoken = (match?.[5] ?? plain)
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const amount = match && amountOf(match);
  const role = isPepperByTheCup(spoken, amount) ? 'low-acid' : roleOf(spoken);
  const inBrackets = AMOUNT.exec(/\(([^)]*)\)/.exec(plain)?.[1] ?? '');
  const also = inBrackets && amountOf(inBrackets);
  return {
    text: plain,
    food: spoken.toLowerCase(),
    role,
    ...(amount && { amount }),
    ...(also && also.of !== amount?.of && { also }),
    optional,
  };
}

/** More of it than any spice: "pepper" then means the vegetable. Common practice. */
const MOST_GROUND_PEPPER_ML = 4 * ML_PER_TBSP;

function isPepperByTheCup(food: string, amount: Measured | undefined | null): boolean {
  if (!/^(ground )?(black )?pepper$/i.test(food) || !amount) return false;
  return amount.of !== 'ml' || amount.span.high > MOST_GROUND_PEPPER_ML;
}

function amountOf([, figure = '', unit, moreFigure, moreUnit]: RegExpExecArray): Measured | undefined {
  const first = sized(figure, unit);
  if (!first || moreFigure === undefined) return first;
  const more = sized(moreFigure, moreUnit);
  if (!more || more.of !== first.of) return first;
  return { of: first.of, span: { low: first.span.low + more.span.low, high: first.span.high + more.span.high } };
}

function sized(figure: string, unit: string | undefined): Measured | undefined {
  const reading = readSpan(figure);
  if (reading.kind === 'unreadable') return undefined;
  const { low, high } = reading.span;
  const name = unitName(unit);
  const times = (size: number): Span => ({ low: low * size, high: high * size });
  if (name !== undefined && VOLUME_ML[name] !== undefined) return { of: 'ml', span: times(VOLUME_ML[name]) };
  if (name !== undefined && MASS_KG[name] !== undefined) return { of: 'kg', span: times(MASS_KG[name]) };
  return { of: 'pieces', span: { low, high } };
}

function unitName(unit: string | undefined): string | undefined {
  return unit
    ?.toLowerCase()
    .replace(/^tablespoons?$/, 'tbsp')
    .replace(/^teaspoons?$/, 'tsp')
    .replace(/^(pounds?|lbs)$/, 'lb')
    .replace(/^ounces?$/, 'oz')
    .replace(/^gallons?$/, 'gal')
    .replace(/^(cup|pint|quart)s$/, '$1');
}

/** A page's decimals as a cook measures them: "0.33 cup" is "1/3 cup". Percentages stay as they are. */
export function inKitchenFractions(text: string): string {
  return text.replace(/\d+\.\d+(?!\d*\s*%)/g, (decimal) => printFraction(Number(decimal), 16));
}

/** Semicolons, but for those in brackets. */
const BETWEEN_INGREDIENTS = /;(?![^(]*\))/;

/** "0.75-1 cup sugar per cup juice": two ingredients, told by the cup of the second. */
const PER_CUP = /^(.+?) per cup (\w+)/i;

/**
 * Reads a published formula's main inputs: ingredients set apart by semicolons, after the formula's kind and a colon
 * where the product has several.
 */
export function readFormula(mainInputs: string): Formula {
  const kind = /^([^:;]+):\s*(.+)$/.exec(mainInputs);
  return {
    kind: kind?.[1]?.trim() ?? '',
    ingredients: (kind?.[2] ?? mainInputs).split(BETWEEN_INGREDIENTS).flatMap((text) => {
      const perCup = PER_CUP.exec(text);
      return perCup ? [readIngredient(perCup[1] ?? ''), readIngredient(`1 cup ${perCup[2]}`)] : [readIngredient(text)];
    }),
  };
}
