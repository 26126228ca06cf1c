import { type Batch } from '@hoddle/core/day/batch';
import { batchOfPart } from '@hoddle/core/day/batchOfPart';
import { nextQuarter } from '@hoddle/core/day/batchOf';
import { handsMinutes } from '@hoddle/core/day/handsMinutes';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { type DividedPart, divideLots } from '@hoddle/core/harvest/divideLots';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { type Range } from '@hoddle/core/measure/range';
import { byProductsOf, type ByProduct } from '@hoddle/core/yields/byProducts';
import { massForJarsKg } from '@hoddle/core/yields/estimateJars';
import { useMemo, useState } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { usePages } from '@/features/process/usePages';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { type ProductRows } from '../useJarsFrom';
import { useLearned } from '../useLearned';

/** A part as it was asked for. */
export interface AskedPart {
  readonly product: ProductRows['made']['product']['product'];
  readonly jar: JarSize;
  readonly massKg: number;
  /** Of what no yield is published: as many as the cook tells. */
  readonly toldJars?: number;
}

/** A part with what it comes to. */
export interface Part extends AskedPart {
  readonly name: string;
  readonly jars: Range;
  readonly divided: DividedPart;
  readonly batch?: Batch;
  /** Minutes of work for hands. */
  readonly handsMin?: number;
  readonly falls: readonly ByProduct[];
}

/** Draft of a division: some lots of one crop parted among products. Nothing is planned before it is said so. */
export function useDivision(crop: ProduceId, lots: readonly Lot[], all: readonly Lot[]) {
  const { household } = useHousehold();
  const pages = usePages();
  const learned = useLearned();
  const [asked, setAsked] = useState<readonly AskedPart[]>([]);
  const [startAt] = useState(() => nextQuarter(householdNow()));
  const totalKg = lots.reduce((sum, { massKg }) => sum + massKg, 0);

  const division = useMemo(() => divideLots(lots, asked), [lots, asked]);
  const parts = useMemo(
    () =>
      asked.map((part, i): Part => {
        const divided = division.parts[i] ?? { uses: [], massKg: 0, softKg: 0 };
        const product = productRow(part.product);
        const wish = {
          product,
          crop,
          jar: part.jar,
          uses: divided.uses,
          ...(part.toldJars !== undefined && { toldJars: part.toldJars }),
          startAt,
        };
        // Its ids are not kept: what is planned gets its own.
        const ground = { lots: all, learned, newId: (of: string) => `${of} of ${i}` };
        const { jars, batch } = batchOfPart(wish, household, pages, ground);
        const { canners, ownJars, kitchen, burners, units } = household;
        const setup = { ...kitchen, burners, units };
        return {
          ...part,
          name: product.name,
          jars,
          divided,
          ...(batch && { batch, handsMin: handsMinutes(batch, { canners, ownJars, setup }) }),
          falls: byProductsOf(part.product, crop, divided.massKg, learned.records),
        };
      }),
    [asked, division, crop, startAt, all, learned, household, pages],
  );

  const set = (at: number, change: Partial<AskedPart>) =>
    setAsked((before) => before.map((part, i) => (i === at ? { ...part, ...change } : part)));
  /** No part is less than nothing, nor more than it has and what is left over. */
  const setMass = (at: number, massKg: number) => {
    const most = (asked[at]?.massKg ?? 0) + division.leftKg;
    set(at, { massKg: Math.max(0, Math.min(most, massKg)) });
  };
  return {
    totalKg,
    leftKg: division.leftKg,
    leftSoftKg: division.leftSoftKg,
    parts,
    setMass,
    setJar: (at: number, jar: JarSize) => set(at, { jar }),
    /** As much as so many jars likely take. */
    setJars: (at: number, jars: number) => {
      const part = asked[at];
      if (!part) return;
      if (part.toldJars !== undefined) return set(at, { toldJars: jars });
      setMass(at, jars > 0 ? massForJarsKg(crop, part.product, part.jar, jars, { learned }).likelyKg : 0);
    },
    /** A new part gets what is left over, or half of the largest one where nothing is. */
    add: (product: AskedPart['product'], jar: JarSize, isTold = false) =>
      setAsked((before) => {
        const own = { product, jar, ...(isTold && { toldJars: 0 }) };
        if (division.leftKg > 0.05 * totalKg) return [...before, { ...own, massKg: division.leftKg }];
        const most = Math.max(0, ...before.map(({ massKg }) => massKg));
        const from = before.findIndex(({ massKg }) => massKg === most);
        const halved = before.map((part, i) => (i === from ? { ...part, massKg: most / 2 } : part));
        return [...halved, { ...own, massKg: most / 2 }];
      }),
    remove: (at: number) => setAsked((before) => before.filter((_, i) => i !== at)),
    /** The border between a part and the next one, or what is left over, moves by so many kilograms. */
    move: (at: number, byKg: number) =>
      setAsked((before) => {
        const [own, next] = [before[at], before[at + 1]];
        if (!own) return before;
        const room = next ? next.massKg : division.leftKg;
        const moved = Math.max(-own.massKg, Math.min(room, byKg));
        return before.map((part, i) => {
          if (i === at) return { ...part, massKg: part.massKg + moved };
          return i === at + 1 ? { ...part, massKg: part.massKg - moved } : part;
        });
      }),
    /** A batch of every part that fills a jar, with ids of its own. */
    toBatches: (): Batch[] =>
      parts.flatMap(({ batch }) =>
        batch ? [{ ...batch, id: uuidV7(), loads: batch.loads.map((load) => ({ ...load, id: uuidV7() })) }] : [],
      ),
  };
}
