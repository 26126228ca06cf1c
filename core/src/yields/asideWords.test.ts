import { asideWords } from './asideWords';
import { NOTHING_MORE } from './batchRecord';

const LB = 0.45359237;

test('each is told as it was measured, or as not measured; none is worked out from the others', () => {
  const sauce = { ...NOTHING_MORE, product: 'tomato-sauce-thick' } as const;
  expect(asideWords({ ...sauce, juiceMl: 5.5 * 946.353, trimmingsKg: 3 * LB, trimmingsTo: 'animals' }, 'us')).toBe(
    '5 1/2 quarts of thin juice, 3 lb of peels, cores and pulp, to the animals, cooked off not measured',
  );
  expect(asideWords(sauce, 'us')).toBe('thin juice not measured, trimmings not measured, cooked off not measured');
  expect(asideWords({ ...sauce, juiceMl: 5_200, cookedOffMl: 0 }, 'metric')).toBe(
    '5.2 l of thin juice, trimmings not measured, 0 l cooked off',
  );
  const jam = { ...NOTHING_MORE, product: 'jam-no-pectin' } as const;
  expect(asideWords(jam, 'us')).toBeUndefined();
  expect(asideWords({ ...jam, trimmingsTo: 'compost' }, 'us')).toBe('trimmings not measured, to the compost');
});
