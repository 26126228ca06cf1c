import { type Canner } from '@hoddle/core/canner/canner';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { togetherMinutes } from '@hoddle/core/canner/togetherMinutes';
import { type MoreJars } from '@hoddle/core/day/batchOf';
import { type Pack } from '@hoddle/core/handbook/boilingWater';
import { type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { findProcess, findTestedRow } from '@hoddle/core/process/findProcess';
import { type Method } from '@hoddle/core/process/method';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { useState } from 'react';
import { useHousehold } from '@/store/useHousehold';
import { usePages } from '@/household/process/usePages';

interface FirstSize {
  readonly product: ProductRow;
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
  readonly canner: Canner | undefined;
  /** The sizes that are offered for it. */
  readonly sizes: readonly JarSize[];
}

interface Chosen {
  readonly jar: JarSize;
  readonly jars: number;
  readonly isShared: boolean;
}

/** Draft of jars of other sizes that are filled from the same pot, each size once. */
export function useMoreJars({ product, pack, jar: first, method, canner, sizes }: FirstSize) {
  const { household } = useHousehold();
  const pages = usePages();
  const [chosen, setChosen] = useState<readonly Chosen[]>([]);
  const { altitudeFt, ownJars } = household;
  const asked = { product: product.product, pack, method } as const;
  const rowOf = (jar: JarSize) => findTestedRow({ ...asked, jar }, pages);
  const possible = sizes.filter((size) => size !== first && rowOf(size).kind === 'testedRow');
  const wanted = chosen.filter(({ jar }) => possible.includes(jar));
  const minutesOf = (jar: JarSize) => {
    const answer = altitudeFt === null ? undefined : findProcess({ ...asked, jar, altitudeFt }, pages);
    return answer?.kind === 'tested' ? plannedProcess(answer).minutes : undefined;
  };
  const loadsOf = ({ jar, jars }: Chosen) => {
    const capacity = canner && capacityOf(canner, jar, { method, ownJars });
    return capacity?.kind === 'holds' ? splitLoads(jars, capacity.jars, 'full') : [];
  };

  /** The minutes that the last load of this size takes with the last of the first and of all that share it already. */
  const togetherMin = (own: Chosen, lastLoad: number): number | undefined => {
    const sharing = wanted.filter((each) => each.isShared || each.jar === own.jar);
    const lasts = sharing.map((each) => loadsOf(each).at(-1) ?? 0);
    if (!canner || lasts.includes(0)) return undefined;
    const jars = lasts.reduce((sum, each) => sum + each, lastLoad);
    const all = [first, ...sharing.map(({ jar }) => jar)];
    return togetherMinutes({ product, pack, method, sizes: all, jars }, canner, household, pages);
  };
  const change = (jar: JarSize, to: Chosen | undefined) =>
    setChosen(wanted.flatMap((each) => (each.jar === jar ? (to ?? []) : each)));
  return {
    /** Sizes that are none of them yet. */
    left: possible.filter((size) => wanted.every(({ jar }) => jar !== size)),
    add: (jar: JarSize, jars: number) => setChosen([...wanted, { jar, jars: Math.max(1, jars), isShared: false }]),
    parts: wanted.map((own) => ({
      jar: own.jar,
      jars: own.jars,
      loads: loadsOf(own),
      minutes: minutesOf(own.jar),
      row: rowOf(own.jar),
      isShared: own.isShared,
      togetherMin: (lastLoad: number) => togetherMin(own, lastLoad),
      setJars: (jars: number) => change(own.jar, { ...own, jars }),
      setJar: (jar: JarSize, jars: number) => change(own.jar, { ...own, jar, jars: Math.max(1, jars) }),
      flipShared: () => change(own.jar, { ...own, isShared: !own.isShared }),
      drop: () => change(own.jar, undefined),
    })),
    quarts: wanted.reduce((sum, own) => sum + (loadsOf(own).length > 0 ? own.jars * quartsPerJar(own.jar) : 0), 0),
    more: (lastLoad: number): MoreJars[] =>
      wanted.map((own) => ({
        jar: own.jar,
        loads: loadsOf(own),
        isShared: own.isShared && togetherMin(own, lastLoad) !== undefined,
      })),
  };
}

export type MoreJarsDraft = ReturnType<typeof useMoreJars>;
