import { isPressure } from '@hoddle/core/canner/canner';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductRow, productsOf } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { type Range } from '@hoddle/core/math/range';
import { findProcess, type HouseholdPages, testedMethods } from '@hoddle/core/process/findProcess';
import { type Method } from '@hoddle/core/process/method';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { missingFor } from '@hoddle/core/yields/otherCrops';
import { type ProductFromLots, productsFromLots } from '@hoddle/core/yields/productsFromLots';
import { useMemo } from 'react';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { usePages } from '@/household/process/usePages';
import { firstWay, waysToProcess } from '@hoddle/core/canner/waysToProcess';
import { useHousehold } from '@/store/useHousehold';
import { useLearned } from '@/household/yields/useLearned';

/** The sizes offered side by side for what is printed by the pound, largest first. */
const BY_THE_POUND: readonly JarSize[] = ['quart', 'pint'];

/** A rack's usual number, for setting loads apart while the household has no canner. Common practice. */
const USUAL_PLACES: Partial<Record<JarSize, number>> = { quart: 7 };
const USUAL_SMALL_PLACES = 9;

export interface JarsRow {
  readonly jar: JarSize;
  readonly jars: Range;
  readonly perLoad: number;
  /** Undefined while there is no canner for these jars. */
  readonly loads?: number;
  /** Undefined while the altitude is not set: no single number is shown then. */
  readonly minutes?: number;
  readonly pressurePsi?: number;
}

export interface ProductRows {
  readonly made: ProductFromLots;
  /** Low-acid food. */
  readonly pressureOnly: boolean;
  readonly rows: readonly JarsRow[];
}

export interface JarsFrom {
  readonly products: readonly ProductRows[];
  /** Tested products of these crops of which no yield is published: pounds alone do not say how many jars. */
  readonly unmeasured: readonly ProductRow[];
  /** Spreads whose recipe is each fruit's own, and there is none for these. */
  readonly cardless: readonly ProductRow[];
}

/**
 * Every product that some lots fit, with the jars they make in each size that is tested.
 *
 * @param all on hand: what a recipe takes besides is looked for among them
 */
export function useJarsFrom(lots: readonly Lot[], all: readonly Lot[]): JarsFrom {
  const { household } = useHousehold();
  const pages = usePages();
  const learned = useLearned();
  return useMemo(() => {
    const amounts = lots.map((lot) => ({ ...lot, green: lot.ripeness === 'green' }));
    const products = productsFromLots(amounts, learned).flatMap((found): ProductRows[] => {
      const { product, crops, usedKg } = found;
      const [main] = crops;
      const made = main ? { ...found, missing: missingFor(product.product, main, usedKg, all) } : found;
      const rows = sizesOf(made).flatMap((jar): JarsRow[] => {
        const ways = waysToProcess(household, product, jar, pages);
        // A recipe of the household's own may always be kept cold.
        if (ways.tested.length === 0)
          return isOwnProduct(product.product) ? [{ jar, jars: made.jarsOf(jar), perLoad: USUAL_SMALL_PLACES }] : [];
        const method = firstWay(ways);
        const jars = made.jarsOf(jar);
        const { capacity } = widestCanner(household, jar, method);
        const perLoad = capacity?.kind === 'holds' ? capacity.jars : (USUAL_PLACES[jar] ?? USUAL_SMALL_PLACES);
        const loads =
          capacity?.kind === 'holds' && jars.p50 > 0 ? splitLoads(jars.p50, perLoad, 'full').length : undefined;
        return [{ jar, jars, perLoad, loads, ...timeAt(product, jar, method, household.altitudeFt, pages) }];
      });
      return rows.length === 0 ? [] : [{ made, pressureOnly: isPressureOnly(product), rows }];
    });
    const measured = new Set(products.map(({ made }) => made.product.product));
    const crops = [...new Set(lots.map(({ crop }) => crop))];
    const others = [...new Set(crops.flatMap((crop) => productsOf(crop)))].filter(
      (row) => !measured.has(row.product) && !isOwnProduct(row.product) && testedMethods(row).length > 0,
    );
    const isCardless = (row: ProductRow) => row.productClass === 'spread' && row.hasFormula;
    return {
      products,
      unmeasured: others.filter((row) => !isCardless(row)),
      cardless: others.filter(isCardless),
    };
  }, [lots, all, household, pages, learned]);
}

/** Of the household's own recipes no table says how they are processed. */
function isPressureOnly(product: ProductRow): boolean {
  return !isOwnProduct(product.product) && testedMethods(product).every(isPressure);
}

/** By the pound quarts and pints, by a card the jar it is printed for. */
function sizesOf({ product, crops, pots }: ProductFromLots): readonly JarSize[] {
  const [main] = crops;
  const printed = pots === undefined || !main ? undefined : cardForCrop(product.product, main)?.card.yields?.jar;
  return printed ? [printed] : BY_THE_POUND;
}

function timeAt(
  product: ProductRow,
  jar: JarSize,
  method: Method,
  altitudeFt: number | null,
  pages: HouseholdPages,
): Pick<JarsRow, 'minutes' | 'pressurePsi'> {
  if (altitudeFt === null) return {};
  const answer = findProcess({ product: product.product, pack: usualPack(product), jar, method, altitudeFt }, pages);
  if (answer.kind === 'refusal') return {};
  return { minutes: plannedProcess(answer).minutes, pressurePsi: answer.pressurePsi };
}
