import { type JarSize } from '@hoddle/core/handbook/jars';
import { PRODUCTS, type ProductRow } from '@hoddle/core/handbook/products';
import { type Range } from '@hoddle/core/measure/range';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { findProcess } from '@hoddle/core/process/findProcess';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { useMemo } from 'react';
import { type CropOnHand } from '@/features/harvest/useOnHand';
import { useHousehold } from '@/store/useHousehold';

/** The sizes offered side by side, largest first. */
const OFFERED_JARS: readonly JarSize[] = ['quart', 'pint'];

/** A rack's usual number, for setting loads apart while the household has no canner. Common practice. */
const USUAL_PLACES: Partial<Record<JarSize, number>> = { quart: 7, pint: 9 };

export interface JarsRow {
  readonly jar: JarSize;
  readonly jars: Range;
  readonly perLoad: number;
  /** Undefined while there is no canner for these jars. */
  readonly loads?: number;
  /** Undefined while the altitude is not set: no single number is shown then. */
  readonly minutes?: number;
}

export interface ProductRows {
  readonly product: ProductRow;
  readonly basis: string;
  readonly rows: readonly JarsRow[];
}

/** Every product a crop on hand fits, with the jars it makes in each size. */
export function useJarsFrom({ crop, massKg }: Pick<CropOnHand, 'crop' | 'massKg'>): ProductRows[] {
  const { household } = useHousehold();
  return useMemo(
    () =>
      PRODUCTS.filter(({ crops }) => crops.includes(crop)).map((product) => {
        const estimates = OFFERED_JARS.map((jar) => ({
          jar,
          estimate: estimateJars(crop, massKg, product.product, jar),
        }));
        const rows = estimates.flatMap(({ jar, estimate }): JarsRow[] => {
          if (estimate.kind === 'refusal') return [];
          const canner = household.canners[0];
          const capacity = canner && capacityOf(canner, jar);
          const perLoad = capacity?.kind === 'holds' ? capacity.jars : (USUAL_PLACES[jar] ?? 7);
          const likely = estimate.jars.p50;
          const loads =
            capacity?.kind === 'holds' && likely > 0 ? splitLoads(likely, perLoad, 'full').length : undefined;
          return [{ jar, jars: estimate.jars, perLoad, loads, minutes: minutesAt(product, jar, household.altitudeFt) }];
        });
        const first = estimates.find(({ estimate }) => estimate.kind === 'estimate')?.estimate;
        return { product, basis: first?.kind === 'estimate' ? first.basis : '', rows };
      }),
    [crop, massKg, household],
  );
}

function minutesAt(product: ProductRow, jar: JarSize, altitudeFt: number | null): number | undefined {
  if (altitudeFt === null) return undefined;
  const answer = findProcess({
    product: product.product,
    pack: product.pack,
    jar,
    method: 'boiling-water',
    altitudeFt,
  });
  return answer.kind === 'tested' ? answer.minutes : undefined;
}
