import { cardsOf, isOffered } from '../handbook/cards';
import { ownCardId, ownProductId } from '../handbook/ownIds';
import { layOwnPages, NO_OWN_PAGES } from '../handbook/ownPages';
import { findProduce } from '../handbook/produce';
import { PRODUCTS } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { type Batch, mainCropOf } from '../day/batch';
import { stepsOfBatch } from '../day/daySequence';
import { findProcess } from '../process/findProcess';
import { type OwnRecipe } from '../process/ownRecipe';
import { mainLine } from '../recipe/cardCrops';
import { ownPagesOf } from '../recipe/own/pagesOf';
import { readRecipe } from '../recipe/own/readRecipe';
import { standsFor } from '../recipe/potForm';
import { otherProducts } from './otherProducts';

const LB = 0.45359237;

function batchOf(product: Batch['product'], crop: string, over: Partial<Batch> = {}): Batch {
  return {
    ...{ id: 'b', product, jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 800, processMinutes: 15 },
    ...{ cannerId: 'c', startAt: 0, loads: [{ id: 'l', number: 1, jars: 8 }] },
    uses: [{ pickId: 'p', crop, massKg: 20 * LB, softKg: 0 }],
    ...over,
  } as Batch;
}

/** What may be made of a pot once the step named is begun. */
function after(step: string, batch: Batch, pages = {}) {
  const entries = stepsOfBatch(batch).map(({ entry }) => entry);
  expect(entries).toContain(step);
  return otherProducts(batch, entries.slice(0, entries.indexOf(step) + 1), pages);
}

const said = (all: ReturnType<typeof otherProducts>) =>
  Object.fromEntries(all.map((each) => [each.name, each.kind === 'other' ? each.card.processMinutes : each.reason]));

// Processing times: USDA Complete Guide, Guides 2, 3; 0 to 1,000 ft, pints.
test('thick sauce may stay thin or become juice as long as that is tested for no less time; whole tomatoes it is no more', () => {
  const sauce = batchOf('tomato-sauce-thick', 'tomato-slicing', { processMinutes: 35 });
  expect(said(after('cook-down-half', sauce))).toMatchObject({ 'Thin tomato sauce': 35, 'Tomato juice': 35 });
  expect(Object.keys(said(after('food-mill', sauce)))).not.toContain('Crushed tomatoes');
  expect(said(after('wash', sauce))).toMatchObject({ 'Crushed tomatoes': 35, 'Tomato juice': 35 });
  expect(after('acid', sauce)).toEqual([]);
});

test('a pot that juice is taken off stays one that gives juice', () => {
  const sauce = batchOf('tomato-sauce-thick', 'tomato-slicing', { processMinutes: 35, gives: ['thin-juice'] });
  expect(said(after('simmer-5', sauce))).toMatchObject({
    'Thin tomato sauce': 35,
    'Tomato juice': 'thin juice comes off this pot.',
  });
});

test('thawed on the counter it is thawed, whatever the other card would have it', () => {
  const use = { pickId: 'p', crop: 'pear', massKg: 9, softKg: 0, frozenKg: 9 } as const;
  const halves = batchOf('pears-halved', 'pear', { processMinutes: 20, uses: [use], without: ['thaw-cold'] });
  const begun = stepsOfBatch(halves)
    .map(({ entry }) => entry)
    .slice(0, 1);
  expect(begun).toEqual(['thaw-counter']);
  const puree = stepsOfBatch({ ...halves, product: 'fruit-puree', recipe: 'fruit-puree', without: [] });
  expect(
    standsFor(
      puree.map(({ entry }) => entry),
      begun,
    ),
  ).toEqual(['thaw-cold']);
});

test('apple butter becomes applesauce while nothing but apples is prepared; with cider and vinegar in the pot nobody tested it', () => {
  const butter = batchOf('apple-butter', 'apple', { processMinutes: 5 });
  expect(said(after('core', butter))).toMatchObject({ Applesauce: 15 });
  const reason = said(after('food-mill', butter)).Applesauce;
  expect(reason).toMatch(/^nobody tested it with apple cider and vinegar\.$/);
});

test('pears that fall apart in their syrup go through the mill as purée; jam of them has a formula of its own', () => {
  const halves = batchOf('pears-halved', 'pear', { processMinutes: 20 });
  expect(said(after('peel-core', halves))).toMatchObject({ 'Pear purée': 15 });
  expect(said(after('boil-5', halves))).toMatchObject({ 'Pear purée': 15 });
  expect(Object.keys(said(after('boil-5', halves)))).not.toContain('Pear jam');
});

test('berries dripped for jelly may become what is made of their juice, and nothing that is made of berries', () => {
  const jelly = batchOf('jelly-with-pectin', 'grape', { processMinutes: 5, recipe: 'jelly-with-pectin/grape' });
  expect(said(after('drip-4h', jelly))).toMatchObject({ 'Grape juice': 5 });
  expect(Object.keys(said(after('drip-4h', jelly)))).not.toContain('Whole grapes');
  expect(said(after('add-sugar', jelly))['Grape juice']).toMatch(/pectin/);
});

describe('butter of the household’s own book', () => {
  const ID = '0198f3a0-0000-7000-8000-0000000000e1';
  const { processing: _, ...read } = readRecipe(
    'Pear butter\n12 lb pears\n3 cups sugar\n2 tsp ground cinnamon\nMethod\nWash the pears.\nPeel and core the pears.\nCook soft 20 minutes.\nPut through the food mill.\nCook down with sugar and cinnamon.\nFill into pint jars.\nMakes 6 pints',
  );
  const lines = read.lines.map(({ open: __, ...line }) => line);
  const page: OwnRecipe = { ...read, lines, id: ID, revision: 1, draft: false };
  beforeEach(() => layOwnPages(ownPagesOf([page])));
  afterEach(() => layOwnPages(NO_OWN_PAGES));

  test('stays a purée where that is tested for as long as the butter, and not where it would be for less', () => {
    const recipe = ownCardId(ID, 1);
    const butter = batchOf(ownProductId(ID), 'pear', { recipe, processMinutes: 15 });
    const last = stepsOfBatch(butter).at(-2)!.entry;
    expect(said(after(last, butter))).toMatchObject({ 'Pear purée': 15 });
    expect(said(after(last, { ...butter, processMinutes: 20 }))['Pear purée']).toMatch(/thicker than what was tested/);
  });
});

/** What can only be done to fruit that is whole still. Common practice. */
const NEEDS_WHOLE = /^(wash|peel|scald-peel|halve|pit|stem|husk|prick|trim|core)/;
const BREAKS = /^(crush|cook-soft|simmer|boil|food-mill|puree|drip|squeeze|cook-down)/;

// An independent reading of "goes on from here": every card of the handbook, broken off at every step.
test('whatever a pot becomes: tested in its jars, no step undone, nothing peeled or pitted that is soft, no shorter than it must be', () => {
  let offered = 0;
  for (const row of PRODUCTS) {
    for (const card of cardsOf(row.product).filter(isOffered)) {
      const crop = mainLine(card)?.crops.find((each) => findProduce(each));
      if (!crop) continue;
      for (const jar of ['half-pint', 'pint', 'quart'] as const) {
        const batch = batchOf(row.product, crop, { recipe: card.card, jar });
        expect(mainCropOf(batch)).toBe(crop);
        const entries = stepsOfBatch(batch).map(({ entry }) => entry);
        entries.forEach((_, i) => {
          const begun = entries.slice(0, i + 1);
          for (const each of otherProducts(batch, begun, {})) {
            if (each.kind !== 'other') continue;
            offered++;
            const { product, recipe, processMinutes } = each.card;
            const tested = findProcess({
              product,
              pack: usualPack(PRODUCTS.find((p) => p.product === product)!),
              jar,
              method: 'boiling-water',
              altitudeFt: 800,
            });
            expect(tested.kind === 'tested' && processMinutes >= tested.minutes).toBe(true);
            const next = stepsOfBatch({ ...batch, product, recipe, without: [] }).map(({ entry }) => entry);
            const over = [...begun, ...(standsFor(next, begun) ?? [])];
            const left = next.filter((entry) => !over.includes(entry));
            expect(left.at(-1)).toMatch(/^(fill|close)$/);
            if (begun.some((entry) => BREAKS.test(entry))) {
              expect([row.product, product, left.filter((entry) => NEEDS_WHOLE.test(entry))]).toEqual([
                row.product,
                product,
                [],
              ]);
            }
          }
        });
      }
    }
  }
  expect(offered).toBeGreaterThan(50);
});
