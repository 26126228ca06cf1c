import { missingWords } from './missingWords';

// USDA Complete Guide to Home Canning, 2015, guide 6: pickled hot peppers, 4 lb hot, 3 lb sweet peppers, 2 cloves of garlic.
test('what is missing is weighed where a scale shows it, and counted as its page has it where none does', () => {
  const said = missingWords(
    [
      { crop: 'pepper-sweet', text: '3 lb sweet peppers', massKg: 1.36, stops: false },
      { crop: 'garlic', text: '2 cloves garlic', massKg: 0.01, stops: false },
      { crop: 'dill', text: '3 heads dill', stops: false },
    ],
    (kg) => `${kg} kg`,
  );
  expect(said).toBe('Missing: 1.36 kg sweet peppers, 2 cloves garlic a batch, 3 heads dill a batch.');
});
