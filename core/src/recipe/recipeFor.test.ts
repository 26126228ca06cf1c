import fc from 'fast-check';
import { CARDS, findCard, isOffered } from '../handbook/cards';
import { type Card, type CardLine } from '../handbook/cards/card';
import { JAR_SIZES, JARS, type JarSize } from '../handbook/jars';
import { productRow } from '../handbook/products';
import { roundToMeasures } from '../measure/cookMeasure';
import { largestTested } from '../process/largestTested';
import { measureGate } from '../supplies/measureGate';
import { columnFor } from './cardColumns';
import { cropNeeds, kgAsPicked, mainLine } from './cardCrops';
import { coveringLines } from './covering';
import { inUnit, type Measure, measureWords } from './kitchenMeasure';
import { type AmountLine, recipeFor } from './recipeFor';
import { recipeName } from './recipeName';

const CUP = 236.588_236_5;
const KG_PER_LB = 0.453_592_37;
const card = (id: string) => findCard(id)!;
const OFFERED = CARDS.filter(isOffered);

/** Jars of one size that a card was tested in, 1 to 40 of them. */
const anyAsked = fc
  .record({ card: fc.constantFrom(...OFFERED), at: fc.nat(), count: fc.integer({ min: 1, max: 40 }) })
  .map(({ card: own, at, count }) => {
    const most = JARS[largestTested(own.product) ?? 'pint'].nominalFlOz;
    const sizes = JAR_SIZES.filter((size) => JARS[size].nominalFlOz <= most);
    return { card: own, jar: sizes[at % sizes.length] as JarSize, count };
  });

const valueOf = (measure: Measure | undefined) => (measure && measure.of !== 'words' ? measure.value : 0);
const isAcid = ({ role, then }: CardLine) =>
  (role === 'vinegar' || role === 'lemon' || role === 'citric-acid') && then === 'jar';
const isFood = ({ role, then }: CardLine) => (role === 'acid-food' || role === 'low-acid') && then === 'jar';
const measured = ({ line, each }: AmountLine) =>
  each && each.of !== 'words' && each.of !== 'pieces' && line.amount.of === each.of ? each.value : undefined;

// Handbook rules 2, 3 and 17: in what cooks together acid is never below the card's ratio to all the produce in the pot.
test('acid in a cooked pot is never below the card, and at most one kitchen measure above the larger claim', () => {
  fc.assert(
    fc.property(anyAsked, fc.double({ min: 0.3, max: 3, noNaN: true }), fc.boolean(), (asked, produce, told) => {
      const batches = told
        ? new Map((mainLine(asked.card)?.crops ?? []).map((crop) => [crop, produce] as const))
        : undefined;
      const made = recipeFor(asked.card, {
        jars: [{ jar: asked.jar, count: asked.count }],
        ...(batches && { batches }),
      });
      const covered = coveringLines(made.card);
      const food = made.lines.filter(
        ({ line }) => isFood(line) && line.amount.of !== 'words' && !covered.includes(line),
      );
      const ratios = food.flatMap((own) => {
        const { amount } = own.line;
        const each = measured(own);
        return each === undefined || amount.of === 'words'
          ? []
          : [{ share: each / amount.high, most: each / (amount.low || amount.high) }];
      });
      for (const own of made.lines.filter(({ line }) => isAcid(line) && !covered.includes(line))) {
        const { amount } = own.line;
        if (amount.of !== 'ml' || ratios.length === 0) continue;
        const ml = valueOf(own.each);
        for (const { share } of ratios) expect(ml / amount.high).toBeGreaterThanOrEqual(share - 1e-9);
        const claim = amount.high * Math.max(...ratios.map(({ most }) => most), jarClaim(made.card, asked, made.pots));
        expect(ml).toBeLessThanOrEqual(roundToMeasures(claim, { up: true }) + 1e-6);
      }
    }),
    { numRuns: 3_000 },
  );
});

/** What the jars alone ask for, of the card, in each pot: by the middle of what the page says one batch fills. */
function jarClaim({ yields }: Card, { jar, count }: { jar: JarSize; count: number }, pots: number): number {
  if (!yields) return (count * JARS[jar].nominalFlOz) / 128 / pots;
  const batch = ((yields.low + yields.high) / 2) * JARS[yields.jar].nominalFlOz;
  return Math.max(1, (count * JARS[jar].nominalFlOz) / batch / pots);
}

test('a covering liquid keeps its proportions exactly, is enough for the jars and not much more', () => {
  fc.assert(
    fc.property(anyAsked, ({ card: own, jar, count }) => {
      const { covering, card: made } = recipeFor(own, { jars: [{ jar, count }] });
      expect(covering !== undefined).toBe(coveringLines(made).length > 0);
      if (!covering) return;
      const times = covering.lines.map(
        ({ line, all }) => valueOf(all) / (line.amount.of === 'words' ? 1 : line.amount.high),
      );
      for (const each of times) expect(each).toBeCloseTo(times[0]!, 9);
      expect(covering.makeMl).toBeGreaterThanOrEqual(covering.likelyMl.p90 - 1e-6);
      expect(covering.makeMl).toBeLessThan(covering.likelyMl.p90 * 1.13);
      expect(covering.likelyMl.p10 < covering.likelyMl.p50 && covering.likelyMl.p50 < covering.likelyMl.p90).toBe(true);
    }),
  );
});

test('doses are the same in every jar of a size, go up with the jar, and add up', () => {
  fc.assert(
    fc.property(anyAsked, fc.integer({ min: 1, max: 40 }), ({ card: own, jar, count }, more) => {
      const [few, many] = [count, count + more].map((jars) => recipeFor(own, { jars: [{ jar, count: jars }] }));
      for (const line of few!.lines) {
        if (!line.perJar) continue;
        const other = many!.lines.find((each) => each.line.item === line.line.item);
        if (other) expect(line.perJar).toEqual(other.perJar);
        expect(valueOf(line.all)).toBeCloseTo(valueOf(line.perJar[0]?.dose) * count, 6);
        const pints = recipeFor(own, { jars: [{ jar: 'pint', count: 1 }] }).lines.find(
          (each) => each.line.item === line.line.item,
        );
        const size = JARS[jar].nominalFlOz / JARS.pint.nominalFlOz;
        if (pints?.perJar && isAcid({ ...line.line, then: 'jar' })) {
          expect(valueOf(line.perJar[0]?.dose)).toBeGreaterThanOrEqual(valueOf(pints.perJar[0]?.dose) * size - 1e-6);
        }
      }
    }),
  );
});

test('boxes of pectin are whole, one of a group counts, and nothing poured off is ever in a pot with the acid', () => {
  fc.assert(
    fc.property(anyAsked, ({ card: own, jar, count }) => {
      const made = recipeFor(own, { jars: [{ jar, count }] });
      expect(Number.isInteger(made.pots) && made.pots >= 1).toBe(true);
      const groups = made.lines.flatMap(({ line }) => line.oneOf ?? []);
      expect(new Set(groups).size).toBe(groups.length);
      for (const { line, all, each } of made.lines) {
        if (line.role === 'pectin') expect(Number.isInteger(valueOf(all)) && valueOf(all) >= made.pots).toBe(true);
        if (all.of !== 'words' && each && each.of !== 'words') expect(all.value).toBeCloseTo(each.value * made.pots, 9);
        if (line.then === 'drained') expect(isAcid(line)).toBe(false);
      }
      const { mayDouble } = productRow(made.card.product);
      if (!mayDouble && made.card.card !== 'apple-pie-filling/one-quart')
        expect(made.factor).toBeLessThanOrEqual(1 + 1e-9);
    }),
  );
});

const words = (id: string, jar: JarSize, count: number) =>
  Object.fromEntries(
    recipeFor(card(id), { jars: [{ jar, count }] }).lines.map(({ line, all }) => [line.item, measureWords(all)]),
  );

// Cases that once came out wrong, worked out by hand from the published cards.
test.each([
  ['pickled-jalapeno-rings', 'pint', 6, { 'pickling lime': '1 1/2 cups', 'water (lime)': '1 1/2 gallons' }],
  ['cucumber-pickle-relish', 'pint', 9, { 'canning salt': '3/4 cup', 'white vinegar 5%': '6 cups', sugar: '2 cups' }],
  [
    'bread-and-butter-pickles',
    'pint',
    12,
    { 'vinegar 5%': '6 cups', sugar: '6 3/4 cups', 'canning salt': '3/4 cup', onions: '12 cups' },
  ],
  ['jelly-with-pectin/strawberry-rhubarb', 'half-pint', 1, { 'liquid pectin': '2 pouches', sugar: '6 cups' }],
  ['tomato-chile-salsa', 'half-pint', 14, { tomatoes: '5 lb', 'vinegar 5%': '1 cup', onions: '1 lb' }],
  ['fig-jam', 'pint', 5, { figs: '8 cups', 'bottled lemon juice': '1/4 cup' }],
  ['apple-pie-filling/seven-quarts', 'quart', 3, { 'bottled lemon juice': '1/4 cup + 2 Tbsp', apples: '10 1/2 cups' }],
  [
    'apple-pie-filling/seven-quarts',
    'quart',
    7,
    { 'bottled lemon juice': '3/4 cup', 'cook-type canning starch': '1 1/2 cups' },
  ],
  ['peaches', 'pint', 9, { 'peaches (yellow flesh)': '11 lb', 'water for light syrup': '5 3/4 cups' }],
  [
    'quick-fresh-pack-dill',
    'quart',
    5,
    { 'vinegar 5%': '6 cups', 'water (brine)': '8 cups', 'water (soak)': '2 1/2 gallons', 'fresh dill heads': '15' },
  ],
  ['tomatoes-crushed', 'quart', 7, { 'bottled lemon juice': '3/4 cup + 2 Tbsp' }],
] as const)('%s, %s x %d: %o', (id, jar, count, expected) => expect(words(id, jar, count)).toMatchObject(expected));

test('jars of several sizes are made together: 8 half-pints and 3 pints of salsa are one batch of 7 pints', () => {
  const jars = [
    { jar: 'half-pint', count: 8 },
    { jar: 'pint', count: 3 },
  ] as const;
  const { pots, lines } = recipeFor(card('tomato-chile-salsa'), { jars });
  expect([pots, measureWords(lines.find(({ line }) => line.role === 'vinegar')!.all)]).toEqual([1, '1 cup']);
  // Whole tomatoes in quarts and pints: each jar its own dose.
  const whole = recipeFor(card('tomatoes-whole-in-water'), {
    jars: [
      { jar: 'quart', count: 6 },
      { jar: 'pint', count: 4 },
    ],
  });
  const lemon = whole.lines.find(({ line }) => line.role === 'lemon')!;
  expect(lemon.perJar!.map(({ dose }) => measureWords(dose))).toEqual(['2 Tbsp', '1 Tbsp']);
  expect(measureWords(lemon.all)).toBe('1 cup');
  expect(lemon.instead.map(({ line }) => line.item)).toEqual(['citric acid', 'vinegar 5%']);
});

test('15 pints of salsa: the pots add up to the one figure, whichever way it is asked', () => {
  const { pots, lines } = recipeFor(card('tomato-chile-salsa'), { jars: [{ jar: 'pint', count: 15 }] });
  const vinegar = lines.find(({ line }) => line.role === 'vinegar')!;
  expect(valueOf(vinegar.all)).toBeCloseTo(valueOf(vinegar.each) * pots, 9);
});

test('acid follows the produce that really goes in: 5 3/4 lb of tomatoes for 12 half-pints take what 5 3/4 lb take', () => {
  const made = recipeFor(card('tomato-chile-salsa'), {
    jars: [{ jar: 'half-pint', count: 12 }],
    batches: new Map([['tomato-paste', 1.15]]),
  });
  const all = (role: CardLine['role']) => valueOf(made.lines.find(({ line }) => line.role === role)!.all);
  expect(all('acid-food') / KG_PER_LB).toBeCloseTo(5.75, 2);
  expect(all('vinegar') / CUP).toBeGreaterThanOrEqual(5.75 / 5);
});

test('less of a low-acid vegetable than the card says: there is less of it in the pot, and the acid stays', () => {
  const jars = [{ jar: 'pint', count: 7 }] as const;
  const [whole, few] = [1, 0.5].map((onions) =>
    recipeFor(card('tomato-chile-salsa'), {
      jars,
      batches: new Map([
        ['tomato-paste', 1],
        ['onion', onions],
      ]),
    }),
  );
  const of = (made: typeof whole, role: string) =>
    made!.lines.filter(({ line }) => line.role === role || line.item === role).map(({ all }) => valueOf(all));
  expect(of(few, 'onions')[0]! / of(whole, 'onions')[0]!).toBeCloseTo(0.5, 2);
  expect(of(few, 'vinegar')).toEqual(of(whole, 'vinegar'));
});

test('no jar at all is a mistake, and a card without figures says its words', () => {
  expect(() => recipeFor(card('fig-jam'), { jars: [] })).toThrow(RangeError);
  expect(words('vegetable-soup', 'quart', 3)).toMatchObject({ 'vegetables, any mix': 'as wished' });
  expect(columnFor(card('pickled-asparagus/pint'), [{ jar: 'twelve-ounce', count: 3 }]).card).toBe(
    'pickled-asparagus/twelve-ounce',
  );
});

// USDA Complete Guide to Home Canning, 2015, guide 7, and the table of produce: a quart of blackberries weighs 1.5 lb.
test('3 1/2 quarts of blackberries are one batch of jelly, told in quarts, cups or pounds', () => {
  const own = card('jelly-with-pectin/blackberry');
  expect(kgAsPicked(mainLine(own)!, 'blackberry', own)! / KG_PER_LB).toBeCloseTo(5.25, 9);
  expect(measureGate(own, 3.5)).toMatchObject({ kind: 'make', pots: 1, jars: { low: 5, high: 6 } });
  expect(
    recipeFor(own, { jars: [{ jar: 'half-pint', count: 6 }] }).lines.some(({ line }) => line.role === 'vinegar'),
  ).toBe(false);
});

test('garlic, dill, celery and ginger are crops of the cards that take them', () => {
  const crops = (id: string, main: 'cucumber-pickling' | 'mango' | 'tomato-paste') =>
    cropNeeds(card(id), main).map(({ crop }) => crop);
  expect(crops('quick-fresh-pack-dill', 'cucumber-pickling')).toContain('dill');
  expect(crops('mango-chutney', 'mango')).toEqual(['mango', 'onion', 'ginger', 'garlic']);
  expect(crops('spaghetti-sauce-no-meat', 'tomato-paste')).toContain('celery');
});

test.each([
  [{ product: 'jam-with-pectin', recipe: 'jam-with-pectin/strawberry' }, 'Strawberry jam'],
  [{ product: 'jam-with-pectin', recipe: 'jam-with-pectin/plum', crop: 'damson' }, 'Damson jam'],
  [{ product: 'jelly-with-pectin', recipe: 'jelly-with-pectin/blackberry' }, 'Blackberry jelly'],
  [{ product: 'plums', crop: 'damson' }, 'Damsons in syrup'],
  [{ product: 'plums', crop: 'plum' }, 'Plums in syrup'],
  [{ product: 'cherries-whole', crop: 'cherry-sour' }, 'Sour cherries'],
  [
    { product: 'jelly-with-pectin', recipe: 'jelly-with-pectin/golden-pepper', crop: 'pepper-sweet' },
    'Golden pepper jelly',
  ],
  [{ product: 'tomatoes-crushed', crop: 'tomato-paste' }, 'Crushed tomatoes'],
  [{ product: 'jam-with-pectin' }, 'Jam with added pectin'],
] as const)('%o is called %s', (asked, name) => expect(recipeName(asked)).toBe(name));

test('amounts are told in measures a kitchen has, in cups or in litres, acid never rounded down', () => {
  fc.assert(
    fc.property(anyAsked, ({ card: own, jar, count }) => {
      for (const { line, each } of recipeFor(own, { jars: [{ jar, count }] }).lines) {
        if (!each || each.of !== 'ml' || each.value <= 0) continue;
        expect(measureWords(each)).toMatch(/^\d.*(cup|Tbsp|tsp|quart|gallon)/);
        const metric = measureWords(each, 'metric', line.role);
        // Spoons are spoons in a metric kitchen too.
        if (metric === measureWords(each)) {
          expect(each.value).toBeLessThan(60);
          continue;
        }
        const [, figure = '', unit] = /^([\d.]+) (ml|l)$/.exec(metric)!;
        const ml = Number(figure) * (unit === 'l' ? 1_000 : 1);
        if (isAcid(line)) expect(ml).toBeGreaterThanOrEqual(each.value - 1e-6);
        if (line.role === 'water') expect(ml).toBeLessThanOrEqual(Math.max(each.value, 0.5) + 1e-6);
        expect(inUnit(each)).toBeGreaterThan(0);
      }
    }),
  );
});
