import MiniSearch from 'minisearch';
import { CROP_NAMES } from './crops';
import { isOwnProduct } from './ownIds';
import { rememberedOfPages } from './laidBeside';
import { folded, key } from './nearProducts';
import { allProducts, findProduct, type ProductRow } from './products';

interface Entry {
  readonly id: string;
  readonly name: string;
  readonly otherNames: string;
  readonly crops: string;
  readonly form: string;
}

const INDEX = rememberedOfPages<'all', MiniSearch<Entry>>();

function theIndex(): MiniSearch<Entry> {
  const known = INDEX.get('all');
  if (known) return known;
  const index = new MiniSearch<Entry>({
    fields: ['name', 'otherNames', 'crops', 'form'],
    processTerm: (term) => folded(term) || null,
    searchOptions: {
      boost: { name: 3, otherNames: 2 },
      prefix: true,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
    },
  });
  index.addAll(
    allProducts().map(({ product, name, otherNames, crops, form }) => ({
      id: product,
      name,
      otherNames: `${otherNames.join(' ')} ${isOwnProduct(product) ? '' : product.replaceAll('-', ' ')}`,
      crops: [...new Set(crops.flat())].map((crop) => CROP_NAMES[crop]).join(' '),
      form,
    })),
  );
  INDEX.set('all', index);
  return index;
}

/**
 * Products by any of their names, by crop or by cut, the best match first; a letter amiss is forgiven. Every word typed
 * must be met, so that the list grows shorter with each; where none meets all, those that meet some.
 *
 * @returns all products, in the handbook's order, for an empty text
 */
export function searchProducts(text: string, most = allProducts().length): ProductRow[] {
  const typed = text.slice(0, 80).trim();
  if (typed === '') return allProducts().slice(0, most);
  const all = theIndex().search(typed, { combineWith: 'AND' });
  const found = all.length > 0 ? all : theIndex().search(typed);
  const rows = found.flatMap(({ id }) => findProduct(id as string) ?? []);
  const isCalled = ({ name, otherNames }: ProductRow) =>
    [name, ...otherNames].some((known) => key(known) === key(typed));
  return [...rows.filter(isCalled), ...rows.filter((row) => !isCalled(row))].slice(0, most);
}
