import { type Pack } from '../handbook/boilingWater';
import { JARS, type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { cardsOf } from '../handbook/cards';
import { stepOf } from '../handbook/steps';
import { usualPack } from '../handbook/usualPack';
import { recipesOf } from '../recipe/cardColumns';
import { cardWords } from '../recipe/cardWords';
import { type Method } from './method';

interface Held {
  readonly product: ProductRow;
  readonly pack: Pack;
  readonly jar: JarSize;
  /** The published jar the row is for. */
  readonly rowJar: JarSize;
  readonly method: Method;
}

/** Steps that say how the food is heated or thickened before it goes into jars: a time was tested with them. */
const COOKING = /^(simmer|boil|cook-down|crush-heat|thicken|steam|stand|boil-to-set)/;

/**
 * What a tested time holds for, as sentences without a full stop: the cut, the formula, the cooking, the fill, the jar
 * and the canner. Outside of them the time is not tested.
 */
export function conditionsOf({ product, pack, jar, rowJar, method }: Held): string[] {
  return [
    capitalised(product.form),
    ...foodConditions(product),
    ...cooking(product, pack),
    pack === 'hot'
      ? `Hot pack, ${JARS[jar].several}: filled boiling hot into hot jars`
      : `Raw pack, ${JARS[jar].several}: ${product.process === 'tomatoes-raw-no-liquid' ? 'pressed until their own juice fills the spaces' : 'packed raw and covered with boiling liquid'}`,
    ...(rowJar === jar ? [] : [`No time of its own for ${JARS[jar].several}: the ${JARS[rowJar].one}'s holds`]),
    ...(method === 'boiling-water' ? [`Jars into water of ${LOADING_F[pack]} F`] : []),
    ...METHOD_CONDITIONS[method],
  ];
}

/** Water in the canner when the jars go in. Handbook rule 6. */
const LOADING_F: Readonly<Record<Pack, number>> = { hot: 180, raw: 140 };

/** Handbook rules 5, 7, 8 and 11. */
const METHOD_CONDITIONS: Readonly<Record<Method, readonly string[]>> = {
  'boiling-water': ['The clock starts at a full rolling boil, an inch of water over the lids'],
  steam: ['The clock starts at a steady column of steam at the boiling temperature of the place'],
  'pressure-dial': [
    'Vent 10 min, then the clock starts at pressure',
    'A canner that holds 4 quarts or more, never an electric multi-cooker',
    'A gauge tested within the year',
  ],
  'pressure-weighted': [
    'Vent 10 min, then the clock starts at pressure',
    'A canner that holds 4 quarts or more, never an electric multi-cooker',
  ],
  'low-temperature-bath': [
    'Jars into water of 120 to 140 F, then 180 to 185 F by thermometer for the whole time',
    'Never with less salt than the formula',
  ],
};

/** The conditions that are a formula, in a list of sentences: a screen shows them ingredient by ingredient. */
export const FORMULA_CONDITION = /^(?:Its formula|One of its formulas): /;

function foodConditions(product: ProductRow): string[] {
  if (product.hasFormula) {
    const cards = recipesOf(product.product);
    return cards.map((card) => `${cards.length > 1 ? 'One of its formulas' : 'Its formula'}: ${cardWords(card)}`);
  }
  switch (product.productClass) {
    case 'tomato':
      return [/sauce/.test(product.form) ? 'Tomatoes alone: no starch, oil or onion' : 'Tomatoes alone, salt to taste'];
    case 'low-acid':
      return ['Nothing added but water and salt to taste'];
    default:
      return product.form === 'sauce' || product.form === 'juice'
        ? ['The fruit alone, sugar to taste']
        : ['In syrup of any strength, juice or water'];
  }
}

/** How it is cooked, only for the pack that its steps make. */
function cooking(product: ProductRow, pack: Pack): string[] {
  if (usualPack(product) !== pack) return [];
  const steps = (cardsOf(product.product)[0]?.steps ?? [])
    .filter(({ step }) => COOKING.test(step) && !/brine|syrup/.test(step))
    .map(({ step }) => stepOf(step).plainWords);
  return steps.length === 0 ? [] : [capitalised(steps.join(', ').toLowerCase())];
}

function capitalised(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
