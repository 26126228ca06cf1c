import { type Batch, jarsOf, mainCropOf, massKgOf } from './batch';
import { findProduce } from '../handbook/produce';
import { massForJarsKg } from '../yields/estimateJars';
import { type LearnedYields } from '../yields/yieldModel';
import { yieldRange } from '../yields/yieldRange';

/**
 * Kilograms of its main crop, as picked, that likely went into a planned batch: what its jars take in the middle. More than
 * that is set apart for it, so that it surely does; taken for what went in, it would teach that the kitchen fills
 * fewer jars.
 *
 * @returns what was set apart where no yield is published for it
 */
export function likelyInPot(
  batch: Pick<Batch, 'product' | 'recipe' | 'uses' | 'jar' | 'loads'>,
  learned?: LearnedYields,
): number {
  const crop = findProduce(mainCropOf(batch) ?? '')?.crop;
  const setApartKg = massKgOf(batch, crop);
  const jars = jarsOf(batch);
  if (!crop || jars <= 0 || !yieldRange(batch.product, crop, learned)) return setApartKg;
  return Math.min(
    setApartKg,
    massForJarsKg(crop, batch.product, batch.jar, jars, { ...(learned && { learned }) }).likelyKg,
  );
}
