import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { keepsWords } from './pantryWords';

const DAY = 86_400_000;
const MADE = Date.UTC(2026, 10, 30, 17);

// The shelf counts by days, so the moment it asks at can lie before the making of a jar put away today.
test('a jar that wants no waiting is never said to be ready later; a pickle is, until it is', () => {
  const tomatoes = {
    product: 'tomatoes-crushed',
    seal: 'unsealed',
    placeKind: 'refrigerator',
    madeAt: MADE,
    keepsUntil: MADE + 7 * DAY,
  } as StockedLot;
  expect(keepsWords(tomatoes, MADE - 17 * 3_600_000)).toMatch(/^use by /);
  const pickles = { ...tomatoes, product: 'pickles-dill-raw', readyAt: MADE + 28 * DAY, keepsUntil: MADE + 60 * DAY };
  expect(keepsWords(pickles as StockedLot, MADE)).toMatch(/^ready .*, use by /);
  expect(keepsWords(pickles as StockedLot, MADE + 29 * DAY)).toMatch(/^use by /);
});
