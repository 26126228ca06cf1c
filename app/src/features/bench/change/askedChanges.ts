import { cardsOf } from '@hoddle/core/handbook/cards';
import { type Role } from '@hoddle/core/handbook/cards/card';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { type ChangeId } from '@hoddle/core/recipe/change';

/** Asked of everything, whatever it is made of. */
const OF_ALL: readonly ChangeId[] = ['oil', 'thickener', 'bigger-jar', 'smaller-jar', 'dry-spices', 'merged'];

/** Asked where the formula has something of that role. */
const OF_ROLE: readonly (readonly [Role, readonly ChangeId[]])[] = [
  ['vinegar', ['less-acid', 'other-vinegar', 'home-made-vinegar', 'more-water']],
  ['lemon', ['less-acid', 'fresh-lemon']],
  ['low-acid', ['more-low-acid', 'less-low-acid']],
  ['salt', ['less-salt']],
  ['sugar', ['less-sugar']],
  ['pectin', ['other-pectin', 'doubled', 'butter']],
];

/** The changes a cook may ask of a product, by keys: what is in its formula first, then what is asked of everything. */
export function askedChanges(product: ProductRow): ChangeId[] {
  const ingredients = cardsOf(product.product).flatMap((card) => card.ingredients);
  const roles = new Set(ingredients.map(({ role }) => role));
  const own = OF_ROLE.filter(([role]) => roles.has(role)).flatMap(([, changes]) => changes);
  const peppers: ChangeId[] = ingredients.some(({ crops }) =>
    crops.some((crop) => crop === 'pepper-hot' || crop === 'pepper-sweet'),
  )
    ? ['swap-peppers']
    : [];
  const acid: ChangeId[] = product.productClass === 'tomato' ? ['less-acid', 'more-low-acid'] : [];
  const doubled: ChangeId[] = product.hasFormula ? ['doubled'] : [];
  return [...new Set([...acid, ...own, ...peppers, ...OF_ALL, ...doubled])];
}
