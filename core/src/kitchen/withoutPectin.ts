import { type Batch, cardOf, mainCropOf } from '../day/batch';
import { type OtherCard } from '../day/madeAs';
import { type Card } from '../handbook/cards/card';
import { isOwnProduct } from '../handbook/ownIds';
import { productRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { plannedProcess } from '../process/plannedProcess';
import { setsByTheBox } from '../recipe/pots';
import { cardForCrop } from '../yields/cardForCrop';

/** Spreads that are set by a box, and what the same fruit makes without one. */
const WITHOUT_PECTIN = { 'jam-with-pectin': 'jam-no-pectin', 'jelly-with-pectin': 'jelly-no-pectin' } as const;

/** A page of the household's own is a jelly where juice is measured, else a jam. */
function withoutBox(product: Batch['product'], { steps }: Card) {
  if (product in WITHOUT_PECTIN) return WITHOUT_PECTIN[product as keyof typeof WITHOUT_PECTIN];
  if (!isOwnProduct(product)) return undefined;
  return steps.some(({ step }) => step === 'measure-juice') ? 'jelly-no-pectin' : 'jam-no-pectin';
}

/**
 * What too little fruit for a box of pectin is made of instead: the fruit's own card without pectin, with its tested time in
 * the jars that are there.
 *
 * @param begun loads that are in a canner or were: another card is one for the whole batch, and those jars are what they are
 * @returns undefined where the fruit has no such card, nobody tested it in these jars, or one of its loads has begun
 */
export function withoutPectin(
  batch: Batch,
  pages: HouseholdPages,
  begun: Pick<ReadonlySet<string>, 'has'> = new Set(),
): OtherCard | undefined {
  if (batch.loads.some(({ id }) => begun.has(id))) return undefined;
  const card = cardOf(batch);
  const crop = mainCropOf(batch);
  const product = card && withoutBox(batch.product, card);
  const other = product && crop && setsByTheBox(card) ? cardForCrop(product, crop) : undefined;
  if (!product || !other) return undefined;
  const { jar, method, altitudeFt } = batch;
  const pack = usualPack(productRow(product));
  const tested = findProcess({ product, pack, jar, method, altitudeFt }, pages);
  if (tested.kind === 'refusal') return undefined;
  const processMinutes = Math.max(plannedProcess(tested).minutes, tested.minutes);
  return { product, recipe: other.card.card, pack, processMinutes };
}
