import { type LoadStyle, splitLoads } from '@hoddle/core/canner/splitLoads';
import { type Batch } from '@hoddle/core/day/batch';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { takeForBatch } from '@hoddle/core/harvest/takeForBatch';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { findProcess } from '@hoddle/core/process/findProcess';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { estimateJars, massForJarsKg } from '@hoddle/core/yields/estimateJars';
import { useState } from 'react';
import { useLearned } from '@/features/yields/useLearned';
import { v7 as uuidV7 } from 'uuid';
import { type CropOnHand } from '@/features/harvest/useOnHand';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { widestCanner } from '@/features/canner/widestCanner';
import { usePages } from './usePages';

const STEP_MS = 15 * 60_000;

/** Draft of a batch: jar, how many, how split, when. What follows from it is worked out at each look. */
export function useMakeDraft(item: CropOnHand, product: ProductRow, firstJar: JarSize) {
  const { household } = useHousehold();
  const pages = usePages();
  const learned = useLearned();
  const [jar, setJar] = useState(firstJar);
  const [style, setStyle] = useState<LoadStyle>('full');
  const [asked, setAsked] = useState<number>();
  const [startAt, setStartAt] = useState(() => Math.ceil(householdNow() / STEP_MS) * STEP_MS);
  const { canner, capacity } = widestCanner(household, jar);
  const estimate = estimateJars(item.crop, item.massKg, product.product, jar, learned);
  const range = estimate.kind === 'estimate' ? estimate.jars : { p10: 0, p50: 0, p90: 0 };
  const perLoad = capacity?.kind === 'holds' ? capacity.jars : undefined;
  const jars = Math.min(asked ?? fullLoads(range.p50, perLoad), range.p90);
  const loads = perLoad && jars > 0 ? splitLoads(jars, perLoad, style) : [];
  const need =
    jars > 0 ? massForJarsKg(item.crop, product.product, jar, jars, { learned }) : { likelyKg: 0, sureKg: 0 };
  const uses = takeForBatch(item.lots, need.sureKg);
  const usedKg = uses.reduce((sum, use) => sum + use.massKg, 0);
  const made = estimateJars(item.crop, usedKg, product.product, jar, learned);

  const toBatch = (): Batch | undefined => {
    if (!canner || household.altitudeFt === null || loads.length === 0) return undefined;
    const question = {
      product: product.product,
      pack: usualPack(product),
      jar,
      method: 'boiling-water' as const,
      altitudeFt: household.altitudeFt,
    };
    const tested = findProcess(question, pages);
    if (tested.kind === 'refusal') return undefined;
    return {
      ...question,
      id: uuidV7(),
      processMinutes: plannedProcess(tested).minutes,
      cannerId: canner.id,
      startAt,
      uses,
      loads: loads.map((count, i) => ({ id: uuidV7(), number: i + 1, jars: count })),
    };
  };

  return {
    jar,
    style,
    startAt,
    canner,
    capacity,
    range,
    jars,
    loads,
    need,
    usedKg,
    /** Of a formula. */
    pots: made.kind === 'estimate' ? made.pots : undefined,
    setStyle,
    setJar: (next: JarSize) => {
      setJar(next);
      setAsked(undefined);
    },
    setJars: setAsked,
    moveStart: (steps: number) => setStartAt((at) => at + steps * STEP_MS),
    toBatch,
  };
}

/** As many whole loads as likely come full; a harvest too small for one is one load. */
function fullLoads(likely: number, perLoad: number | undefined): number {
  if (!perLoad || likely < perLoad) return likely;
  return Math.floor(likely / perLoad) * perLoad;
}
