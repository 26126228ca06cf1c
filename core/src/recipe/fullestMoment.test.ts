import fc from 'fast-check';
import { CARDS, findCard, isOffered } from '../handbook/cards';
import { ML_PER_CUP } from '../measure/amount';
import { measureGate } from '../supplies/measureGate';
import { measuredPart } from './cardCrops';
import { fullestMoment, potLevels } from './fullestMoment';
import { type AmountLine, recipeFor } from './recipeFor';

const levelsAt = (id: string, amount: number) => {
  const said = measureGate(findCard(id)!, amount);
  if (said?.kind !== 'make') throw new Error('wait');
  return potLevels(said.amounts.card, said.amounts.lines);
};
const line = (into: string, value: number): AmountLine =>
  ({
    line: { into, role: 'produce', then: 'jar' },
    each: { of: 'ml', value },
    all: { of: 'ml', value },
    instead: [],
  }) as unknown as AmountLine;
const cups = (ml = 0) => ml / ML_PER_CUP;

// USDA Complete Guide to Home Canning, 2015, guide 7: 4 cups of crushed berries and 4 of sugar; that jam climbs to three times its
// height is common practice. Guide 6: 8 lb of cucumbers, 6 cups of vinegar, 8 of water; 32 cups more are only the soak.
test('a jam pot is taken three times as large as what goes in, and only where it boils up; nothing poured off is counted', () => {
  const jam = fullestMoment(levelsAt('jam-no-pectin/berry', 4))!;
  expect(cups(jam.ml)).toBeCloseTo(3 * 8, 6);
  expect(jam.climbs).toBe(true);
  expect(cups(fullestMoment(levelsAt('quick-fresh-pack-dill', 8))?.ml)).toBeLessThan(20);
  // A spread that only simmers does not climb.
  const spread = fullestMoment(
    levelsAt(
      'peach-pineapple-reduced-sugar-spread',
      measuredPart(findCard('peach-pineapple-reduced-sugar-spread')!)!.perBatch,
    ),
  )!;
  expect([spread.step, spread.climbs]).toEqual(['simmer-15', undefined]);
  // Nor does what rolls and is no spread.
  const steps = ['full-boil', 'fill'].map((step) => ({ step }));
  expect(fullestMoment(potLevels({ product: 'tomato-sauce-thick', steps }, [line('full-boil', 5)]))?.ml).toBe(5);
});

// By hand: ten cups cook down to five, and four more go in. At the fullest it is ten, and not fourteen; eleven more make sixteen.
test('what cooks down leaves room for what goes in later, and the fullest moment is where it is', () => {
  const steps = ['wash', 'crush-heat', 'cook-down-half', 'add-vinegar', 'boil-5', 'acid', 'fill'].map((step) => ({
    step,
  }));
  const fullest = (late: number) =>
    fullestMoment(
      potLevels({ product: 'tomato-sauce-thick', steps }, [
        line('crush-heat', 10),
        line('add-vinegar', late),
        line('acid', 90),
      ]),
    );
  expect(fullest(4)).toEqual({ step: 'crush-heat', ml: 10 });
  expect(fullest(11)).toEqual({ step: 'boil-5', ml: 16 });
  expect(
    fullestMoment(potLevels({ product: 'tomato-sauce-thick', steps: [{ step: 'raw-pack' }] }, [line('raw-pack', 5)])),
  ).toBeUndefined();
});

test('of any card the fullest moment is no more than all that goes in, boiled up, and twice as much for twice as much', () => {
  const measured = CARDS.filter((card) => isOffered(card) && measuredPart(card));
  let cooked = 0;
  fc.assert(
    fc.property(fc.constantFrom(...measured), fc.integer({ min: 1, max: 6 }), (card, batches) => {
      const said = measureGate(card, measuredPart(card)!.perBatch * batches);
      if (said?.kind !== 'make') throw new Error('wait');
      const { lines } = said.amounts;
      const levels = potLevels(said.amounts.card, lines);
      const all = lines.reduce(
        (sum, { each }) => sum + (!each || each.of === 'words' ? 0 : each.value * (each.of === 'kg' ? 1_000 : 1)),
        0,
      );
      const fullest = fullestMoment(levels);
      if (fullest) cooked++;
      for (const { ml } of levels) {
        expect(ml).toBeLessThanOrEqual(3 * all + 1e-6);
        expect(fullest!.ml).toBeGreaterThanOrEqual(ml);
      }
      const twice = potLevels(said.amounts.card, lines, ({ each }) =>
        each && each.of !== 'words' ? { ...each, value: 2 * each.value } : each,
      );
      expect(twice.map(({ ml }) => ml)).toEqual(levels.map(({ ml }) => expect.closeTo(2 * ml, 6)));
    }),
  );
  expect(cooked).toBeGreaterThan(50);
});

// USDA Complete Guide to Home Canning, 2015, guide 4: 21 lb of beets for a canner load of 7 quarts, boiled before they are skinned.
test('what is boiled whole to be skinned stands in the pot then, though it goes into the jars much later', () => {
  const amounts = recipeFor(findCard('beets')!, { jars: [{ jar: 'quart', count: 7 }] });
  const fullest = fullestMoment(potLevels(amounts.card, amounts.lines))!;
  expect(fullest.step).toBe('boil-30-peel');
  expect(fullest.ml / 1_000 / 0.45359237).toBeCloseTo(21, 0);
  // Its onions are not in that pot.
  const pickled = recipeFor(findCard('pickled-beets')!, { jars: [{ jar: 'pint', count: 8 }] });
  const [peeling] = potLevels(pickled.card, pickled.lines);
  expect(peeling?.step).toBe('boil-30-peel');
  expect((peeling?.ml ?? 0) / 1_000 / 0.45359237).toBeCloseTo(7, 0);
});
