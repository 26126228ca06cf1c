import { type Batch, cardOf, mainCropOf } from '../day/batch';
import { productRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { plannedProcess } from '../process/plannedProcess';
import { setsByTheBox } from '../recipe/pots';
import { cardForCrop } from '../yields/cardForCrop';

/** Spreads that are set by a box, and what the same fruit makes without one. */
const WITHOUT_PECTIN = { 'jam-with-pectin': 'jam-no-pectin', 'jelly-with-pectin': 'jelly-no-pectin' } as const;

/** Another card for a batch, with its own tested time. */
export type OtherCard = Pick<Batch, 'product' | 'pack' | 'processMinutes'> & { readonly recipe: string };

/**
 * What too little fruit for a box of pectin is made of instead: the fruit's own card without pectin, with its tested time in
 * the jars that are there.
 *
 * @returns undefined where the fruit has no such card, or nobody tested it in these jars
 */
export function withoutPectin(batch: Batch, pages: HouseholdPages): OtherCard | undefined {
  const card = cardOf(batch);
  const crop = mainCropOf(batch);
  const product =
    batch.product in WITHOUT_PECTIN ? WITHOUT_PECTIN[batch.product as keyof typeof WITHOUT_PECTIN] : undefined;
  const other = product && crop && card && setsByTheBox(card) ? cardForCrop(product, crop) : undefined;
  if (!product || !other) return undefined;
  const { jar, method, altitudeFt } = batch;
  const pack = usualPack(productRow(product));
  const tested = findProcess({ product, pack, jar, method, altitudeFt }, pages);
  if (tested.kind === 'refusal') return undefined;
  const processMinutes = Math.max(plannedProcess(tested).minutes, tested.minutes);
  return { product, recipe: other.card.card, pack, processMinutes };
}
