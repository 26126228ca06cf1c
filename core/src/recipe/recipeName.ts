import { type Card } from '../handbook/cards/card';
import { CROP_NAMES, type CropId } from '../handbook/crops';
import { findCard } from '../handbook/cards';
import { type ProductId, productRow } from '../handbook/products';
import { mainLine } from './cardCrops';

/** A fruit before the word jam or jelly, where it is not simply one of its plural. */
const ONE: Partial<Record<CropId, string>> = {
  'cherry-sour': 'Sour cherry',
  'cherry-sweet': 'Sweet cherry',
  damson: 'Damson',
  'crab-apple': 'Crab apple',
  strawberry: 'Strawberry',
  blueberry: 'Blueberry',
  blackberry: 'Blackberry',
  raspberry: 'Raspberry',
  gooseberry: 'Gooseberry',
  peach: 'Peach',
  rhubarb: 'Rhubarb',
};

/** What a batch of several crops is called after, where its first crop alone would mislead. */
const NAMED: Readonly<Record<string, string>> = {
  'jelly-with-pectin/grape-plum': 'Grape and plum jelly',
  'jelly-with-pectin/strawberry-rhubarb': 'Strawberry and rhubarb jelly',
  'jelly-with-pectin/golden-pepper': 'Golden pepper jelly',
  'jam-with-pectin/pear-apple': 'Pear and apple jam',
  'jam-with-pectin/blueberry-spice': 'Blueberry spice jam',
};

/** Products named after the crop they are made of. */
const BY_CROP: Partial<Record<ProductId, (one: string, several: string) => string>> = {
  'jam-with-pectin': (one) => `${one} jam`,
  'jam-no-pectin': (one) => `${one} jam`,
  'jelly-with-pectin': (one) => `${one} jelly`,
  'jelly-no-pectin': (one) => `${one} jelly`,
  plums: (_, several) => `${several} in syrup`,
  'cherries-whole': (_, several) => several,
  'berries-whole': (_, several) => `Whole ${several.toLowerCase()}`,
  'berry-syrup': (one) => `${one} syrup`,
  'fruit-puree': (one) => `${one} purée`,
};

/**
 * What a batch is called: "Strawberry jam", "Damsons in syrup"; by its product where nothing else is known of it.
 *
 * @param recipe id of its card
 * @param crop the main crop that went in
 */
export function recipeName({
  product,
  recipe,
  crop,
}: {
  readonly product: ProductId;
  readonly recipe?: string | null;
  readonly crop?: CropId | null;
}): string {
  const named = recipe ? NAMED[recipe] : undefined;
  if (named !== undefined) return named;
  const card = recipe ? findCard(recipe) : undefined;
  if (card?.name !== undefined) return card.name;
  const made = crop ?? soleCrop(card);
  const byCrop = BY_CROP[product];
  if (!byCrop || made === undefined) return productRow(product).name;
  const several = made === 'damson' ? 'Damsons' : CROP_NAMES[made];
  return byCrop(ONE[made] ?? several.replace(/s$/, ''), several);
}

/** The crop of a card that names only one. */
function soleCrop(card: Card | undefined): CropId | undefined {
  const crops = (card && mainLine(card)?.crops) ?? [];
  return crops.length === 1 ? crops[0] : undefined;
}
