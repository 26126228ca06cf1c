import { CARDS, cardsOf } from '../handbook/cards';
import { type ProduceId } from '../handbook/produce';
import { productRow, PRODUCTS } from '../handbook/products';
import { cardForCrop } from '../yields/cardForCrop';
import { productsFrom } from '../yields/estimateJars';
import { daySequence } from './daySequence';
import { isLongWait } from './longWait';
import { lessWaiting, mustWait } from './mustWait';

// USDA Complete Guide to Home Canning, 2015, guides 2 and 6, as recalled.
test('dills soak twelve hours, whoever is in a hurry; what other pickles of cucumbers wait less is told, the least first', () => {
  const [dill] = cardsOf('quick-fresh-pack-dill');
  expect(mustWait(dill!).map(({ entry, step }) => [entry, step.waitMinutes])).toEqual([['soak-brine-12h', [720, 840]]]);
  const others = lessWaiting(dill!, productRow('quick-fresh-pack-dill'), 'cucumber-pickling');
  expect(others.map(({ product, waitMin }) => [product.product, waitMin])).toEqual(
    expect.arrayContaining([
      ['bread-and-butter-pickles', 180],
      ['quick-sweet-pickles', 180],
    ]),
  );
  expect([...others].sort((a, b) => a.waitMin - b.waitMin)).toEqual(others);
  // Juice of grapes need not settle: it may be strained again. It drips all the same.
  const [juice] = cardsOf('grape-juice');
  expect(mustWait(juice!).some(({ entry }) => entry.startsWith('settle'))).toBe(false);
  expect(mustWait(cardsOf('plums')[0]!)).toEqual([]);
});

test('of no card is anything told that its page leaves to the cook, and no way out waits as long as the page itself', () => {
  for (const card of CARDS) {
    const optional = new Set(card.steps.flatMap(({ step, optional: own }) => (own ? [step] : [])));
    for (const { entry, step } of mustWait(card)) {
      expect(optional.has(entry)).toBe(false);
      expect(isLongWait(step)).toBe(true);
    }
  }
  let told = 0;
  for (const row of PRODUCTS)
    for (const crop of new Set(row.crops.flat() as ProduceId[])) {
      const card = cardForCrop(row.product, crop)?.card;
      if (!card || mustWait(card).length === 0) continue;
      for (const { product, waitMin } of lessWaiting(card, row, crop)) {
        told++;
        expect(productsFrom(crop)).toContain(product);
        expect(product.productClass).toBe(row.productClass);
        const other = cardForCrop(product.product, crop)!.card;
        const without = other.steps.flatMap(({ step, optional }) => (optional ? [step] : []));
        const waits = daySequence(other, without).filter(({ step }) => isLongWait(step));
        expect(waits.reduce((sum, { step }) => sum + step.waitMinutes[0], 0)).toBeLessThanOrEqual(waitMin);
      }
    }
  expect(told).toBeGreaterThan(5);
});
