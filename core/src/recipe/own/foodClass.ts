import { type Card } from '../../handbook/cards/card';
import { type ProductClass } from '../../handbook/products';
import { type AcidFamily, type AcidOfFood, acidOfFood, isTestedRatio, noWeakerThan, vinegarPart } from './acidOfFood';

/** What a card is, for how long it keeps cold. It follows from what goes in, never from a choice. */
export type FoodClass = 'vinegar-pickle' | 'salsa' | 'ferment' | 'spread' | 'fruit' | 'oil' | 'low-acid';

export interface FoodJudgement {
  readonly foodClass: FoodClass;
  readonly productClass: ProductClass;
  /** Why, in a sentence. */
  readonly reason: string;
  /** Days in the refrigerator, the shorter end and the longer. Handbook rule 10, common practice. */
  readonly coldDays: readonly [low: number, high: number];
  readonly acid: AcidOfFood;
  /** Vegetables in acid no weaker than the weakest tested card of their family: for a tested time in boiling water. */
  readonly isAcidified: boolean;
  readonly family?: AcidFamily;
  /** Whether anything in it is low in acid, so that it has to be acidified. */
  readonly hasLowAcid: boolean;
}

const CLASSES: Readonly<Record<FoodClass, Pick<FoodJudgement, 'productClass' | 'coldDays'>>> = {
  'vinegar-pickle': { productClass: 'pickle', coldDays: [60, 90] },
  salsa: { productClass: 'recipe-acid', coldDays: [7, 7] },
  ferment: { productClass: 'ferment', coldDays: [60, 90] },
  spread: { productClass: 'spread', coldDays: [30, 30] },
  fruit: { productClass: 'fruit', coldDays: [7, 7] },
  oil: { productClass: 'low-acid', coldDays: [3, 4] },
  'low-acid': { productClass: 'low-acid', coldDays: [3, 4] },
};

/** Of all produce no more than this may be low in acid for it still to be fruit: a flavouring. Common practice. */
const FLAVOURING = 0.03;
/** Sugar to a kilogram of fruit from which on it is a spread, and water that makes it fruit in syrup instead. Common practice. */
const SPREAD_SUGAR_ML_PER_KG = 450;
const SYRUP_WATER = 0.35;
/** Salt to a kilogram that a crock wants: 3 Tbsp to 5 lb of cabbage, handbook card. In ferments salt is safety, rule 3. */
const CROCK_SALT_ML_PER_KG = 19;
/** Vinegar to a kilogram of fruit that keeps as a pickle does. Common practice: fruit covered by it. */
const COVERS_FRUIT_ML_PER_KG = 400;

/** What a card's food is, and how long it keeps cold. Handbook rules 10 and 16; what nobody knows counts as low in acid. */
export function foodClass(card: Pick<Card, 'ingredients' | 'steps'>): FoodJudgement {
  const acid = acidOfFood(card);
  const hasLowAcid = acid.lowAcidKg > FLAVOURING * acid.produceKg;
  const family = familyOf(card, acid);
  const isAcidified = hasLowAcid && !acid.hasOil && noWeakerThan(acid, family) !== undefined;
  const [kind, reason] = judged(card, acid, hasLowAcid, isAcidified, family);
  return { foodClass: kind, reason, acid, isAcidified, hasLowAcid, ...(hasLowAcid && { family }), ...CLASSES[kind] };
}

function familyOf({ ingredients }: Pick<Card, 'ingredients'>, acid: AcidOfFood): AcidFamily {
  if (acid.covers) return 'vinegar pickle';
  // A relish of tomatoes in vinegar is one all the same.
  if (noWeakerThan(acid, 'relish')) return 'relish';
  const isSalsa = ingredients.some(
    ({ role, crops, then }) => role === 'acid-food' && then === 'jar' && crops.some((crop) => crop.startsWith('tomat')),
  );
  return isSalsa ? 'salsa' : 'relish';
}

type Judged = readonly [FoodClass, string];

function judged(
  card: Pick<Card, 'ingredients' | 'steps'>,
  acid: AcidOfFood,
  hasLowAcid: boolean,
  isAcidified: boolean,
  family: AcidFamily,
): Judged {
  if (acid.hasOil) return ['oil', 'There is oil in it: it shuts the air out, and botulism grows there unseen.'];
  if (hasLowAcid) {
    if (isCrock(card, acid)) return ['ferment', 'Salt and time in the crock make their own acid.'];
    if (family === 'vinegar pickle' && (vinegarPart(acid) >= 0.5 || isTestedRatio(acid, cropsOf(card)))) {
      return ['vinegar-pickle', ratioWords(acid)];
    }
    if (family === 'relish' && isAcidified && vinegarPart(acid) >= 0.5) return ['vinegar-pickle', ratioWords(acid)];
    if (family === 'salsa' && isAcidified) return ['salsa', 'It is as sour as a tested salsa.'];
    return ['low-acid', weakWords(acid, family)];
  }
  const perKg = (ml: number) => ml / Math.max(acid.produceKg, 1e-9);
  if (vinegarPart(acid) >= 0.5 && perKg(acid.vinegarMl) >= COVERS_FRUIT_ML_PER_KG)
    return ['vinegar-pickle', ratioWords(acid)];
  if (
    acid.produceKg > 0 &&
    (sets(card) || (perKg(acid.sugarMl) >= SPREAD_SUGAR_ML_PER_KG && acid.waterMl <= SYRUP_WATER * acid.sugarMl))
  ) {
    return ['spread', 'It is fruit with sugar or pectin: a spread.'];
  }
  if (acid.produceKg > 0) return ['fruit', 'It is fruit.'];
  return ['low-acid', 'Nothing in it is known to be sour.'];
}

/** Boiled until it sets, or set by pectin. */
function sets({ ingredients, steps }: Pick<Card, 'ingredients' | 'steps'>): boolean {
  return (
    ingredients.some(({ role }) => role === 'pectin') || steps.some(({ step }) => /^boil-(?:to-set|1-hard)/.test(step))
  );
}

function isCrock({ steps }: Pick<Card, 'steps'>, { saltMl, produceKg, vinegarMl }: AcidOfFood): boolean {
  const ferments = steps.some(({ step }) => /^ferment/.test(step));
  return ferments && vinegarMl === 0 && saltMl >= CROCK_SALT_ML_PER_KG * produceKg * 0.98;
}

function cropsOf({ ingredients }: Pick<Card, 'ingredients'>): string[] {
  return ingredients.filter(({ role, then }) => role === 'low-acid' && then === 'jar').flatMap(({ crops }) => crops);
}

function ratioWords(acid: AcidOfFood): string {
  if (acid.waterMl === 0) return 'It stands in vinegar of 5 % without water.';
  return vinegarPart(acid) >= 0.5
    ? 'It has at least as much vinegar of 5 % as water.'
    : 'Its vinegar and water are those of a tested pickle.';
}

function weakWords({ vinegarMl, waterMl, lemonMl }: AcidOfFood, family: AcidFamily): string {
  if (vinegarMl + lemonMl === 0) return 'There are vegetables or unknown food in it, and no acid that counts.';
  if (family === 'vinegar pickle' || waterMl > vinegarMl) {
    return 'There is more water than vinegar of 5 % over the vegetables: too weak to keep them.';
  }
  return `There is less acid to the vegetables than in any tested ${family === 'salsa' ? 'salsa' : 'relish'}.`;
}
