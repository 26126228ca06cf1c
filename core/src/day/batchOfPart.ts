import { type Canner, type OwnJar } from '../canner/canner';
import { splitLoads } from '../canner/splitLoads';
import { firstWay, waysToProcess } from '../canner/waysToProcess';
import { widestCanner } from '../canner/widestCanner';
import { type JarSize } from '../handbook/jars';
import { type ProduceId } from '../handbook/produce';
import { type ProductRow } from '../handbook/products';
import { type Lot } from '../harvest/onHand';
import { type PickUse } from '../harvest/pick';
import { type Range } from '../math/range';
import { type HouseholdPages } from '../process/findProcess';
import { cardForCrop } from '../yields/cardForCrop';
import { estimateJars } from '../yields/estimateJars';
import { type LearnedYields } from '../yields/yieldModel';
import { type Batch } from './batch';
import { batchOf } from './batchOf';
import { usuallyWithout } from './daySequence';
import { takeOthers } from './takeForRecipe';

/** A part of a lot, with the produce that goes into it. */
export interface PartWish {
  readonly product: ProductRow;
  readonly crop: ProduceId;
  readonly jar: JarSize;
  readonly uses: readonly PickUse[];
  /** Full jars as the cook tells them, where no yield is published for it. */
  readonly toldJars?: number;
  readonly startAt: number;
}

/** What a part comes to. */
export interface PlannedPart {
  readonly jars: Range;
  /** Undefined where there is no full jar, no canner, or no tested time here. */
  readonly batch?: Batch;
}

export interface PartKitchen {
  readonly canners: readonly Canner[];
  readonly ownJars: readonly OwnJar[];
  readonly altitudeFt: number | null;
}

/**
 * The batch that a part of a lot becomes: as many jars as it likely fills, or as the cook tells where no yield is published, by their own tested time, in full loads of the canner
 * that takes the most of them; of the other crops of its card what these jars take.
 *
 * @param lots all there is: the other crops are found among them
 * @param newId makes the id of the batch and of each load
 */
export function batchOfPart(
  { product, crop, jar, uses, toldJars = 0, startAt }: PartWish,
  kitchen: PartKitchen,
  pages: HouseholdPages,
  { lots, learned, newId }: { lots: readonly Lot[]; learned?: LearnedYields; newId: (of: string) => string },
): PlannedPart {
  const massKg = uses.reduce((sum, use) => sum + use.massKg, 0);
  const estimate = massKg > 0 ? estimateJars(crop, massKg, product.product, jar, learned) : undefined;
  const jars = estimate?.kind === 'estimate' ? estimate.jars : { p10: 0, p50: massKg > 0 ? toldJars : 0, p90: 0 };
  const method = firstWay(waysToProcess(kitchen, product, jar, pages));
  const { canner, capacity } = widestCanner(kitchen, jar, method);
  if (jars.p50 < 1 || !canner || capacity?.kind !== 'holds') return { jars };
  const own = cardForCrop(product.product, crop);
  const card = own?.card;
  const batch = batchOf(
    {
      ...{ product, jar, method, cannerId: canner.id, startAt },
      ...(card && { recipe: card.card, without: usuallyWithout(card) }),
      loads: splitLoads(jars.p50, capacity.jars, 'full'),
      uses: [...uses, ...(own ? takeOthers(own, crop, massKg, lots) : [])],
    },
    kitchen,
    pages,
    newId,
  );
  return { jars, ...(batch && { batch }) };
}
