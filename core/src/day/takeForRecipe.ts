import { CRUMB_KG } from '../harvest/crumb';
import { type CropId } from '../handbook/crops';
import { type JarSize, quartsPerJar } from '../handbook/jars';
import { isOwnProduct } from '../handbook/ownIds';
import { type ProduceId } from '../handbook/produce';
import { type ProductId, productRow } from '../handbook/products';
import { type Lot } from '../harvest/onHand';
import { type PickUse } from '../harvest/pick';
import { takeForBatch } from '../harvest/takeForBatch';
import { quartsPerPot } from '../recipe/cardColumns';
import { cardForCrop, type CropCard, quartsOfBatch } from '../yields/cardForCrop';
import { givesOfPage, massForJarsKg } from '../yields/estimateJars';
import { type MissingProduce, missingFor, otherNeeds } from '../yields/otherCrops';
import { pickedKgPerBatch } from '../yields/pickedKg';
import { type LearnedYields } from '../yields/yieldModel';
import { type Batch, cardOfLoad, mainCropOf, massKgOf, ofLoad } from './batch';
import { type CardJars, missingOfCards } from './takeForCards';

export interface RecipeWish {
  readonly product: ProductId;
  readonly crop: ProduceId;
  readonly jar: JarSize;
  /** Full jars wanted, above 0. */
  readonly jars: number;
  /** Of the main crop, those meant. */
  readonly mainLots: readonly Lot[];
  /** All there is: the other crops are found among them. */
  readonly lots: readonly Lot[];
  readonly learned?: LearnedYields;
}

export interface TakenForRecipe {
  readonly uses: readonly PickUse[];
  /** Of the main crop. */
  readonly mainKg: number;
  readonly missing: readonly MissingProduce[];
}

/**
 * The produce that is set apart for jars of a recipe: of its main crop as much as is surely enough, but never more than the
 * pots take that its page fills such jars from; of every other crop of its card what these pots take, or what there is.
 *
 * @throws RangeError where no yield is published for the product from this crop
 */
export function takeForRecipe({ product, crop, jar, jars, mainLots, lots, learned }: RecipeWish): TakenForRecipe {
  const { sureKg, likelyKg } = massForJarsKg(crop, product, jar, jars, { ...(learned && { learned }) });
  const card = cardForCrop(product, crop);
  const own = mainLots.filter((lot) => isState(lot, card?.green ?? false));
  const most = card
    ? mostForPots(card, { product, crop, jar, jars, ...(learned && { learned }) }, sureKg / likelyKg)
    : Infinity;
  const main = takeForBatch(own, Math.min(sureKg, most));
  const mainKg = sum(main);
  if (!card) return { uses: main, mainKg, missing: [] };
  return {
    uses: [...main, ...takeOthers(card, crop, mainKg, lots)],
    mainKg,
    missing: missingFor(product, crop, mainKg, lots),
  };
}

/** Of every other crop of a card what so much of its main crop takes, or what there is. */
export function takeOthers(card: CropCard, crop: ProduceId, mainKg: number, lots: readonly Lot[]): PickUse[] {
  const there = (of: CropId) => lots.filter((lot) => lot.crop === of).reduce((all, { massKg }) => all + massKg, 0);
  return otherNeeds(card, mainKg / card.main.kgPerBatch, there).flatMap((need) => {
    const green = need.needs.some(({ line }) => line.state === 'green');
    const fitting = lots.filter((lot) => lot.crop === need.crop && isState(lot, green));
    return need.kg === undefined || need.crop === crop ? [] : takeForBatch(fitting, need.kg);
  });
}

/** The crops of its card that a planned batch has not reserved and that lie nowhere either. */
export function missingForBatch(batch: Batch, lots: readonly Lot[]): MissingProduce[] {
  if (batch.againOf !== undefined) return [];
  const reserved = batch.uses.flatMap(({ crop, massKg }) => (crop ? [{ crop, massKg }] : []));
  if (isOwnProduct(batch.product)) {
    const wanted = batch.loads.flatMap((load): CardJars[] => {
      const card = cardOfLoad(batch, load);
      return card ? [{ card, jar: ofLoad(batch, load).jar, jars: load.jars }] : [];
    });
    return missingOfCards(wanted, [...reserved, ...lots]);
  }
  const main = mainCropOf(batch);
  if (!main) return [];
  return missingFor(batch.product, main, massKgOf(batch, main), [...reserved, ...lots]);
}

/**
 * What a planned batch has not reserved of the other crops of its card, and lies there now: picked or bought since.
 *
 * @returns nothing where all is reserved, or nothing of it has come in
 */
export function laterForRecipe(batch: Batch, lots: readonly Lot[]): PickUse[] {
  const main = batch.againOf === undefined ? mainCropOf(batch) : undefined;
  const card = main && cardForCrop(batch.product, main);
  if (!main || !card) return [];
  const there = (of: CropId) => massKgOf(batch, of);
  return otherNeeds(card, massKgOf(batch, main) / card.main.kgPerBatch, there).flatMap(
    ({ crop, kg = 0, needs, free }) => {
      const missingKg = kg - massKgOf(batch, crop);
      if (free || crop === main || missingKg <= CRUMB_KG) return [];
      const green = needs.some(({ line }) => line.state === 'green');
      return takeForBatch(
        lots.filter((lot) => lot.crop === crop && isState(lot, green)),
        missingKg,
      );
    },
  );
}

function isState({ ripeness }: Lot, green: boolean): boolean {
  return (ripeness === 'green') === green;
}

/** So much of a jar may be missing before another pot is put on for it. Common practice. */
const SHORT_JAR = 0.5;

/**
 * Kilograms of the main crop in as many pots as these jars are filled from, where a pot may not be doubled: as many as its page
 * says, and more where this kitchen gets fewer jars out of one.
 */
function mostForPots(
  card: CropCard,
  { product, crop, jar, jars, learned }: Pick<RecipeWish, 'product' | 'crop' | 'jar' | 'jars' | 'learned'>,
  off: number,
): number {
  if (productRow(card.card.product).mayDouble) return Infinity;
  const page = quartsPerPot(card.card) ?? quartsOfBatch(card).high;
  const gives = Math.min(1, givesOfPage(crop, product, learned));
  const short = gives < 1 ? SHORT_JAR * quartsPerJar(jar) : 0;
  const pots = Math.max(1, Math.ceil((jars * quartsPerJar(jar) - short) / (page * gives) - 1e-6));
  // Trimming decides how many cups a pound gives; what is weighed whole goes in by its weight.
  return pots * pickedKgPerBatch(card, learned) * (card.byCups ? Math.max(1, off) : 1);
}

function sum(uses: readonly PickUse[]): number {
  return uses.reduce((all, { massKg }) => all + massKg, 0);
}
