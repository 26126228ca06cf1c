import { daySequence } from '../day/daySequence';
import { type Batch, massKgOf } from '../day/batch';
import { batchOf } from '../day/batchOf';
import { inOtherPack } from '../day/otherPack';
import { numbered } from '../day/stepWork';
import { amountsOfBatch } from '../day/amountsOfBatch';
import { boilingWaterRows } from '../handbook/boilingWater';
import { cardsOf, isOffered } from '../handbook/cards';
import { type JarSize } from '../handbook/jars';
import { pressureRows } from '../handbook/pressure';
import { PRODUCTS, productRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { type Method } from '../process/method';
import { inPack, otherPackOf, packOf } from './packs';

const CARDS = PRODUCTS.flatMap((row) => cardsOf(row.product).map((card) => ({ row, card })));
const BOTH = CARDS.filter(({ card }) => otherPackOf(card));

function made(
  product: string,
  crop: string,
  jar: JarSize,
  altitudeFt: number,
  method: Method = 'boiling-water',
): Batch {
  const uses = [{ pickId: 'p', crop: crop as 'plum', massKg: 8, softKg: 0 }];
  const wish = { product: productRow(product), jar, method, cannerId: 'pot', loads: [7], uses, startAt: 0 };
  return batchOf(wish, { altitudeFt }, {}, (of) => of)!;
}

// USDA Complete Guide to Home Canning, 2015, guides 2 to 6, as recalled: what is packed raw is not cooked before, and is covered
// with boiling liquid; what is packed hot is.
test.each([
  ['plums', ['wash-prick', 'syrup', 'raw-pack', 'top-up', 'close']],
  ['peaches', ['wash', 'scald-peel', 'halve-pit', 'syrup', 'raw-pack', 'top-up', 'close']],
  ['snap-beans', ['wash', 'trim', 'raw-pack', 'top-up', 'close']],
  ['sauerkraut', ['raw-pack', 'close']],
  ['tomatoes-whole-in-water', ['wash', 'scald-peel', 'core', 'boil-5', 'acid', 'fill']],
] as const)('%s in the other pack: %j', (product, steps) => {
  const [card] = cardsOf(product);
  const other = inPack(card!, otherPackOf(card!)?.pack);
  expect(daySequence(other).map(({ entry }) => entry)).toEqual(steps);
  expect(packOf(other)).toBe(otherPackOf(card!)?.pack);
  expect(inPack(card!, packOf(card!))).toBe(card);
});

test('every card with two packs has a tested time for both, and each ingredient goes into a step that is there', () => {
  expect(BOTH.length).toBeGreaterThan(10);
  for (const { row, card } of BOTH) {
    const other = otherPackOf(card)!.pack;
    const tested = [
      ...boilingWaterRows(row.process).flatMap(({ packs }) => packs),
      ...pressureRows(row.process).map(({ pack }) => pack),
    ];
    expect(tested).toEqual(expect.arrayContaining(['hot', 'raw']));
    const packed = inPack(card, other);
    const there = new Set(packed.steps.map(({ step }) => step));
    const own = new Set(card.steps.map(({ step }) => step));
    for (const { into } of packed.ingredients) expect(there.has(into) || !own.has(into)).toBe(true);
    expect(packed.ingredients.map(({ item, amount }) => [item, amount])).toEqual(
      card.ingredients.map(({ item, amount }) => [item, amount]),
    );
    expect(packed.steps.at(-1)?.step).toBe('fill');
    if (other === 'raw') expect([...there].some((step) => /^(boil|simmer|stand|reheat)/.test(step))).toBe(false);
  }
  // What every household has planned so far is made as it was.
  for (const { row, card } of CARDS.filter(({ card: each }) => isOffered(each)))
    expect(inPack(card, usualPack(row))).toBe(card);
});

// USDA Complete Guide 2015, guides 2 and 3, as recalled: peaches in quarts, hot 25 and raw 30 min to 1,000 ft, 30 and 35 to 3,000;
// plums as long in both; whole tomatoes in water too.
test.each([
  ['peaches', 'peach', 'quart', 500, 25, 30],
  ['peaches', 'peach', 'quart', 2_000, 30, 35],
  ['plums', 'plum', 'pint', 500, 20, 20],
  ['tomatoes-whole-in-water', 'tomato-paste', 'quart', 500, 45, 45],
] as const)('%s of %s in a %s at %d ft: hot %d min, raw %d min', (product, crop, jar, ft, hot, raw) => {
  const batch = made(product, crop, jar, ft);
  const other = inOtherPack(batch, {})!;
  const minutes = new Map([batch, other].map(({ pack, processMinutes }) => [pack, processMinutes]));
  expect([minutes.get('hot'), minutes.get('raw')]).toEqual([hot, raw]);
  expect(inOtherPack(other, {})).toEqual({ ...batch, sameHeat: batch.sameHeat ?? [] });
  expect(massKgOf(other)).toBe(massKgOf(batch));
  const names = (of: Batch) => new Set(numbered(of).map(({ entry }) => entry));
  expect(names(other)).not.toEqual(names(batch));
  const lines = (of: Batch) => (amountsOfBatch(of)?.lines ?? []).map(({ line }) => line.item).sort();
  expect(lines(other)).toEqual(lines(batch));
});

test('what is tested one way only has no other pack: a jar, a recipe without one, what is processed again', () => {
  expect(inOtherPack(made('applesauce', 'apple', 'quart', 500), {})).toBeUndefined();
  expect(inOtherPack({ ...made('peaches', 'peach', 'quart', 500), againOf: 'b' }, {})).toBeUndefined();
  const two = made('plums', 'plum', 'quart', 500);
  const odd = { ...two, loads: [{ ...two.loads[0]!, size: { jar: 'half-gallon' as const, processMinutes: 60 } }] };
  expect(inOtherPack(odd, {})).toBeUndefined();
});
