import { type Batch } from '@hoddle/core/day/batch';
import { batchOfPart } from '@hoddle/core/day/batchOfPart';
import { nextQuarter } from '@hoddle/core/day/batchOf';
import { handsMinutes } from '@hoddle/core/day/handsMinutes';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { type DividedPart, divideLots } from '@hoddle/core/harvest/divideLots';
import { withBorder, withMass, withPart } from '@hoddle/core/harvest/divisionParts';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { type Range } from '@hoddle/core/math/range';
import { byProductsOf, type ByProduct } from '@hoddle/core/yields/byProducts';
import { massForJarsKg } from '@hoddle/core/yields/estimateJars';
import { useMemo, useState } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { usePages } from '@/household/process/usePages';
import { kitchenNow } from '@/store/kitchenNow';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { type ProductRows } from '../useJarsFrom';
import { useLearned } from '@/household/yields/useLearned';

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
  const known = useHousehold();
  const { household } = known;
  const kitchen = kitchenNow(known);
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
        return {
          ...part,
          name: product.name,
          jars,
          divided,
          ...(batch && { batch, handsMin: handsMinutes(batch, kitchen) }),
          falls: byProductsOf(part.product, crop, divided.massKg, learned.records),
        };
      }),
    [asked, division, crop, startAt, all, learned, household, pages, kitchen],
  );

  const set = (at: number, change: Partial<AskedPart>) =>
    setAsked((before) => before.map((part, i) => (i === at ? { ...part, ...change } : part)));
  const setMass = (at: number, massKg: number) => setAsked((before) => withMass(before, totalKg, at, massKg));
  return {
    totalKg,
    leftKg: division.leftKg,
    leftSoftKg: division.leftSoftKg,
    /** More than there is, since some of it was used elsewhere meanwhile. */
    shortKg: division.shortKg,
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
    add: (product: AskedPart['product'], jar: JarSize, isTold = false) =>
      setAsked((before) =>
        withPart(before, totalKg, (massKg) => ({ product, jar, massKg, ...(isTold && { toldJars: 0 }) })),
      ),
    remove: (at: number) => setAsked((before) => before.filter((_, i) => i !== at)),
    move: (at: number, byKg: number) => setAsked((before) => withBorder(before, totalKg, at, byKg)),
    /** A batch of every part that fills a jar, with ids of its own. */
    toBatches: (): Batch[] =>
      parts.flatMap(({ batch }) =>
        batch ? [{ ...batch, id: uuidV7(), loads: batch.loads.map((load) => ({ ...load, id: uuidV7() })) }] : [],
      ),
  };
}
