import { FORMS } from '../handbook/forms';
import { convertProduce } from './produceFigures';

// USDA Complete Guide to Home Canning, 2015, guides 2, 3, 6 and 7: bushel weights and the measures that recipes give twice.
test.each([
  [1, 'bushel', 'lb', 'tomato-paste', undefined, 53],
  [1, 'peck', 'lb', 'apple', undefined, 12],
  [1, 'lug', 'lb', 'grape', undefined, 26],
  [2, 'lb', 'cup', 'tomatillo', 'chopped', 5],
  [3, 'lb', 'cup', 'peach', 'crushed', 3.75],
  [5, 'lb', 'cup', 'fig', 'chopped', 8],
  [3, 'quart-box', 'cup', 'strawberry', 'crushed', 5.49],
  [16, 'count', 'cup', 'corn-sweet', undefined, 12],
] as const)('%d %s in %s of %s %s: %d', (value, unit, to, crop, form, expected) => {
  expect(convertProduce({ value, unit }, to, crop, form)).toEqual({
    kind: 'converted',
    value: expect.closeTo(expected, 2),
  });
});

test('every form goes from pounds to cups and back', () => {
  for (const { crop, form, cupsPerLb } of FORMS) {
    expect(convertProduce({ value: 1, unit: 'lb' }, 'cup', crop, form)).toMatchObject({
      value: expect.closeTo(cupsPerLb, 9),
    });
    expect(convertProduce({ value: cupsPerLb, unit: 'cup' }, 'lb', crop, form)).toMatchObject({
      value: expect.closeTo(1, 9),
    });
  }
});

test('cups of something whole are refused: how is it cut?', () => {
  expect(convertProduce({ value: 4, unit: 'cup' }, 'lb', 'strawberry')).toMatchObject({ kind: 'refusal' });
  expect(convertProduce({ value: 1, unit: 'lug' }, 'lb', 'cabbage')).toMatchObject({ kind: 'refusal' });
});
