import { type Role } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { KG_PER_LB, ML_PER_CUP, ML_PER_QUART, ML_PER_TBSP, ML_PER_TSP } from '../measure/amount';
import { readSpan } from '../measure/span';
import { cropsNamed, roleOf } from './foodWords';

/** An amount read from a line: millilitres, kilograms, or pieces of what `word` says. */
export interface WrittenAmount {
  readonly of: 'ml' | 'kg' | 'pieces';
  readonly low: number;
  readonly high: number;
  readonly word?: string;
}

/** One ingredient as a cook or a page writes it, and what was understood of it. */
export interface WrittenLine {
  readonly text: string;
  /** In lower case, without amount and brackets. */
  readonly food: string;
  readonly role: Role | 'unknown';
  readonly crops: readonly CropId[];
  /** Undefined where no figure stands: "spices". */
  readonly amount?: WrittenAmount;
  /** The same in another measure, in brackets. */
  readonly also?: WrittenAmount;
  readonly optional: boolean;
  /** What could not be read, as it is typed. */
  readonly unread?: string;
}

const VOLUME_ML: Readonly<Record<string, number>> = {
  tsp: ML_PER_TSP,
  tbsp: ML_PER_TBSP,
  'fl oz': ML_PER_CUP / 8,
  cup: ML_PER_CUP,
  pint: 2 * ML_PER_CUP,
  quart: ML_PER_QUART,
  gal: 16 * ML_PER_CUP,
  ml: 1,
  cl: 10,
  dl: 100,
  l: 1_000,
};
const MASS_KG: Readonly<Record<string, number>> = { lb: KG_PER_LB, oz: KG_PER_LB / 16, kg: 1, g: 0.001, mg: 1e-6 };

/** As hands write them; what is longer stands before what it begins with. */
const UNITS: readonly (readonly [spelling: string, unit: string])[] = [
  ['tablespoons?|tblspn?s?|tbsps?|tbs?', 'tbsp'],
  ['teaspoons?|tsps?', 'tsp'],
  ['fl\\.? ?ozs?|fluid ounces?', 'fl oz'],
  ['cups?', 'cup'],
  ['pints?|pts?', 'pint'],
  ['quarts?|qts?', 'quart'],
  ['gallons?|gals?', 'gal'],
  ['millilit(?:re|er)s?|mls?|cc', 'ml'],
  ['centilit(?:re|er)s?|cls?', 'cl'],
  ['decilit(?:re|er)s?|dls?', 'dl'],
  ['lit(?:re|er)s?|ltrs?|l', 'l'],
  ['pounds?|lbs?|#', 'lb'],
  ['ounces?|ozs?', 'oz'],
  ['kilograms?|kilos?|kgs?', 'kg'],
  ['milligrams?|mg', 'mg'],
  ['grams?|grammes?|gr?', 'g'],
  ['c', 'cup'],
];
const UNIT_OF = new Map(UNITS.flatMap(([spelling, unit]) => [[new RegExp(`^(?:${spelling})$`, 'i'), unit] as const]));

/** What is counted and named so. */
const COUNTED: readonly (readonly [RegExp, string])[] = [
  [/^box(es)?|^packages?\b|^packets?\b/i, 'box'],
  [/^pouch(es)?/i, 'pouch'],
  [/^cloves?\b/i, 'clove'],
  [/^heads?\b/i, 'head'],
  [/^sticks?\b/i, 'stick'],
  [/^slices?\b/i, 'slice'],
  [/^drops?\b/i, 'drop'],
];

const SIGNS = '¼½¾⅓⅔⅛⅜⅝⅞';
const ONE_FIGURE = String.raw`(?:\d+[\s-]\d+\s?[/⁄]\s?\d+|\d+\s?[/⁄]\s?\d+|\d{1,3}(?:,\d{3})+|\d*[.,]?\d+\s?[${SIGNS}]?|[${SIGNS}])`;
const FIGURE = String.raw`${ONE_FIGURE}(?:\s?(?:-|–|to)\s?${ONE_FIGURE})?`;
const UNIT_WORDS = UNITS.map(([spelling]) => spelling).join('|');
const UNIT = String.raw`(?:${UNIT_WORDS}|[Tt])(?![a-z])\.?`;
const AMOUNT = new RegExp(
  String.raw`^(?:not more than|at most|up to|about|approx\.?|ca\.?|scant|heaped|level)?\s*(${FIGURE})\s*(${UNIT})?((?:\s*(?:\+|and|plus)\s*${FIGURE}\s*${UNIT})*)\s*(.*)$`,
  'i',
);
const FURTHER = new RegExp(String.raw`(?:\+|and|plus)\s*(${FIGURE})\s*(${UNIT})`, 'gi');
/** The amount after the food: "tomatoes 5 lb", "sugar: 2 cups". */
const AFTER = new RegExp(String.raw`^(.*?[a-z].*?)[\s,:-]+(${FIGURE})\s*(${UNIT})$`, 'i');
/** Without this at its end no line has its amount there: looked at first, since the other is slow to say no. */
const ENDS_IN_AMOUNT = new RegExp(String.raw`[\d${SIGNS}]\s*${UNIT}$`, 'i');

/** Figures said in words. */
const SPELLED: readonly (readonly [RegExp, string])[] = [
  [/^half an? /i, '1/2 '],
  [/^(?:a|one) half /i, '1/2 '],
  [/^(?:a )?quarter (?:of )?(?:a |an )?(?=cup|tsp|tea|tab|tbsp|lb|pound|pint|quart)/i, '1/4 '],
  [/^(?:an?|one) (?=\w)/i, '1 '],
  [/^two /i, '2 '],
  [/^three /i, '3 '],
  [/^four /i, '4 '],
  [/^five /i, '5 '],
  [/^six /i, '6 '],
  [/^a dozen /i, '12 '],
];

/** Without a figure by nature: no amount, and nothing to wonder at. */
/** A depth is no amount: "1 in over the vegetables", "2 in deep". */
const DEPTH = /^\d[\d/ ]*\s?(?:in|inch|inches|cm)\b/i;

const NO_FIGURE = /^(?:to taste|to cover|as needed|some|pinch|a pinch|as wished|as measured|as made)\b/i;

/** More of it than any spice: "pepper" then means the vegetable. Common practice. */
const MOST_GROUND_PEPPER_ML = 4 * ML_PER_TBSP;

const READ = new Map<string, WrittenLine>();

function afterFood(text: string): RegExpExecArray | null {
  return ENDS_IN_AMOUNT.test(text) ? AFTER.exec(text) : null;
}

/** Reads one ingredient: "1.25 cups 5% white vinegar", "½ l water", "4-6 onions", "tomatoes, 5 lb", "spices". */
export function readIngredientLine(text: string): WrittenLine {
  const known = READ.get(text);
  if (known) return known;
  const line = read(text);
  if (READ.size < 1_000) READ.set(text, line);
  return line;
}

function read(typed: string): WrittenLine {
  const text = typed.trim();
  const plain = SPELLED.reduce(
    (said, [words, figure]) => said.replace(words, figure),
    text.replace(/^[-*•]\s*/, '').replace(/^pulp of (?=\d)/i, ''),
  );
  const brackets = /\(([^)]*)\)/.exec(plain)?.[1] ?? '';
  const bare = plain
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const optional = /\(optional\)|^up to|, optional/i.test(plain);
  const [found, rest] = DEPTH.test(bare) ? [undefined, bare.replace(DEPTH, 'to cover')] : amountIn(bare);
  const food = rest
    .replace(/^of\s+/i, '')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();
  const inBrackets = brackets === '' ? undefined : amountIn(brackets)[0];
  const role = foodRole(food, found);
  const amount = found && asTaken(found, role, food, bare);
  const also = inBrackets && inBrackets.of !== amount?.of ? inBrackets : undefined;
  const unread = whatIsUnread(bare, food, role, found !== undefined);
  return {
    text,
    food,
    role,
    crops: cropsNamed(food),
    ...(amount && { amount }),
    ...(also && { also }),
    optional,
    ...(unread !== undefined && { unread }),
  };
}

/** The amount a text begins or ends with, and what is left of it. */
function amountIn(text: string): [WrittenAmount | undefined, string] {
  const match = AMOUNT.exec(text);
  if (match) {
    const [, figure = '', unit, further = '', rest = ''] = match;
    const amount = sized(figure, unit, rest);
    const more = [...further.matchAll(FURTHER)].flatMap(([, count = '', of]) => sized(count, of, rest) ?? []);
    if (amount && more.every(({ of }) => of === amount.of)) {
      const all = (end: 'low' | 'high') => more.reduce((sum, each) => sum + each[end], amount[end]);
      return [{ ...amount, low: all('low'), high: all('high') }, rest];
    }
    if (amount) return [amount, rest];
  }
  const after = afterFood(text);
  const amount = after && sized(after[2] ?? '', after[3], '');
  return amount ? [amount, after[1] ?? ''] : [undefined, text];
}

function sized(figure: string, unit: string | undefined, rest: string): WrittenAmount | undefined {
  const reading = readSpan(figure.replace('⁄', '/'));
  if (reading.kind === 'unreadable') return undefined;
  const { low, high } = reading.span;
  const name = unitName(unit);
  const ml = name === undefined ? undefined : VOLUME_ML[name];
  if (ml !== undefined) return { of: 'ml', low: low * ml, high: high * ml };
  const kg = name === undefined ? undefined : MASS_KG[name];
  if (kg !== undefined) return { of: 'kg', low: low * kg, high: high * kg };
  const word = COUNTED.find(([words]) => words.test(rest))?.[1];
  return { of: 'pieces', low, high, ...(word !== undefined && { word }) };
}

function unitName(unit: string | undefined): string | undefined {
  if (unit === undefined) return undefined;
  const bare = unit.replace(/\.$/, '').trim();
  // A card's one T is a tablespoon, its one t a teaspoon.
  if (bare === 'T') return 'tbsp';
  if (bare === 't') return 'tsp';
  return [...UNIT_OF].find(([spelling]) => spelling.test(bare))?.[1];
}

function foodRole(food: string, amount: WrittenAmount | undefined): Role | 'unknown' {
  if (
    /^(ground )?(black )?pepper$/.test(food) &&
    amount &&
    (amount.of !== 'ml' || amount.high > MOST_GROUND_PEPPER_ML)
  ) {
    return 'low-acid';
  }
  // "6 cloves garlic" is garlic; "cloves" is the spice.
  const role = roleOf(food.replace(/cloves?( of)? garlic|garlic cloves?/, 'garlic'));
  if (role !== undefined) return role;
  return isFruit(food) ? 'acid-food' : 'unknown';
}

const OTHER_ACID_FOOD = /cider\b|orange juice|apple juice|grape juice|tomato|fruit\b|\bjuice\b|berr(y|ies)|pulp|peel/;

function isFruit(food: string): boolean {
  return cropsNamed(food).length > 0 || OTHER_ACID_FOOD.test(food);
}

/** Ounces of what is poured are fluid; three of liquid pectin are a pouch. */
function asTaken(amount: WrittenAmount, role: Role | 'unknown', food: string, text: string): WrittenAmount {
  const isOunces = /\b(oz|ounces?)\b/i.test(text) && amount.of === 'kg';
  if (role === 'pectin') {
    if (/liquid/.test(food) && amount.of === 'kg') return pouches(amount.high / (3 * (KG_PER_LB / 16)));
    if (/liquid/.test(food) && amount.of === 'ml') return pouches(amount.high / (3 * (ML_PER_CUP / 8)));
    if (amount.of === 'kg') return { of: 'pieces', word: 'box', low: amount.low / BOX_KG, high: amount.high / BOX_KG };
    if (amount.of === 'pieces' && amount.word === undefined)
      return { ...amount, word: /liquid/.test(food) ? 'pouch' : 'box' };
    return amount;
  }
  if (
    isOunces &&
    (role === 'vinegar' || role === 'lemon' || role === 'water' || role === 'oil' || /juice|cider/.test(food))
  ) {
    const ml = ML_PER_CUP / 8 / (KG_PER_LB / 16);
    return { of: 'ml', low: amount.low * ml, high: amount.high * ml };
  }
  return amount;
}

/** A box of powdered pectin weighs 1 3/4 ounces, as the cards print it. */
const BOX_KG = (1.75 * KG_PER_LB) / 16;

function pouches(count: number): WrittenAmount {
  return { of: 'pieces', low: count, high: count, word: 'pouch' };
}

/** What of a line says nothing: a food no word of which is known, a measure that is none, an amount without a food. */
function whatIsUnread(text: string, food: string, role: Role | 'unknown', hasAmount: boolean): string | undefined {
  if (food === '') return text === '' ? undefined : text;
  if (role === 'unknown') return food;
  if (hasAmount || NO_FIGURE.test(food)) return undefined;
  const figure = /\d/.exec(text);
  return figure ? text : undefined;
}
