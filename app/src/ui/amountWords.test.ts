import { altitudeWords, headspaceWords, massWords, temperatureWords } from './amountWords';

// NIST Handbook 44, Appendix C: a pound is 0.45359237 kg, a foot 0.3048 m, an inch 25.4 mm.
test.each([
  [30.844, 'us', '68 lb'],
  [6.01, 'us', '13 1/4 lb'],
  [30.844, 'metric', '31 kg'],
  [5.443, 'metric', '5.4 kg'],
] as const)('%d kg in %s units: %s', (kg, units, words) => expect(massWords(kg, units)).toBe(words));

test('metric kitchens see both measures where the tables go by the other', () => {
  expect(altitudeWords(1_001, 'metric')).toBe('305 m (1,001 ft)');
  expect(altitudeWords(3_420, 'us')).toBe('3,420 ft');
  expect(headspaceWords(0.5, 'metric')).toBe('1/2 in (13 mm)');
  expect(headspaceWords(0.125, 'us')).toBe('1/8 in');
  expect(temperatureWords(212, 'metric')).toBe('100 C');
  expect(temperatureWords(205.74, 'us')).toBe('205.7 F');
});
