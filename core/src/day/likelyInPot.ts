import { type JarSize } from '../handbook/jars';
import { type Batch, jarCounts, mainCropOf, massKgOf } from './batch';
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
  const counts = jarCounts(batch).filter(({ count }) => count > 0);
  if (!crop || counts.length === 0 || !yieldRange(batch.product, crop, learned)) return setApartKg;
  const likelyKg = (jar: JarSize, count: number) =>
    massForJarsKg(crop, batch.product, jar, count, { ...(learned && { learned }) }).likelyKg;
  return Math.min(
    setApartKg,
    counts.reduce((sum, { jar, count }) => sum + likelyKg(jar, count), 0),
  );
}
