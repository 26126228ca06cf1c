import { cropsNamed } from './cropsNamed';
import { PRODUCE } from './produce';

test('every crop is found by its name, in any number and case; nothing typed is all of them', () => {
  expect(cropsNamed('  ')).toHaveLength(PRODUCE.length);
  for (const { crop, name } of PRODUCE) {
    expect(cropsNamed(name)).toContain(crop);
    expect(cropsNamed(name.toUpperCase())).toContain(crop);
  }
});

test.each([
  ['tomatoes', ['tomato-paste', 'tomato-slicing']],
  ['tomato', ['tomato-paste', 'tomato-slicing']],
  ['sour cherry', ['cherry-sour']],
  ['pear', ['pear']],
  ['apples', ['apple']],
  ['berr', ['blackberry', 'blueberry', 'gooseberry', 'raspberry', 'strawberry']],
  ['xyz', []],
])('%s is %j', (typed, crops) => {
  const found = cropsNamed(typed);
  expect(found).toEqual(expect.arrayContaining(crops));
  // What is asked for is not buried among what is not.
  expect(found.length).toBeLessThanOrEqual(crops.length + 2);
});
