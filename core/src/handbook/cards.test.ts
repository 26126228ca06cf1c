import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import { numericQuantity } from 'numeric-quantity';
import { CARDS, cardsOf } from './cards';
import { type CardAmount } from './cards/cardAmount';
import { CROP_NAMES, isCrop } from './crops';
import { PRODUCTS } from './products';
import { stepOf } from './steps';

const published = (name: string) => readFileSync(join(__dirname, 'published', name), 'utf8');

interface PrintedLine {
  item: string;
  crop: string;
  amount: string;
  also: string;
  role: string;
  into: string;
  then: string;
  prep: string;
  optional?: true;
  one_of?: string;
  inside?: string;
}
interface PrintedCard {
  card: string;
  product: string;
  kind: string;
  yield: { low: number | null; high: number | null; jar: string };
  ingredients: PrintedLine[];
  steps: { step: string; of?: string; least?: number; most?: number; optional?: true; when?: string }[];
  instead: { of: string; may: string }[];
  confidence: string;
}
const PRINTED = published('cards.jsonl')
  .trim()
  .split('\n')
  .map((line) => JSON.parse(line) as PrintedCard);

const CUP = 236.588_236_5;
const LB = 0.453_592_37;
/** Sizes typed from NIST Handbook 44, Appendix C, apart from the tables of the project. */
const SIZES: Record<string, [string, number]> = {
  tsp: ['ml', CUP / 48],
  Tbsp: ['ml', CUP / 16],
  tbsp: ['ml', CUP / 16],
  cup: ['ml', CUP],
  pint: ['ml', 2 * CUP],
  quart: ['ml', 4 * CUP],
  gal: ['ml', 16 * CUP],
  gallon: ['ml', 16 * CUP],
  lb: ['kg', LB],
  oz: ['kg', LB / 16],
};
const FIGURE = String.raw`\d+(?: \d+/\d+)?(?:/\d+)?(?:\.\d+)?`;

/** A printed amount read by another package: low and high, in millilitres, kilograms or pieces. */
function readPrinted(text: string): [string, number, number] | undefined {
  const num = (figure: string) => numericQuantity(figure, { round: false });
  const plus = new RegExp(`^(${FIGURE}) (cups?) \\+ (${FIGURE}) (Tbsp|tbsp)`, 'i').exec(text);
  if (plus) {
    const ml = num(plus[1]!) * CUP + (num(plus[3]!) * CUP) / 16;
    return ['ml', ml, ml];
  }
  const match = new RegExp(`^(up to |pulp of |not more than )?(${FIGURE})(?:-(${FIGURE}))?(?: ([A-Za-z]+))?`).exec(
    text,
  );
  if (!match) return undefined;
  const [of, size] = SIZES[(match[4] ?? '').replace(/s$/, '')] ?? ['pieces', 1];
  const [low, high] = [num(match[2]!), num(match[3] ?? match[2]!)];
  return [of, match[1] === 'up to ' ? 0 : low * size, high * size];
}

function sameAmount(amount: CardAmount, printed: string): void {
  if (amount.of === 'words') return expect(amount.words).toBe(printed);
  // Three ounces of liquid pectin are a pouch.
  if (amount.unit === 'pouch') return expect(`${amount.high * 3} oz`).toBe(printed);
  const read = readPrinted(printed);
  expect([printed, read?.[0]]).toEqual([printed, amount.of]);
  expect(amount.low).toBeCloseTo(read![1], 6);
  expect(amount.high).toBeCloseTo(read![2], 6);
}

/** Crops that cards as they were written down leave out: common practice. */
const ALSO_GROWN: Record<string, string> = {
  garlic: 'garlic',
  celery: 'celery',
  'fresh dill heads': 'dill',
  'dill heads': 'dill',
  'fresh ginger': 'ginger',
};

test('every card stands here as it was written down, line by line, amount by amount', () => {
  expect(new Set(CARDS.map(({ card }) => card))).toEqual(new Set(PRINTED.map(({ card }) => card)));
  for (const printed of PRINTED) {
    const card = CARDS.find((one) => one.card === printed.card)!;
    expect([card.product, card.kind, card.confidence]).toEqual([printed.product, printed.kind, printed.confidence]);
    const { low, high, jar } = printed.yield;
    expect(card.yields ? [card.yields.low, card.yields.high, card.yields.jar] : [null, null, '']).toEqual([
      low,
      high,
      jar,
    ]);
    expect(card.steps.map(({ step }) => step)).toEqual(printed.steps.map(({ step }) => step));
    for (const [i, step] of printed.steps.entries()) {
      const own = card.steps[i]!;
      expect([own.of?.join('|') ?? '', own.minutes?.[0], own.minutes?.[1], own.optional, own.sterile]).toEqual([
        step.of ?? '',
        step.least,
        step.most,
        step.optional,
        step.when === undefined ? undefined : true,
      ]);
    }
    expect(card.instead.map(({ of, may }) => [of, may])).toEqual(printed.instead.map(({ of, may }) => [of, may]));
    expect(card.ingredients.map(({ item }) => item)).toEqual(printed.ingredients.map(({ item }) => item));
    for (const [i, line] of printed.ingredients.entries()) {
      const own = card.ingredients[i]!;
      expect([own.item, own.role, own.into, own.then]).toEqual([line.item, line.role, line.into, line.then]);
      expect([own.optional, own.oneOf, own.inside]).toEqual([line.optional, line.one_of, line.inside]);
      const crops = [ALSO_GROWN[line.item], ...line.crop.split('|')].filter(Boolean);
      expect(own.crops.filter((crop) => crop !== 'celery' || line.item === 'celery')).toEqual(
        crops.filter((crop, at) => crops.indexOf(crop) === at),
      );
      sameAmount(own.amount, line.amount);
    }
  }
});

// "per pint; 2 Tbsp per quart": every size the page names has its dose, and no other.
test('doses by the jar are those the page names, jar by jar, and add up to what it says of all jars', () => {
  const names: Record<string, string> = {
    pint: 'pint',
    quart: 'quart',
    'half-pint': 'half-pint',
    '12-oz jar': 'twelve-ounce',
    jar: 'any',
  };
  for (const printed of PRINTED) {
    for (const [i, line] of printed.ingredients.entries()) {
      if (line.then !== 'per-jar') continue;
      const own = CARDS.find(({ card }) => card === printed.card)!.ingredients[i]!;
      const [, first = '', more, second = ''] =
        /per (half-pint|pint|quart|12-oz jar|jar)(?:; (.+?) per (pint|quart|half-pint))?/.exec(line.prep)!;
      const named = second === '' ? [names[first]] : [names[first], names[second]];
      expect(Object.keys(own.perJar!)).toEqual(named);
      sameAmount(Object.values(own.perJar!)[0]!, line.amount);
      if (more) sameAmount(Object.values(own.perJar!)[1]!, more);
      const inAll = /^(.*?)(?: large)? in all/.exec(line.also)?.[1];
      if (inAll) sameAmount(own.inAll!, inAll);
    }
  }
});

/** What recipes.csv puts into one line, or calls by another name, and the cards apart. */
const BY_HAND: Record<string, RegExp> = {
  'quick-fresh-pack-dill salt': /canning salt/,
  'sweet-gherkins salt': /canning salt/,
};

// The published batch proportions: every figure of recipes.csv is found again in the card, and no card adds another acid.
test('the figures of recipes.csv are the figures of the cards', () => {
  const [, ...rows] = parse(published('recipes.csv')) as string[][];
  let held = 0;
  for (const [product = '', inputs = '', low, high] of rows) {
    const [, kind = '', rest = inputs] = /^([^:;]+):\s*(.+)$/.exec(inputs) ?? [];
    const cards = CARDS.filter((card) => card.product === product);
    const parts = rest.split(/;(?![^(]*\))/).map((text) => text.trim());
    // "as bread-and-butter with zucchini", "per cup of juice": proportions told by another row.
    if (/^as |per cup/.test(rest)) continue;
    const found = cards.filter((card) => parts.every((part) => isIn(part, card, product)));
    expect([product, kind, found.length > 0]).toEqual([product, kind, true]);
    held += parts.length;
    if (low)
      expect(found.some(({ yields }) => `${yields?.low} ${yields?.high}` === `${Number(low)} ${Number(high)}`)).toBe(
        true,
      );
  }
  expect(held).toBeGreaterThan(330);
});

function isIn(part: string, card: (typeof CARDS)[number], product: string): boolean {
  if (/^(spices|pulp of|per gallon)/.test(part)) return true;
  return part.split(/ or (?=\d)| in (?=\d)/).some((text) => {
    const read = readPrinted(text.replace(/^per [a-z ]+: /, ''));
    if (!read) return false;
    const near = (a: number, b: number) => Math.abs(a - b) <= 0.012 * Math.max(a, b);
    const amounts = card.ingredients.flatMap(({ amount, inAll, about, item }) =>
      [amount, inAll, about].flatMap((each) => (each && each.of !== 'words' ? [{ each, item }] : [])),
    );
    if (/pectin/.test(text)) return card.ingredients.some(({ role }) => role === 'pectin');
    if (amounts.some(({ each }) => each.of === read[0] && near(each.high, read[2]))) return true;
    const [, word = ''] = /(salt|vinegar|sugar)/.exec(text) ?? [];
    const pattern = BY_HAND[`${product} ${word}`] ?? new RegExp(word === '' ? '^$' : word);
    const sum = card.ingredients
      .filter(({ item }) => pattern.test(item))
      .reduce((all, { amount }) => all + (amount.of === read[0] && amount.of !== 'words' ? amount.high : 0), 0);
    return near(sum, read[2]);
  });
}

test('every product has a card that may be offered, and every card its steps, crops and the steps its lines go into', () => {
  for (const { product } of PRODUCTS) expect([product, cardsOf(product).length > 0]).toEqual([product, true]);
  for (const card of CARDS) {
    const steps = card.steps.map(({ step }) => step);
    for (const step of steps) expect(stepOf(step).plainWords).not.toMatch(/\bN\b/);
    for (const { of = [] } of card.steps)
      for (const crop of of) expect(isCrop(crop) || crop === 'vegetables').toBe(true);
    for (const { into, crops, item } of card.ingredients) {
      expect([card.card, item, steps.includes(into)]).toEqual([card.card, item, true]);
      for (const crop of crops) expect(CROP_NAMES[crop]).toBeDefined();
    }
    // None takes no time: each has the figures of the step it varies.
    for (const step of steps) {
      const { row, waitMinutes, handsPerJar } = stepOf(step);
      const minutes = row.handsPerLb[1] + row.fixedMinutes[1] + waitMinutes[1] + (handsPerJar?.pint[1] ?? 0);
      expect([step, minutes > 0]).toEqual([step, true]);
    }
  }
});
