import { boilingWaterRows, type Pack } from '@hoddle/core/handbook/boilingWater';
import { JAR_SIZES, JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { pressureRows } from '@hoddle/core/handbook/pressure';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { testedMethods } from '@hoddle/core/process/findProcess';
import { type Method } from '@hoddle/core/process/method';
import { useState } from 'react';

export interface TestedQuestion {
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
}

/** The largest jar with a row of its own: what most shelves are filled with. */
export function usualJar({ process }: ProductRow): JarSize {
  const sizes = new Set<JarSize>([...boilingWaterRows(process), ...pressureRows(process)].flatMap((row) => row.jars));
  const upToQuart = JAR_SIZES.filter((size) => sizes.has(size) && JARS[size].nominalFlOz <= JARS.quart.nominalFlOz);
  return upToQuart.at(-1) ?? 'pint';
}

/** What is asked of a product first: its own pack, its largest jar, the first method that is tested. */
export function firstQuestion(product: ProductRow): TestedQuestion {
  return {
    pack: usualPack(product),
    jar: usualJar(product),
    method: testedMethods(product)[0] ?? 'boiling-water',
  };
}

/** The question a screen asks of one product, changed part by part. */
export function useTestedQuestion(product: ProductRow, jar?: JarSize) {
  const [question, setQuestion] = useState<TestedQuestion>(() => ({ ...firstQuestion(product), ...(jar && { jar }) }));
  const change = (part: Partial<TestedQuestion>) => setQuestion((before) => ({ ...before, ...part }));
  return { question, change };
}
