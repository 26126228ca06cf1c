import { cardsOf } from '../../handbook/cards';
import { type JarSize, quartsPerJar } from '../../handbook/jars';
import { findProduce, type ProduceId } from '../../handbook/produce';
import { type ProductRow } from '../../handbook/products';
import { KG_PER_LB } from '../../measure/amount';
import { isProduce, mainLine } from '../../recipe/cardCrops';
import { cardForCrop } from '../../yields/cardForCrop';
import { yieldRange } from '../../yields/yieldRange';
import { type LearnedYields } from '../../yields/yieldModel';
import { type CropShare } from './seasonProblem';

/** The crops that a product is led by: those its cards name first of all, and those of its printed pounds. */
export function mainCrops({ product, crops }: ProductRow): ProduceId[] {
  const led = cardsOf(product).flatMap((card) => mainLine(card)?.crops ?? []);
  return [...new Set([...crops.flatMap(([first]) => first ?? []), ...led])].flatMap(
    (crop) => findProduce(crop)?.crop ?? [],
  );
}

/**
 * Kilograms of each crop a jar takes. Undefined without a published yield.
 *
 * @param grown what is not in it is bought and not counted; undefined counts all
 */
export function sharesOf(
  row: ProductRow,
  crop: ProduceId,
  jar: JarSize,
  grown: ReadonlySet<ProduceId> | undefined,
  learned: LearnedYields,
  sure: number,
): CropShare[] | undefined {
  const range = yieldRange(row.product, crop, learned);
  if (!range) return undefined;
  const kgPerJar = range.atMost(sure) * quartsPerJar(jar) * KG_PER_LB;
  const card = cardForCrop(row.product, crop);
  // What is optional, and herbs by the head, is taken where it lies and not planned for.
  const others = (card?.others ?? []).flatMap(({ crop: other, kgPerBatch, line }): CropShare[] => {
    const known = findProduce(other)?.crop;
    const isPlanned =
      card && kgPerBatch !== undefined && known && (grown?.has(known) ?? true) && !line.optional && isProduce(line);
    return isPlanned ? [{ crop: known, kgPerJar: (kgPerJar * kgPerBatch) / card.main.kgPerBatch }] : [];
  });
  const sum = (of: ProduceId) =>
    others.filter((each) => each.crop === of).reduce((all, each) => all + each.kgPerJar, 0);
  return [
    { crop, kgPerJar },
    ...[...new Set(others.map((each) => each.crop))].map((of) => ({ crop: of, kgPerJar: sum(of) })),
  ];
}
