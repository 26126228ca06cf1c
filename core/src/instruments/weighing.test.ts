import fc from 'fast-check';
import { containerOf, netGrams, NO_TARE, tareAfter } from './weighing';

const CONTAINERS = [
  { id: 'a', name: 'Peck basket', grams: 900 },
  { id: 'b', name: 'Half bushel', grams: 1_500 },
  { id: 'c', name: 'Other half bushel', grams: 1_506 },
];

test('a container is known by its weight where no other could be meant; what plays on the scale is nothing', () => {
  expect(containerOf(907, 1, CONTAINERS)?.name).toBe('Peck basket');
  expect(containerOf(930, 1, CONTAINERS)).toBeUndefined();
  expect(containerOf(930, 25, CONTAINERS)?.name).toBe('Peck basket');
  expect(containerOf(1_503, 1, CONTAINERS)).toBeUndefined();
  expect(netGrams(6_500, 900, 1)).toBe(5_600);
  expect(netGrams(904, 900, 1)).toBeUndefined();
});

test('what was tared stays until the scale is empty, also when fruit and bowl weigh as much as a basket', () => {
  const basket = tareAfter(NO_TARE, 903, 1, CONTAINERS);
  expect(basket).toEqual({ grams: 900, words: 'Peck basket' });
  expect(tareAfter(basket, 6_500, 1, CONTAINERS)).toBe(basket);
  expect(tareAfter(basket, 2, 1, CONTAINERS)).toEqual(NO_TARE);
  const bowl = { grams: 300, words: 'what stood on it' };
  expect(tareAfter(bowl, 900, 1, CONTAINERS)).toBe(bowl);
  const fruit = { ...NO_TARE, isBare: true as const };
  expect(tareAfter(fruit, 900, 1, CONTAINERS)).toBe(fruit);
  expect(tareAfter(fruit, 0, 1, CONTAINERS)).toEqual(NO_TARE);
});

test('baskets that are put on and filled one after the other weigh what was put in, within the play of a container', () => {
  const basket = fc.record({ own: fc.constantFrom(CONTAINERS[0]!), net: fc.integer({ min: 20, max: 20_000 }) });
  fc.assert(
    fc.property(fc.array(basket, { minLength: 1, maxLength: 6 }), (baskets) => {
      let tare = NO_TARE;
      for (const { own, net } of baskets) {
        for (const lies of [0, own.grams + 3]) tare = tareAfter(tare, lies, 1, CONTAINERS);
        tare = tareAfter(tare, own.grams + 3 + net, 1, CONTAINERS);
        expect(netGrams(own.grams + 3 + net, tare.grams, 1)).toBe(net + 3);
      }
    }),
    { seed: 24 },
  );
});
