import { massWords } from '../measure/massWords';
import { volumeWords } from '../measure/volumeWords';
import { outputsOf } from '../recipe/potOutputs';
import { type BatchRecord, type TrimmingsTo } from './batchRecord';

const TO_WORDS: Readonly<Record<TrimmingsTo, string>> = {
  kept: 'kept',
  animals: 'to the animals',
  compost: 'to the compost',
};

/**
 * What else came of a batch, each as it was measured or "not measured": "5 1/2 quarts of thin juice, 3 lb of peels, cores and
 * pulp, to the animals, cooked off not measured". Nothing is worked out from the rest.
 *
 * @returns undefined where nothing was told and nothing is taken off its pot
 */
export function asideWords(
  record: Pick<BatchRecord, 'product' | 'juiceMl' | 'trimmingsKg' | 'cookedOffMl' | 'trimmingsTo'>,
  units: 'us' | 'metric',
): string | undefined {
  const { product, juiceMl, trimmingsKg, cookedOffMl, trimmingsTo } = record;
  const isLadled = outputsOf(product).length > 0;
  if (!isLadled && juiceMl === null && trimmingsKg === null && cookedOffMl === null && trimmingsTo === null)
    return undefined;
  const trimmed =
    trimmingsKg === null ? 'trimmings not measured' : `${massWords(trimmingsKg, units)} of peels, cores and pulp`;
  return [
    ...(isLadled || juiceMl !== null
      ? [juiceMl === null ? 'thin juice not measured' : `${volumeWords(juiceMl, units)} of thin juice`]
      : []),
    trimmed,
    ...(trimmingsTo === null ? [] : [TO_WORDS[trimmingsTo]]),
    ...(isLadled || cookedOffMl !== null
      ? [cookedOffMl === null ? 'cooked off not measured' : `${volumeWords(cookedOffMl, units)} cooked off`]
      : []),
  ].join(', ');
}
