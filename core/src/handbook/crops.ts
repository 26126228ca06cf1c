/** Every crop that a product is made of, with the name a household calls it by. */
export const CROP_NAMES = {
  'tomato-paste': 'Paste tomatoes',
  'tomato-slicing': 'Slicing tomatoes',
  tomatillo: 'Tomatillos',
  'cucumber-pickling': 'Pickling cucumbers',
  'pepper-sweet': 'Sweet peppers',
  'pepper-hot': 'Hot peppers',
  'bean-snap': 'Pole beans',
  beet: 'Beetroot',
  carrot: 'Carrots',
  'corn-sweet': 'Sweet corn',
  onion: 'Onions',
  cabbage: 'Cabbage',
  cauliflower: 'Cauliflower',
  apple: 'Apples',
  pear: 'Pears',
  peach: 'Peaches',
  apricot: 'Apricots',
  plum: 'Plums',
  damson: 'Damson plums',
  'cherry-sweet': 'Sweet cherries',
  'cherry-sour': 'Sour cherries',
  grape: 'Grapes',
  strawberry: 'Strawberries',
  blueberry: 'Blueberries',
  blackberry: 'Blackberries',
  raspberry: 'Raspberries',
  gooseberry: 'Gooseberries',
  currant: 'Currants',
  fig: 'Figs',
  rhubarb: 'Rhubarb',
  quince: 'Quinces',
  'asian-pear': 'Asian pears',
  asparagus: 'Asparagus',
  berry: 'Berries',
  citrus: 'Citrus fruit',
  'crab-apple': 'Crab apples',
  cranberry: 'Cranberries',
  'dried-bean': 'Dried beans',
  greens: 'Spinach and greens',
  'lima-bean': 'Lima beans',
  mango: 'Mangoes',
  melon: 'Melons',
  mixed: 'Mixed vegetables',
  mushroom: 'Mushrooms',
  nectarine: 'Nectarines',
  okra: 'Okra',
  pea: 'Peas',
  pineapple: 'Pineapple',
  potato: 'Potatoes',
  squash: 'Pumpkins and winter squash',
  'sweet-potato': 'Sweet potatoes',
  zucchini: 'Zucchini',
  garlic: 'Garlic',
  dill: 'Dill',
  celery: 'Celery',
  ginger: 'Ginger root',
} as const;

export type CropId = keyof typeof CROP_NAMES;

/** Ids of all crops, in the order above. */
export const CROP_IDS = Object.keys(CROP_NAMES) as CropId[];

/** Whether a text names a crop of the handbook. */
export function isCrop(text: string): text is CropId {
  return Object.hasOwn(CROP_NAMES, text);
}
