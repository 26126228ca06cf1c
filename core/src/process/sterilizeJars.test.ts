import { sterilizeJars } from './sterilizeJars';

// USDA Complete Guide to Home Canning, 2015, guide 1, "Sterilization of empty jars": 10 min at up to 1,000 ft and
// 1 min more for each additional 1,000 ft.
test.each([
  [5, 500, 10],
  [5, 1_000, 10],
  [5, 1_001, 11],
  [9, 3_420, 13],
])('a %d min process at %d ft needs jars boiled %d min', (process, altitudeFt, minutes) => {
  expect(sterilizeJars(process, altitudeFt)).toEqual({ minutes });
});

test('from 10 minutes on clean hot jars do', () => expect(sterilizeJars(10, 500)).toBeUndefined());
