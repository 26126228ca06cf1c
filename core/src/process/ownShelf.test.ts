import fc from 'fast-check';
import { layOwnPages, NO_OWN_PAGES } from '../handbook/ownPages';
import { JAR_SIZES, JARS } from '../handbook/jars';
import { ownProductId } from '../handbook/ownIds';
import { ownPagesOf } from '../recipe/own/pagesOf';
import { readRecipe } from '../recipe/own/readRecipe';
import { anyOwnRecipe } from './anyOwnRecipe';
import { findProcess } from './findProcess';
import { METHODS } from './method';
import { type OwnRecipe, type RecipeSource } from './ownRecipe';
import { judgeRecipe } from './ownShelf';
import { recipeFaults } from './recipeFaults';
import { testedInstead } from './testedInstead';

afterEach(() => layOwnPages(NO_OWN_PAGES));

const ID = '0198f3a0-0000-7000-8000-0000000000aa';
const BOOK: RecipeSource = {
  ...{ title: 'Preserving at home', kind: 'tested-book', page: '31', method: 'boiling-water', jar: 'pint' },
  bands: [
    { upToFt: 1_000, minutes: 20 },
    { upToFt: 3_000, minutes: 20 },
    { upToFt: 6_000, minutes: 25 },
  ],
};

function page(text: string, source?: Partial<RecipeSource>): OwnRecipe {
  const { processing: _, ...read } = readRecipe(text);
  const lines = read.lines.map(({ open: __, ...line }) => line);
  return { ...read, lines, id: ID, revision: 1, draft: false, ...(source && { source: { ...BOOK, ...source } }) };
}

function asked(
  recipe: OwnRecipe,
  altitudeFt: number,
  more: Partial<{ jar: string; method: string; pack: string }> = {},
) {
  layOwnPages(ownPagesOf([recipe]));
  const question = {
    product: ownProductId(ID),
    pack: recipe.pack,
    jar: 'pint',
    method: 'boiling-water',
    altitudeFt,
    ...more,
  };
  return findProcess(question, { recipes: [recipe] });
}

/** Said apart from the code: bands of boiling water and steam, of dial and weighted gauges. Handbook rules 1 and 11. */
const UPPER_EDGES: Readonly<Record<string, readonly number[]>> = {
  'boiling-water': [1_000, 3_000, 6_000, Infinity],
  steam: [1_000, 3_000, 6_000, Infinity],
  'pressure-dial': [2_000, 4_000, 6_000, 8_000, Infinity],
  'pressure-weighted': [1_000, Infinity],
};
const NO_TEST = ['film', 'blog', 'family'];

test('no own recipe ever gets a shelf answer without a row of its own source that allows it', () => {
  let tested = 0;
  fc.assert(
    fc.property(
      anyOwnRecipe,
      fc.constantFrom(...JAR_SIZES),
      fc.constantFrom(...METHODS),
      fc.constantFrom('hot', 'raw'),
      fc.integer({ min: 0, max: 12_000 }),
      fc.integer({ min: 0, max: 7 }),
      (recipe, anyJar, anyMethod, anyPack, altitudeFt, asIts) => {
        layOwnPages(ownPagesOf([recipe]));
        // Most ask as the page has it: what is asked otherwise is refused for that alone.
        const method = asIts > 0 ? (recipe.source?.method ?? anyMethod) : anyMethod;
        const pack = asIts > 1 ? recipe.pack : anyPack;
        const jar = asIts > 3 ? (recipe.source?.jar ?? anyJar) : anyJar;
        const answer = findProcess(
          { product: ownProductId(recipe.id), pack, jar, method, altitudeFt },
          { recipes: [recipe] },
        );
        if (answer.kind === 'refusal') return expect(answer.instead.length).toBeGreaterThan(0);
        tested += 1;
        const { source } = recipe;
        expect(source).toBeDefined();
        expect(NO_TEST).not.toContain(source?.kind);
        expect(source?.title).not.toBe('');
        expect(source?.page).toMatch(/\w/);
        expect(source?.method).toBe(method);
        expect(JARS[jar].nominalFlOz).toBeLessThanOrEqual(JARS[source?.jar ?? 'quarter-pint'].nominalFlOz);
        const edge = UPPER_EDGES[method]?.find((upTo) => altitudeFt <= upTo);
        const row = source?.bands.find(({ upToFt }) => (upToFt ?? Infinity) === edge);
        expect(answer.minutes).toBe(row?.minutes);
        // Nothing in oil, nothing open; outside pressure vegetables only in acid.
        const inJar = recipe.lines.filter(({ then }) => then !== 'drained' && then !== 'taken-out');
        expect(inJar.some(({ role, optional }) => role === 'oil' && !optional)).toBe(false);
        expect(recipe.lines.some(({ open }) => open === 'food' || open === 'strength' || open === 'amount')).toBe(
          false,
        );
        if (!method.startsWith('pressure') && inJar.length > 0 && inJar.every(({ role }) => role === 'low-acid')) {
          throw new Error('low-acid food alone has no acid at all');
        }
      },
    ),
    { numRuns: 3_000 },
  );
  // Else it would say nothing.
  expect(tested).toBeGreaterThan(20);
});

const RELISH = `Pepper relish
6 cups chopped sweet peppers
3 cups chopped onions
6 cups vinegar (5 %)
1 cup sugar
Method
Chop the vegetables.
Boil everything for 30 minutes.
Fill hot into jars.
Makes 6 pints`;

describe('vegetables in acid', () => {
  // Handbook card "Pepper and onion relish": 6 cups of vinegar to 5 cups peppers and 5 cups onions, USDA guide 6, as recalled.
  test('no weaker than the weakest tested relish they may go to the shelf by their own page', () => {
    expect(asked(page(RELISH, {}), 800)).toMatchObject({ kind: 'tested', minutes: 20, own: true });
  });

  test('with a spoon of vinegar they are low in acid: only pressure, whatever the page says', () => {
    const weak = page(RELISH.replace('6 cups vinegar', '2 Tbsp vinegar'), {});
    expect(asked(weak, 800)).toMatchObject({ kind: 'refusal', cause: 'own-refused' });
    expect(recipeFaults(weak).map(({ field }) => field)).toContain('source.method');
  });

  test('salsa weaker than every tested salsa is refused, as sour as one it is not', () => {
    // Handbook card "Paste-tomato salsa": 7 lb tomatoes, 4 cups chiles, 5 cups onions, 2 cups bottled lemon juice.
    const salsa = (juice: string) =>
      page(
        `Salsa\n7 lb paste tomatoes, peeled\n4 cups chopped green chiles\n5 cups chopped onions\n${juice} bottled lemon juice\nMethod\nSimmer 20 minutes.\nFill into jars.\nMakes 16 pints`,
        {},
      );
    expect(asked(salsa('2 cups'), 800)).toMatchObject({ kind: 'tested' });
    expect(asked(salsa('3/4 cup'), 800)).toMatchObject({ kind: 'refusal' });
  });
});

// Handbook rule 10: anything in oil keeps 3 to 4 days or is frozen; the oil shuts the air out.
test.each([
  ['6 lb sweet peppers, charred in oil and drained', 'Boil the vinegar.'],
  ['6 lb sweet peppers\n12 cloves garlic in oil', 'Boil the vinegar.'],
  ['6 lb sweet peppers\n2 Tbsp olive oil', 'Boil the vinegar.'],
  ['6 lb sweet peppers', 'Fry the peppers in a little oil.\nBoil the vinegar.'],
])('oil is oil however a page has it: %s', (lines, method) => {
  const read = (text: string) =>
    page(`Peppers\n${text}\n6 cups white vinegar (5 %)\nMethod\n${method}\nPack into jars.`);
  expect(judgeRecipe(read(lines)).foods.map(({ foodClass }) => foodClass)).toEqual(['oil']);
  const first = read(lines).lines[0];
  expect([first?.role, first?.crops]).toEqual(['low-acid', ['pepper-sweet']]);
});

test('what is not for the shelf has the tested recipe of its kind for a way out', () => {
  const named = (text: string) =>
    testedInstead(page(`${text}\n1 cup bottled lemon juice\nFill into jars.`)).map(({ name }) => name);
  expect(named('Charred salsa\n7 lb paste tomatoes')[0]).toMatch(/salsa/i);
  expect(named('Bread and butter pickles of ours\n6 lb pickling cucumbers')[0]).toMatch(/bread-and-butter/i);
  expect(named('Grandmother’s treasure\n7 lb paste tomatoes')).toEqual([]);
  // A crop alone is no kind of food.
  expect(named('Tomato thing\n7 lb paste tomatoes')).toEqual([]);
});

describe('a page that may not be, part by part', () => {
  const fields = (recipe: OwnRecipe) => recipeFaults(recipe).map(({ field }) => field);
  const JAM =
    'Fig jam\n2 lb figs\n3 cups sugar\n2 Tbsp bottled lemon juice\nMethod\nChop the figs.\nBoil until it sets, 25 minutes.\nFill into jars.\nMakes 4 half-pints';

  test('a film is no test, and a page has a number', () => {
    expect(fields(page(RELISH, { kind: 'film' }))).toEqual(['source.kind']);
    expect(fields(page(RELISH, { page: '' }))).toEqual(['source.page']);
  });

  test('jars in an oven are no step of a page that is kept, and a draft loses nothing', () => {
    const recipe = page(RELISH, {});
    const [first] = recipe.steps;
    const steps = first ? [...recipe.steps, { ...first, id: 'x', text: 'Seal and place in the oven' }] : [];
    expect(fields({ ...recipe, steps })).toEqual([`steps.${recipe.steps.length}.text`]);
    expect(fields({ ...recipe, steps, draft: true })).toEqual([]);
  });

  test('a band that is not given is refused there and nowhere else', () => {
    const recipe = page(RELISH, {});
    expect(recipeFaults(recipe)).toEqual([]);
    expect(asked(recipe, 6_001)).toMatchObject({ kind: 'refusal', cause: 'own-band-missing' });
    expect(asked(recipe, 6_000)).toMatchObject({ kind: 'tested', minutes: 25 });
  });

  test('never fewer minutes than the handbook has for the same crop and form', () => {
    // Pickles of sweet peppers: 5 minutes at sea level in the handbook; 2 are fewer than any.
    expect(fields(page(RELISH, { bands: [{ upToFt: 1_000, minutes: 2 }] }))).toEqual(
      ['bands'].map((field) => `source.${field}`),
    );
  });

  test('a quart where half-pints were tested, another canner, another pack', () => {
    const recipe = page(JAM, { jar: 'half-pint' });
    expect(recipeFaults(recipe)).toEqual([]);
    expect(asked(recipe, 800, { jar: 'quart' })).toMatchObject({
      kind: 'refusal',
      cause: 'jar-too-large',
      instead: ['half-pint'],
    });
    expect(asked(recipe, 800, { jar: 'half-pint', method: 'steam' })).toMatchObject({
      kind: 'refusal',
      cause: 'own-untested',
    });
    expect(asked(recipe, 800, { jar: 'quarter-pint' })).toMatchObject({ kind: 'tested', minutes: 20 });
  });

  test('figs and tomatoes without their acid', () => {
    expect(fields(page(JAM.replace('2 Tbsp bottled lemon juice\n', ''), { jar: 'half-pint' }))).toContain('lines');
  });

  test('what is never canned is not, by its name or by a line', () => {
    const elder = page(
      'Elderberry jelly\n4 cups elderberry juice\n5 cups sugar\n1 box pectin\nMethod\nBoil hard 1 minute.\nFill into jars.\nMakes 5 half-pints',
      {},
    );
    expect(asked(elder, 800)).toMatchObject({ kind: 'refusal', reason: expect.stringContaining('Elderberries') });
  });

  test('a crop is never made sourer by hand', () => {
    const recipe = page(RELISH);
    const lines = recipe.lines.map((line) =>
      line.crops.includes('onion') ? { ...line, role: 'acid-food' as const } : line,
    );
    expect(fields({ ...recipe, lines })).toEqual(['lines.1.role']);
  });
});

test('without a source it is told once why, with how long it keeps cold', () => {
  expect(asked(page(RELISH), 800)).toMatchObject({
    kind: 'refusal',
    cause: 'own-untested',
    instead: ['refrigerator: 2 to 3 months', 'freezer', 'a tested page of it'],
  });
});
