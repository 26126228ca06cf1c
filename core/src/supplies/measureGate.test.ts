import fc from 'fast-check';
import { CARDS, findCard, isOffered } from '../handbook/cards';
import { type Card } from '../handbook/cards/card';
import { productRow } from '../handbook/products';
import { measuredPart } from '../recipe/cardCrops';
import { measureGate } from './measureGate';

const strawberry = findCard('jam-with-pectin/strawberry')!;
const berry = findCard('jam-no-pectin/berry')!;
const gate = (card: Card, cups: number) => measureGate(card, cups)!;

// USDA Complete Guide to Home Canning, 2015, guide 7, and the National Center: 5 1/2 cups crushed strawberries, 8 of sugar
// and a box of pectin give 9 to 10 half-pints; 4 cups crushed berries and 4 of sugar give 3 to 4.
test('a box of pectin sets one batch: too little waits, more is so many whole batches and a rest', () => {
  expect(gate(strawberry, 4)).toMatchObject({ kind: 'wait', missing: expect.closeTo(1.5, 9) });
  expect(gate(strawberry, 5.5)).toMatchObject({ kind: 'make', pots: 1, factor: 1, jars: { low: 9, high: 10 } });
  expect(gate(strawberry, 13)).toMatchObject({ pots: 2, factor: 1, left: expect.closeTo(2, 9) });
});

test('long-boil jam is made smaller in proportion, and larger in pots side by side', () => {
  expect(gate(berry, 3)).toMatchObject({ pots: 1, factor: 0.75, jars: { low: 2, high: 3 } });
  expect(gate(berry, 6)).toMatchObject({ pots: 2, factor: 0.75, jars: { low: 4, high: 6 } });
});

test('whatever is measured: nothing is made of more than is there, no pot holds more than one batch, nothing is lost', () => {
  const measured = CARDS.filter((card) => isOffered(card) && measuredPart(card));
  expect(measured.length).toBeGreaterThan(100);
  fc.assert(
    fc.property(fc.constantFrom(...measured), fc.double({ min: 0.1, max: 80, noNaN: true }), (card, amount) => {
      const { perBatch } = measuredPart(card)!;
      const said = measureGate(card, amount)!;
      if (said.kind === 'wait') {
        expect(said.missing + amount).toBeCloseTo(perBatch, 9);
        return;
      }
      // A page's "about" is taken as one batch where a fiftieth is missing.
      expect(said.pots * said.factor * perBatch + said.left).toBeGreaterThanOrEqual(amount - 1e-9);
      expect(said.pots * said.factor * perBatch).toBeLessThanOrEqual(amount + 0.02 * perBatch + 1e-9);
      if (!productRow(card.product).mayDouble) expect(said.factor).toBeLessThanOrEqual(1.02 + 1e-9);
    }),
  );
});

// USDA Complete Guide to Home Canning, 2015, guide 6: 7 lb of beets and 4 cups of vinegar give 8 pints.
test('what is measured by the pound is worked out by the pound', () => {
  const beets = findCard('pickled-beets')!;
  expect(measuredPart(beets)).toMatchObject({ unit: 'lb', perBatch: expect.closeTo(7, 9) });
  expect(gate(beets, 14)).toMatchObject({ pots: 1, factor: expect.closeTo(2, 9), jars: { low: 16, high: 16 } });
});

test('what is measured is the juice, where the page gives fruit and juice', () => {
  expect(measuredPart(findCard('jelly-with-pectin/grape-plum')!)).toEqual({
    words: 'juice',
    unit: 'cup',
    perBatch: expect.closeTo(6.5, 9),
  });
});
