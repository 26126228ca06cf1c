import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { type Batch } from '@hoddle/core/day/batch';
import { batchFromPot, wayBeside } from '@hoddle/core/day/batchFromPot';
import { type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { type OutputRule, outputsOf } from '@hoddle/core/recipe/potOutputs';
import { thinJuiceQuarts } from '@hoddle/core/yields/thinJuice';
import { useState } from 'react';
import { useHousehold } from '@/store/useHousehold';
import { usePages } from '@/household/process/usePages';

/** The pot that something is taken off: what of which crop likely stands in it, and the canner its own jars go into. */
export interface DraftPot {
  readonly product: Batch['product'];
  readonly crop: ProduceId;
  readonly likelyKg: number;
  readonly cannerId: string | undefined;
}

/** Draft of the second product of a pot: whether it is wanted, in which jars, how many, in which canner. */
export function usePotOutput(pot: DraftPot) {
  const { household, batchRecords } = useHousehold();
  const pages = usePages();
  const [isWanted, setWanted] = useState(false);
  const [jar, setJar] = useState<JarSize>('quart');
  const [asked, setAsked] = useState<number>();
  const rule: OutputRule | undefined = outputsOf(pot.product)[0];
  const quarts = rule && thinJuiceQuarts(pot.product, pot.crop, pot.likelyKg, batchRecords);
  if (!rule || !quarts) return undefined;
  const product = productRow(rule.feeds);
  const { method, canner, holds } = wayBeside(rule.kind, jar, pot.cannerId, household, pages);
  const full = (of: number) => Math.floor(of / quartsPerJar(jar) + 1e-6);
  const range = { p10: full(quarts.p10), p50: full(quarts.p50), p90: full(quarts.p90) };
  const jars = asked ?? range.p50;
  const loads = holds !== undefined && jars > 0 ? splitLoads(jars, holds, 'full') : [];
  return {
    rule,
    isWanted,
    flip: () => setWanted((before) => !before),
    product,
    jar,
    setJar: (next: JarSize) => {
      setJar(next);
      setAsked(undefined);
    },
    range,
    jars,
    setJars: setAsked,
    loads,
    canner,
    isBeside: canner !== undefined && canner.id !== pot.cannerId,
    row: findTestedRow({ product: product.product, pack: usualPack(product), jar, method }, pages),
    /** The second batch, for the pot as it is planned. */
    toBatch: (of: Batch, newId: (of: string) => string) =>
      canner && loads.length > 0
        ? batchFromPot({ pot: of, kind: rule.kind, jar, method, cannerId: canner.id, loads }, household, pages, newId)
        : undefined,
  };
}

export type PotOutputDraft = NonNullable<ReturnType<typeof usePotOutput>>;
