import { capacityOf } from '@hoddle/core/canner/capacity';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductRow, productsOf } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { type Range } from '@hoddle/core/measure/range';
import { findProcess, findTestedRow, type HouseholdPages, testedMethods } from '@hoddle/core/process/findProcess';
import { type Method } from '@hoddle/core/process/method';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { useMemo } from 'react';
import { type CropOnHand } from '@/features/harvest/useOnHand';
import { usePages } from '@/features/process/usePages';
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
  readonly pressurePsi?: number;
}

export interface ProductRows {
  readonly product: ProductRow;
  /** Low-acid food is pressure canned, which is not planned here yet. */
  readonly pressureOnly: boolean;
  readonly basis: string;
  readonly rows: readonly JarsRow[];
}

export interface JarsFrom {
  readonly products: readonly ProductRows[];
  /** Tested products of this crop that go by a formula: pounds alone do not say how many jars. */
  readonly byFormula: readonly ProductRow[];
}

/** Every product a crop on hand fits, with the jars it makes in each size that is tested. */
export function useJarsFrom({ crop, massKg }: Pick<CropOnHand, 'crop' | 'massKg'>): JarsFrom {
  const { household } = useHousehold();
  const pages = usePages();
  return useMemo(() => {
    const made = productsOf(crop).map((product): ProductRows => {
      const method = testedMethods(product)[0] ?? 'boiling-water';
      const pressureOnly = method !== 'boiling-water';
      const estimates = OFFERED_JARS.filter((jar) => isTested(product, jar, method)).map((jar) => ({
        jar,
        estimate: estimateJars(crop, massKg, product.product, jar),
      }));
      const rows = estimates.flatMap(({ jar, estimate }): JarsRow[] => {
        if (estimate.kind === 'refusal') return [];
        const canner = household.canners[0];
        const capacity = canner && !pressureOnly ? capacityOf(canner, jar) : undefined;
        const perLoad = capacity?.kind === 'holds' ? capacity.jars : (USUAL_PLACES[jar] ?? 7);
        const likely = estimate.jars.p50;
        const loads = capacity?.kind === 'holds' && likely > 0 ? splitLoads(likely, perLoad, 'full').length : undefined;
        return [
          { jar, jars: estimate.jars, perLoad, loads, ...timeAt(product, jar, method, household.altitudeFt, pages) },
        ];
      });
      const first = estimates.find(({ estimate }) => estimate.kind === 'estimate')?.estimate;
      return { product, pressureOnly, basis: first?.kind === 'estimate' ? first.basis : '', rows };
    });
    return {
      products: made.filter(({ rows }) => rows.length > 0),
      byFormula: made.filter(({ rows }) => rows.length === 0).map(({ product }) => product),
    };
  }, [crop, massKg, household, pages]);
}

function isTested(product: ProductRow, jar: JarSize, method: Method): boolean {
  return findTestedRow({ product: product.product, pack: usualPack(product), jar, method }).kind === 'testedRow';
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
