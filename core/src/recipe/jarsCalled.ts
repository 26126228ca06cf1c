import { cardsOf } from '../handbook/cards';
import { CROP_IDS, type CropId, isCrop } from '../handbook/crops';
import { allProducts, type ProductId } from '../handbook/products';
import { productCalled } from '../handbook/nearProducts';
import { rememberedOfPages } from '../handbook/laidBeside';
import { mainLine } from './cardCrops';
import { recipeName } from './recipeName';

/** What jars with a name are. */
export interface CalledJars {
  readonly product: ProductId;
  readonly recipe?: string;
  readonly crop?: CropId;
}

/** Under one key, empty again when other pages lie beside the handbook. */
const NAMES = rememberedOfPages<'all', ReadonlyMap<string, CalledJars>>();

/**
 * The jars that are called so: the other way of {@link recipeName}. Where two recipes have one name, the first as printed.
 *
 * @param told the card and the crop, where they are written beside the name
 */
export function jarsCalled(
  name: string,
  told: { readonly recipe?: string; readonly crop?: string } = {},
): CalledJars | undefined {
  const names = NAMES.get('all') ?? new Map(allNames().reverse());
  NAMES.set('all', names);
  const crop = told.crop !== undefined && isCrop(told.crop) ? told.crop : undefined;
  const byCard = allProducts().find(({ product }) => cardsOf(product).some(({ card }) => card === told.recipe));
  if (byCard) return { product: byCard.product, recipe: told.recipe ?? '', ...(crop && { crop }) };
  const asked = name.trim().toLowerCase();
  const plain = allProducts().find((row) => row.name.toLowerCase() === asked);
  // "Apple purée" is what one recipe is called before it is another word for applesauce.
  const known = plain ? undefined : names.get(asked);
  if (known) return { ...known, ...(crop && { crop }) };
  const called = plain ?? productCalled(name);
  return called && { product: called.product, ...(crop && { crop }) };
}

function allNames(): [string, CalledJars][] {
  return allProducts().flatMap(({ product, crops }) => {
    const cards = cardsOf(product).flatMap((card): CalledJars[] =>
      [undefined, ...(mainLine(card)?.crops ?? [])].map((crop) => ({
        product,
        recipe: card.card,
        ...(crop && { crop }),
      })),
    );
    const plain = CROP_IDS.filter((crop) => crops.flat().includes(crop)).map((crop) => ({ product, crop }));
    return [...cards, ...plain].map((jars): [string, CalledJars] => [recipeName(jars).toLowerCase(), jars]);
  });
}
