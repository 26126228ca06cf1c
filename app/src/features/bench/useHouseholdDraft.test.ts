import { readAltitude } from './useHouseholdDraft';

// Handbook rule 1: a metric entry is converted once, upwards; 305 m is 1,001 ft.
test.each([
  ['3420', 'ft', 3_420],
  ['3,420', 'ft', 3_420],
  ['305', 'm', 1_001],
  ['305 m', 'm', 1_001],
  ['0', 'ft', 0],
] as const)('%j %s is %d ft', (typed, unit, altitudeFt) =>
  expect(readAltitude(typed, unit)).toEqual({ kind: 'set', altitudeFt }),
);

test.each(['-10', 'high', '20000', '4000 km'])('%j is told to be a slip', (typed) =>
  expect(readAltitude(typed, 'ft').kind).toBe('slip'),
);

test('nothing typed is an altitude not set', () => expect(readAltitude(' ', 'ft')).toEqual({ kind: 'unset' }));
