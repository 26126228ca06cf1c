import fc from 'fast-check';
import { PRODUCTS, productRow } from '../handbook/products';
import { readyBy, readyFrom } from './readyTimes';

const HOUR = 60 * 60_000;
const question = { product: productRow('grape-juice'), massKg: 11, processMinutes: 5 };

// The card: juice drips 2 to 4 h and settles 24 to 48 h in the cold; jars cool 12 h undisturbed (common practice).
test('grape juice: dripping, settling and cooling are waits of their length, in order', () => {
  const steps = readyFrom(question, 0);
  const hours = (words: string) => {
    const step = steps.find((one) => one.words === words)!;
    return (step.endAt - step.startAt) / HOUR;
  };
  expect(hours('Drip in a bag: wait')).toBe(3);
  expect(hours('Settle in the cold: wait')).toBe(36);
  expect(hours('Cool undisturbed')).toBe(12);
  expect(steps.map(({ words }) => words)).toContain('Process 5 min');
});

test('steps follow each other without a gap, backwards as forwards, for every product', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...PRODUCTS),
      fc.double({ min: 0.2, max: 60, noNaN: true }),
      fc.integer({ min: 5, max: 120 }),
      (product, massKg, processMinutes) => {
        const forwards = readyFrom({ product, massKg, processMinutes }, 1_000_000);
        const backwards = readyBy({ product, massKg, processMinutes }, 9_000_000_000);
        expect(backwards.at(-1)?.endAt).toBe(9_000_000_000);
        expect(backwards.map(({ words }) => words)).toEqual(forwards.map(({ words }) => words));
        for (const [i, step] of forwards.entries()) {
          expect(step.endAt).toBeGreaterThan(step.startAt);
          if (i > 0) expect(step.startAt).toBe(forwards[i - 1]!.endAt);
        }
      },
    ),
  );
});

test('low-acid food vents first and comes down by itself', () => {
  const words = readyFrom({ product: productRow('snap-beans'), massKg: 5, processMinutes: 25 }, 0).map((step) => [
    step.words,
    (step.endAt - step.startAt) / 60_000,
  ]);
  expect(words).toEqual(
    expect.arrayContaining([
      ['Down by itself, weight off', 65],
      ['To the boil or to pressure', 35],
    ]),
  );
});
