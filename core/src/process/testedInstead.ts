import { findProduct, type ProductRow, PRODUCTS } from '../handbook/products';
import { mainLineOf } from '../recipe/own/mainLineOf';
import { cardsOf } from '../handbook/cards';
import { ownProductId } from '../handbook/ownIds';
import { type OwnRecipe } from './ownRecipe';

/**
 * Products of the handbook that a page which is not for the shelf is most like: led by the same crop and called by one of the
 * same words, as salsa by a charred salsa. They are the way out, not an answer for the page itself.
 *
 * @returns the likest first, two at most; none where the handbook has nothing of the kind
 */
export function testedInstead({ id, name, lines }: Pick<OwnRecipe, 'id' | 'name' | 'lines'>): ProductRow[] {
  const own = findProduct(ownProductId(id));
  const led = own ? cardsOf(own.product).flatMap((card) => mainLineOf(card)?.crops ?? []) : [];
  const crops = new Set<string>([...led, ...lines.slice(0, 1).flatMap((line) => line.crops)]);
  const words = wordsOf(name);
  return PRODUCTS.filter(({ crops: ways }) => ways.some(([first]) => first !== undefined && crops.has(first)))
    .map((product) => {
      const called = new Set([product.name, ...product.otherNames].flatMap(wordsOf));
      return { product, shared: words.filter((word) => called.has(word) && !isCropWord(word, product)).length };
    })
    .filter(({ shared }) => shared > 0)
    .sort((a, b) => b.shared - a.shared)
    .slice(0, 2)
    .map(({ product }) => product);
}

/** "tomato" says what is in it, not what it is. */
function isCropWord(word: string, { crops }: ProductRow): boolean {
  return crops.some((way) => way.some((crop) => crop.includes(word)));
}

function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^a-z]+/)
    .map((word) => word.replace(/(?<=...)(?:ies|es|s)$/, ''))
    .filter((word) => word.length > 2);
}
