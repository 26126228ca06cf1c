import { isCrop } from '../../handbook/crops';
import { countJars } from '../../handbook/jars';
import { produceRow } from '../../handbook/produce';
import { recipeName } from '../../recipe/recipeName';
import { type ReportedBatch } from './seasonReport';

/** What people call a planned batch: "Damson jam", of the crop it is planned from. */
export function reportedName({ product, crops }: Pick<ReportedBatch, 'product' | 'crops'>): string {
  const crop = crops[0]?.crop;
  return recipeName({ product, ...(crop !== undefined && isCrop(crop) && { crop }) });
}

/** "14 quarts crushed tomatoes" */
export function reportedJars(batch: Pick<ReportedBatch, 'jars' | 'jar' | 'product' | 'crops'>): string {
  return `${countJars(batch.jars, batch.jar)} ${reportedName(batch).toLowerCase()}`;
}

/** What a batch is made of: "44 lb paste tomatoes", "from the peels and cores of the same day". */
export function madeOfWords({ crops, from, thawed }: ReportedBatch, mass: (kg: number) => string): string {
  if (from) return `from the ${from} of the same day`;
  const words = crops.map(({ crop, massKg }) => `${mass(massKg)} ${produceRow(crop).name.toLowerCase()}`).join(', ');
  return thawed ? `${words}, some of it from the freezer` : words;
}
