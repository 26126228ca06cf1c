import { produceRow, type ProduceId } from '../handbook/produce';
import { JARS, type JarSize } from '../handbook/jars';
import { findProduct, isMadeOf, productsOf } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { P90_SIGMAS, type Range } from '../measure/range';
import { printedYield } from './printedYield';

export type JarEstimate =
  | { kind: 'estimate'; jars: Range; massKg: number; basis: string }
  | { kind: 'refusal'; reason: string; instead: string[] };

/**
 * How many full jars produce becomes: whole jars, as a range. A part jar is not counted.
 *
 * Source: the handbook's quantities, see {@link printedYield}.
 *
 * @param massKg as picked, before trimming
 * @returns a refusal when the product is not made of this crop or no figures are published
 */
export function estimateJars(crop: ProduceId, massKg: number, product: string, jar: JarSize): JarEstimate {
  const row = findProduct(product);
  const instead: string[] = productsOf(crop).map((candidate) => candidate.product);
  if (!row) return { kind: 'refusal', reason: `No product "${product}" in the handbook.`, instead };
  if (!isMadeOf(row, crop)) {
    return { kind: 'refusal', reason: `${row.name}: not made of ${produceRow(crop).name.toLowerCase()}.`, instead };
  }
  const printed = printedYield(product);
  if (!printed) return { kind: 'refusal', reason: `No published yield for ${row.name.toLowerCase()}.`, instead: [] };
  const likely = massKg / KG_PER_LB / printed.medianLbPerQuart / quartsPerJar(jar);
  const factor = Math.exp(P90_SIGMAS * printed.sigma);
  const jars = { p10: wholeJars(likely / factor), p50: wholeJars(likely), p90: wholeJars(likely * factor) };
  return { kind: 'estimate', jars, massKg, basis: 'handbook' };
}

/**
 * Produce to have for `jars` full jars with nine chances in ten, in kilograms: the other way round of {@link estimateJars}.
 *
 * @throws RangeError when no yield is published for the product: ask {@link estimateJars} first
 */
export function massForJarsKg(product: string, jar: JarSize, jars: number): Range {
  const printed = printedYield(product);
  if (!printed) throw new RangeError(`no published yield for ${product}`);
  const likely = jars * quartsPerJar(jar) * printed.medianLbPerQuart * KG_PER_LB;
  const factor = Math.exp(P90_SIGMAS * printed.sigma);
  return { p10: likely / factor, p50: likely, p90: likely * factor };
}

function quartsPerJar(jar: JarSize): number {
  return JARS[jar].nominalFlOz / JARS.quart.nominalFlOz;
}

function wholeJars(jars: number): number {
  // A billionth of a jar short is rounding of the units, not a missing spoonful.
  return Math.floor(jars + 1e-9);
}
