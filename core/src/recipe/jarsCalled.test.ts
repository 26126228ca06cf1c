import { CARDS, isOffered } from '../handbook/cards';
import { PRODUCTS } from '../handbook/products';
import { mainLine } from './cardCrops';
import { jarsCalled } from './jarsCalled';
import { recipeName } from './recipeName';

test('what jars are called is read back as what they are, for every card and every crop it may be made of', () => {
  const all = CARDS.filter(isOffered).flatMap(({ product, card: recipe, ...card }) =>
    (mainLine({ product, card: recipe, ...card })?.crops ?? []).map((crop) => ({ product, recipe, crop })),
  );
  expect(all.length).toBeGreaterThan(100);
  for (const jars of all) {
    expect(jarsCalled(recipeName(jars), jars)).toEqual(jars);
    // Without the card beside it the name alone gives jars of that name.
    const byName = jarsCalled(recipeName(jars));
    expect([jars.recipe, byName && recipeName(byName)]).toEqual([jars.recipe, recipeName(jars)]);
  }
  for (const { product, name } of PRODUCTS) expect(jarsCalled(name)?.product).toBe(product);
  expect(jarsCalled('Grandmother’s own')).toBeUndefined();
});
