import { callWords } from './callWords';

// USDA Complete Guide to Home Canning, 2015, guide 6, low-temperature pasteurisation: 180 to 185 F; 82 to 85 C.
test('a call says what a canner of its kind does, in the degrees of the household: a bath never boils', () => {
  const heating = { phase: 'heating', method: 'low-temperature-bath' } as const;
  const found = { kind: 'boil-found', reads: 181 } as const;
  expect(callWords(found, 'us', heating)).toBe('At 180 F, by the probe. Look at a thermometer, then tap.');
  expect(callWords(found, 'metric', heating)).toMatch(/^At 82 C/);
  expect(callWords(found, 'us', { ...heating, method: 'boiling-water' })).toMatch(/^It boils/);
  expect(callWords(found, 'us', { ...heating, method: 'pressure-dial' })).toMatch(/^At its pressure, by the gauge/);
  const cool = callWords({ kind: 'too-cool', reads: 176 }, 'metric', { ...heating, phase: 'boiling' });
  expect(cool).toBe('The bath is too cool: 80 C. 82 to 85 C the whole time.');
});
