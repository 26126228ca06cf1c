import { PRODUCE } from '../handbook/produce';
import { fuseDays, keepsDays, placesFor } from './keeping';
import { PLACES } from './pick';

test('soft produce never outlasts ripe, nor ripe firm; it starts later on a fuse of one length', () => {
  for (const { crop } of PRODUCE) {
    for (const place of PLACES) {
      const [soft, ripe, firm] = (['soft', 'ripe', 'firm'] as const).map((ripeness) =>
        keepsDays(crop, ripeness, place),
      );
      expect(soft).toBeLessThanOrEqual(ripe!);
      expect(ripe).toBeLessThanOrEqual(firm!);
      if (place !== 'freezer') expect(soft).toBeLessThanOrEqual(2);
      expect(fuseDays(crop, place)).toBe(firm);
    }
  }
});

// USDA Agriculture Handbook 66 and common practice, as the table of produce has them: counter, cool room, refrigerator.
test.each([
  ['tomato-paste', 'ripe', 'counter', 3],
  ['tomato-paste', 'ripe', 'cool', 7],
  ['damson', 'ripe', 'refrigerator', 14],
  ['bean-snap', 'firm', 'cool', 3],
  ['tomato-paste', 'firm', 'cool', 11],
  ['tomato-paste', 'firm', 'refrigerator', 7],
  // Iced cucumbers at most two days; other crops are not for iced water and keep as on the counter.
  ['cucumber-pickling', 'ripe', 'iced', 2],
  ['tomato-paste', 'ripe', 'iced', 3],
  ['onion', 'ripe', 'refrigerator', 60],
] as const)('%s, %s, %s: %d days', (crop, ripeness, place, days) => {
  expect(keepsDays(crop, ripeness, place)).toBe(days);
});

test('each crop is offered the places that are for it', () => {
  expect(placesFor('cucumber-pickling')).toEqual(['counter', 'cool', 'refrigerator', 'iced']);
  expect(placesFor('tomato-paste')).toEqual(['counter', 'cool', 'refrigerator', 'freezer']);
  expect(placesFor('onion')).not.toContain('refrigerator');
});
