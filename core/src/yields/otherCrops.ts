import { type CropId } from '../handbook/crops';
import { findProduce, type ProduceId } from '../handbook/produce';
import { type ProductId } from '../handbook/products';
import { type CropNeed, isProduce } from '../recipe/cardCrops';
import { measureWords, kitchenMeasure } from '../recipe/kitchenMeasure';
import { type CropCard, cardForCrop } from './cardForCrop';

/** What a card takes beside its main crop and is not there. */
export interface MissingProduce {
  readonly crop: CropId;
  /** As the card has it, for one batch: "2 lb chile peppers". */
  readonly text: string;
  /** What is missing for all batches; undefined where its measure has no published weight. */
  readonly massKg?: number;
  /** Without it nothing is made. Less of a low-acid vegetable only makes fewer jars: handbook rule 17. */
  readonly stops: boolean;
}

/** So much of a crop that is needed is a crumb. */
const CRUMB_KG = 0.01;

/** Kilograms as picked that so many batches take of each other crop, where its weight is known. */
export interface OtherNeed {
  readonly crop: CropId;
  readonly needs: readonly CropNeed[];
  readonly kg?: number;
  /** Left out at will, or bought dry instead: it is taken where it lies, and never missed. */
  readonly free: boolean;
  readonly stops: boolean;
}

/**
 * The other crops of a card for so many batches of it, each once. A line that may be any of several takes the one there is
 * most of.
 *
 * @param there kilograms on hand, by crop
 */
export function otherNeeds(card: CropCard, batches: number, there: (crop: CropId) => number): OtherNeed[] {
  const chosen = card.others.map((need) => {
    const [best] = [...need.line.crops].sort((a, b) => there(b) - there(a));
    return best === undefined || there(best) === 0 ? need : { ...need, crop: best };
  });
  const crops = [...new Set(chosen.map(({ crop }) => crop))];
  return crops.map((crop): OtherNeed => {
    const needs = chosen.filter((need) => need.crop === crop);
    const isKnown = needs.every(({ kgPerBatch }) => kgPerBatch !== undefined);
    const must = needs.filter(({ line }) => isProduce(line) && !line.optional);
    return {
      crop,
      needs,
      ...(isKnown && { kg: needs.reduce((sum, { kgPerBatch = 0 }) => sum + kgPerBatch, 0) * batches }),
      free: must.length === 0,
      stops: must.some(({ line }) => line.role === 'acid-food'),
    };
  });
}

/**
 * What is missing beside the main crop for what is used of it.
 *
 * @param usedKg of the main crop, as picked
 * @param amounts all there is, the main crop among it
 */
export function missingFor(
  product: ProductId,
  crop: ProduceId,
  usedKg: number,
  amounts: readonly { readonly crop: CropId; readonly massKg: number }[],
): MissingProduce[] {
  const card = cardForCrop(product, crop);
  if (!card) return [];
  const there = (of: CropId) => amounts.filter((each) => each.crop === of).reduce((sum, { massKg }) => sum + massKg, 0);
  const batches = usedKg / card.main.kgPerBatch;
  return otherNeeds(card, batches, there).flatMap(({ crop: other, needs, kg, free, stops }): MissingProduce[] => {
    // What no household picks is bought with the rest, and stands on the list for the shop.
    if (free || findProduce(other) === undefined || other === crop) return [];
    const text = needs
      .map(({ line }) => `${measureWords(kitchenMeasure('other', line.amount, 1))} ${line.item}`)
      .join(', ');
    const have = there(other);
    if (kg === undefined) return have > 0 ? [] : [{ crop: other, text, stops }];
    return kg - have > CRUMB_KG ? [{ crop: other, text, massKg: kg - have, stops }] : [];
  });
}
