import { type Role } from '../handbook/cards/card';
import { CROP_IDS, type CropId } from '../handbook/crops';
import { namesACrop, namesCrop } from './cropWords';

/** The first that fits decides, so "celery seed" is a spice before celery is a vegetable. */
const ROLES: readonly [RegExp, Role][] = [
  [/vinegar/i, 'vinegar'],
  [/citric/i, 'citric-acid'],
  [/\b(lemon|lime)s?\b.*juice|juice of.*(lemon|lime)|\b(lemon|lime) juice/i, 'lemon'],
  [/pickling lime|\bcalcium|firming|pickle crisp|\balum\b/i, 'firming'],
  [/ascorbic/i, 'other'],
  [/\bwater\b/i, 'water'],
  [/\bice\b/i, 'ice'],
  [/pectin/i, 'pectin'],
  [/starch|flour|arrowroot|gelatin|tapioca|clear.?gel|xanthan|corn ?meal|thickener/i, 'thickener'],
  [/\boil\b|butter(?!nut| bean)|\blard\b|margarine/i, 'oil'],
  [/\bsugar\b/i, 'sugar'],
  [
    /(garlic|onion|chili|chile|chilli|curry|mustard|celery|ginger|pepper) (powder|salt|flakes)|seeds?\b|\bcloves?\b(?! (of )?garlic)(?<!garlic cloves?)|cinnamon|allspice|mustard|\bdill\b|turmeric|flakes|cayenne(?! pepper)|oregano|ginger|nutmeg|\bmace\b|spices?\b|horseradish|pickling spice|peppercorn|^(ground |whole |freshly ground )?(black |white )?pepper$|\bbay\b|paprika|cumin|coriander|star anise|fennel|vanilla|almond extract|dried (thyme|basil|parsley|rosemary|mint|sage|marjoram|herbs)/i,
    'spice',
  ],
  [/\bsalt\b/i, 'salt'],
  [/food colou?ring|raisins?\b|currants,? dried|\bcandies\b|ascorbic|citron/i, 'other'],
  [
    /vegetables?\b|onion|pepper|chile|chilli|jalape|serrano|habanero|celery|carrot|garlic|cabbage|corn\b|beans?\b|garbanzo|chick ?pea|mushroom|cauliflower|floret|cucumber|gherkin|asparagus|beet|zucchini|courgette|squash|pumpkin|cantaloupe|melon|rinds?\b|broccoli|potato|\bpeas?\b|herbs?\b|parsley|basil|cilantro|thyme|rosemary|\bmint\b|meat|beef|pork|chicken|leek|shallot|eggplant|aubergine|okra|spinach|\bkale\b|turnip|parsnip|radish|olive/i,
    'low-acid',
  ],
];

/** What an ingredient is called decides what it does; undefined for a word that says nothing. */
export function roleOf(food: string): Role | undefined {
  return ROLES.find(([pattern]) => pattern.test(food))?.[1];
}

const KNOWN = new Map<string, readonly CropId[]>();

/** Made of a crop, and none any more. */
const MADE_OF = /tomato (paste|sauce|powder|ketchup|pur[ée]e)/;

/** The crops that a name means: none for what is not grown, several where a page would take any ("berries"). */
export function cropsNamed(food: string): readonly CropId[] {
  const known = KNOWN.get(food);
  if (known) return known;
  const named = MADE_OF.test(food) || !namesACrop(food) ? [] : CROP_IDS.filter((crop) => namesCrop(food, crop));
  if (KNOWN.size < 2_000) KNOWN.set(food, named);
  return named;
}

/** Names for one food. */
const ONE_NAME: Readonly<Record<string, string>> = {
  damson: 'plum',
  beetroot: 'beet',
  courgette: 'zucchini',
  chilli: 'chile',
  chili: 'chile',
  catsup: 'ketchup',
  scallion: 'onion',
};

const HOW_IT_IS_CUT =
  /^(chopp|slic|crush|peel|ripe|fresh|firm|small|large|medium|mixed|whole|drain|finely|thinly|coarsely|diced|minced|grated|ground|about|packed|bottled|canning|pickling|cold|hot$|boiling|prepared|and$|the$|or$|of$)/;

/** How much two names have in common, 0 to 1: "tomatoes" and "ripe tomatoes" all, "orange peel" and "lemon peel" a part. */
export function likeness(a: string, b: string): number {
  const [first, second] = [wordsOf(a), wordsOf(b)];
  const shared = [...first].filter((word) => [...second].some((other) => isOneWord(word, other))).length;
  return shared / Math.max(1, new Set([...first, ...second]).size);
}

const WORDS = new Map<string, ReadonlySet<string>>();

function wordsOf(food: string): ReadonlySet<string> {
  const known = WORDS.get(food);
  if (known) return known;
  const all = food
    .toLowerCase()
    .replace(/[^a-z ]/g, ' ')
    .split(' ')
    .map((word) => word.replace(/(?<=..)(oes|ies|s)$/, ''))
    .map((word) => ONE_NAME[word] ?? word)
    .filter((word) => word.length > 2);
  const named = all.filter((word) => !HOW_IT_IS_CUT.test(word));
  const words = new Set(named.length > 0 ? named : all);
  if (WORDS.size < 2_000) WORDS.set(food, words);
  return words;
}

/** A formula that says "crushed berries" means any of them. */
function isOneWord(a: string, b: string): boolean {
  return a === b || (a === 'berr' && b.endsWith('berr')) || (b === 'berr' && a.endsWith('berr'));
}
