import { productQuestion } from '../../bench/day/productDay';
import { amountsOfBatch } from './amountsOfBatch';
import { fullestOfBatch } from './potsOfBatch';

// USDA Complete Guide to Home Canning, 2015, guide 3: 28 lb of tomatoes for a canner load of 9 pints of thick sauce. By hand: they
// are 12.7 kg, as many litres, 13.4 quarts; a pot of 8 quarts takes 7.2 of them, one of 16 takes 14.4.
const SAUCE = productQuestion([['tomato-sauce-thick', 'pint', [9, 9], 56]], 2);
const [batch] = SAUCE.batches;

test('each load is cooked in as many of the largest pots as hold it at its fullest, and that many are not there is told', () => {
  const at = (quarts: number | undefined, pots = 2) =>
    fullestOfBatch(batch!, amountsOfBatch(batch!)!, {
      bigPots: pots,
      ...(quarts !== undefined && { bigPotQuarts: quarts }),
    });
  expect(at(undefined)).toMatchObject({ step: 'crush-heat', of: 'load', isOver: false });
  expect(at(undefined)!.ml / 946.353).toBeCloseTo(13.4, 1);
  expect(at(undefined)).not.toHaveProperty('pots');
  expect([16, 8, 5].map((quarts) => at(quarts)?.pots)).toEqual([1, 2, 3]);
  expect([at(8)?.isOver, at(5)?.isOver, at(8, 1)?.isOver]).toEqual([false, true, true]);
});

test('what is made once for all loads stands over the fire all together', () => {
  const lone = { ...batch!, loads: batch!.loads.map((load) => ({ ...load, recipe: 'tomato-sauce-thick' })) };
  const [each, all] = [batch!, lone].map((own) => fullestOfBatch(own, amountsOfBatch(batch!)!, { bigPots: 2 }));
  expect(all?.ml).toBeCloseTo(2 * each!.ml, 6);
  expect(all?.of).toBe('batch');
});

// USDA Complete Guide to Home Canning, 2015, guide 7: 4 cups of crushed berries and 4 of sugar give 3 to 4 half-pints, and no pot holds
// more than one batch.
test('jam boils in pots of its own: none holds more than one batch at three times its height', () => {
  const jam = productQuestion([['jam-no-pectin', 'half-pint', [8, 8], 12]]).batches[0]!;
  const amounts = amountsOfBatch(jam)!;
  expect(amounts.pots).toBeGreaterThan(2);
  const fullest = fullestOfBatch(jam, amounts, { bigPots: 2 })!;
  expect(fullest.of).toBe('pot');
  expect(fullest.ml / 236.588).toBeLessThanOrEqual(3 * 8 * 1.02);
  expect(fullest.ml / 236.588).toBeGreaterThan(3 * 4);
});
