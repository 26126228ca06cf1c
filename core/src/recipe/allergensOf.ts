import { type Card } from '../handbook/cards/card';

/** Foods that a label must name. */
export const ALLERGENS = [
  'milk',
  'egg',
  'fish',
  'shellfish',
  'tree nuts',
  'peanuts',
  'wheat',
  'soy',
  'sesame',
  'celery',
  'mustard',
  'sulphites',
  'lupin',
] as const;
export type Allergen = (typeof ALLERGENS)[number];

/**
 * The nine of the United States (FALCPA 2004, FASTER Act 2021) and what the European Union adds (Regulation 1169/2011, Annex II);
 * both from memory. Words of an ingredient that name one. Coconut and nutmeg are no tree nuts.
 */
const NAMED: readonly (readonly [Allergen, RegExp])[] = [
  ['milk', /\b(milk|butter|cream|cheese|whey|yogh?urt|ghee)\b(?!\s*beans?)/],
  ['egg', /\beggs?\b/],
  ['fish', /\b(fish|anchov(y|ies)|cod|tuna|salmon|worcestershire)\b/],
  ['shellfish', /\b(shrimps?|prawns?|crab|lobsters?|clams?|oysters?|mussels?|squid)\b/],
  ['tree nuts', /\b(almonds?|walnuts?|pecans?|hazelnuts?|cashews?|pistachios?|brazil nuts?|macadamias?)\b/],
  ['peanuts', /\bpeanuts?\b/],
  ['wheat', /\b(wheat|flour|semolina|spelt|farina|breadcrumbs?|barley|rye|malt)\b/],
  ['soy', /\b(soy|soya|tofu|miso|edamame)\b/],
  ['sesame', /\b(sesame|tahini)\b/],
  ['celery', /\b(celery|celeriac)\b/],
  ['mustard', /\bmustard\b/],
  ['sulphites', /\b(sul(ph|f)ites?|sul(ph|f)ur(ed)?|wine|molasses)\b/],
  ['lupin', /\blupins?\b/],
];

/** Ingredients that name an allergen and are none. */
const NONE =
  /\b(butternut|butter(head| lettuce| beans?)|cream of tartar|crab[- ]?apples?|egg ?plants?|buckwheat|(corn|rice|tapioca) flour|mustard greens?|coconut milk|almond extract)\b/g;

/**
 * What a recipe holds that some cannot eat, read from the names of its ingredients, those that may be left out included. What a
 * bought ingredient holds besides stands on its own label.
 */
export function allergensOf({ ingredients }: Pick<Card, 'ingredients'>): Allergen[] {
  const words = ingredients.map(({ item, prep = '', note = '' }) =>
    `${item} ${prep} ${note}`.toLowerCase().replace(NONE, ''),
  );
  return NAMED.filter(([, pattern]) => words.some((each) => pattern.test(each))).map(([allergen]) => allergen);
}
