import { type Canner } from '@hoddle/core/canner/canner';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { togetherMinutes } from '@hoddle/core/canner/togetherMinutes';
import { type MoreJars } from '@hoddle/core/day/batchOf';
import { type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { findProcess, findTestedRow } from '@hoddle/core/process/findProcess';
import { type Method } from '@hoddle/core/process/method';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { useState } from 'react';
import { useHousehold } from '@/store/useHousehold';
import { usePages } from './usePages';

interface FirstSize {
  readonly product: ProductRow;
  readonly jar: JarSize;
  readonly method: Method;
  readonly canner: Canner | undefined;
  /** The sizes that are offered for it. */
  readonly sizes: readonly JarSize[];
}

/** Draft of jars of a second size that are filled from the same pot. */
export function useMoreJars({ product, jar: first, method, canner, sizes }: FirstSize) {
  const { household } = useHousehold();
  const pages = usePages();
  const [chosen, setChosen] = useState<{ readonly jar: JarSize; readonly jars: number }>();
  const [isShared, setShared] = useState(false);
  const { altitudeFt, ownJars } = household;
  const asked = { product: product.product, pack: usualPack(product), method } as const;
  const rowOf = (jar: JarSize) => findTestedRow({ ...asked, jar }, pages);
  const offered = sizes.filter((size) => size !== first && rowOf(size).kind === 'testedRow');
  const wanted = chosen && offered.includes(chosen.jar) ? chosen : undefined;
  const minutesOf = (jar: JarSize) => {
    const answer = altitudeFt === null ? undefined : findProcess({ ...asked, jar, altitudeFt }, pages);
    return answer?.kind === 'tested' ? plannedProcess(answer).minutes : undefined;
  };
  const capacity = canner && wanted ? capacityOf(canner, wanted.jar, { method, ownJars }) : undefined;
  const loads = wanted && capacity?.kind === 'holds' ? splitLoads(wanted.jars, capacity.jars, 'full') : [];

  /** The minutes that the last load of each would take together; undefined where they may not, or do not surely fit. */
  const togetherMin = (lastLoad: number): number | undefined => {
    const last = loads.at(-1);
    if (!canner || !wanted || last === undefined) return undefined;
    const sizes = [first, wanted.jar] as const;
    return togetherMinutes({ product, method, sizes, jars: lastLoad + last }, canner, household, pages);
  };
  return {
    offered,
    wanted,
    loads,
    minutes: wanted && minutesOf(wanted.jar),
    row: wanted && rowOf(wanted.jar),
    quarts: wanted && loads.length > 0 ? wanted.jars * quartsPerJar(wanted.jar) : 0,
    togetherMin,
    isShared,
    flipShared: () => setShared((before) => !before),
    choose: setChosen,
    more: (lastLoad: number): MoreJars | undefined =>
      wanted && loads.length > 0
        ? { jar: wanted.jar, loads, isShared: isShared && togetherMin(lastLoad) !== undefined }
        : undefined,
  };
}

export type MoreJarsDraft = ReturnType<typeof useMoreJars>;
