import { CARDS } from '../handbook/cards';
import { PRODUCE } from '../handbook/produce';
import { isProduce, mainLine } from '../recipe/cardCrops';
import { goesInto } from './goesInto';

// USDA Complete Guide to Home Canning, 2015, guide 6: bread-and-butter pickles, 6 lb cucumbers with 8 cups of onions.
test('a crop that nothing is made of alone is led to what it goes into, what can be made of it now first', () => {
  const onions = goesInto('onion', (crop) => crop === 'cucumber-pickling');
  expect(onions[0]).toMatchObject({ main: 'cucumber-pickling' });
  expect(onions.map(({ product }) => product)).toEqual(
    expect.arrayContaining(['bread-and-butter-pickles', 'tomato-chile-salsa']),
  );
  for (const { crop } of PRODUCE) {
    for (const { recipe, main } of goesInto(crop)) {
      const card = CARDS.find((each) => each.card === recipe)!;
      expect(mainLine(card)!.crops).toContain(main);
      expect(mainLine(card)!.crops).not.toContain(crop);
      expect(
        card.ingredients.some((line) => line.crops.includes(crop) && (isProduce(line) || line.role === 'spice')),
      ).toBe(true);
    }
  }
});
