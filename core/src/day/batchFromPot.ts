import { type Canner } from '../canner/canner';
import { splitLoads } from '../canner/splitLoads';
import { firstWay, waysToProcess } from '../canner/waysToProcess';
import { AS_HOT } from '../process/sameHeat';
import { cannerBeside, type Vessels } from '../canner/widestCanner';
import { type JarSize, quartsPerJar } from '../handbook/jars';
import { productRow } from '../handbook/products';
import { ML_PER_QUART } from '../measure/amount';
import { type HouseholdPages } from '../process/findProcess';
import { type Method } from '../process/method';
import { outputRule, type PotOutput } from '../recipe/potOutputs';
import { type Batch, mainCropOf } from './batch';
import { batchOf } from './batchOf';

/** A crumb of a jar. */
const CRUMB = 1e-6;

/** What is to become of a pot's output, before its time is looked up. */
export interface PotWish {
  /** The batch whose pot it is taken off. */
  readonly pot: Batch;
  readonly kind: PotOutput;
  readonly jar: JarSize;
  readonly method: Method;
  readonly cannerId: string;
  /** Jars of each load. */
  readonly loads: readonly number[];
}

/**
 * The batch that begins with what another's pot gives: a product of its own, with its own tested time, jars, acid and canner,
 * on the same day. It takes no produce: that is in the pot.
 *
 * @param newId makes the id of the batch and of each load, from a word that tells them apart
 * @returns undefined where nothing is tested, or the pot is of no known crop
 */
export function batchFromPot(
  { pot, kind, jar, method, cannerId, loads }: PotWish,
  household: { readonly altitudeFt: number | null },
  pages: HouseholdPages,
  newId: (of: string) => string,
): Batch | undefined {
  const crop = mainCropOf(pot);
  if (!crop) return undefined;
  const wish = { product: productRow(outputRule(kind).feeds), jar, method, cannerId, loads, startAt: pot.startAt };
  return batchOf({ ...wish, uses: [], from: { batchId: pot.id, kind, crop } }, household, pages, newId);
}

/** How a pot's output is processed in a kitchen, beside the pot's own jars. */
export interface WayBeside {
  readonly method: Method;
  readonly canner?: Canner;
  /** Jars that canner holds; undefined where it holds none of them, or there is none. */
  readonly holds?: number;
}

/** The way of processing what comes off a pot, and the canner for it: another one than the pot's own, as hot, where there is one. */
export function wayBeside(
  kind: PotOutput,
  jar: JarSize,
  potCannerId: string | undefined,
  kitchen: Vessels & { readonly altitudeFt: number | null },
  pages: HouseholdPages,
): WayBeside {
  const ways = waysToProcess(kitchen, productRow(outputRule(kind).feeds), jar, pages);
  const first = firstWay(ways);
  const found = [first, ...ways.served.filter((way) => way === AS_HOT[first])].map((method): WayBeside => {
    const { canner, capacity } = cannerBeside(kitchen, potCannerId, jar, method);
    return { method, ...(canner && { canner }), ...(capacity?.kind === 'holds' && { holds: capacity.jars }) };
  });
  const beside = found.find(({ canner, holds }) => canner && canner.id !== potCannerId && holds !== undefined);
  return beside ?? (found[0] as WayBeside);
}

/**
 * So many jars of what a pot gives, as a batch: in full loads, the usual way, in the canner beside.
 *
 * @returns undefined where no canner takes them, nothing is tested, or there is no jar
 */
export function jarsFromPot(
  { pot, kind, jar, jars }: Pick<PotWish, 'pot' | 'kind' | 'jar'> & { readonly jars: number },
  kitchen: Vessels & { readonly altitudeFt: number | null },
  pages: HouseholdPages,
  newId: (of: string) => string,
): Batch | undefined {
  const { method, canner, holds } = wayBeside(kind, jar, pot.cannerId, kitchen, pages);
  if (!canner || holds === undefined || jars < 1) return undefined;
  const loads = splitLoads(jars, holds, 'full');
  return batchFromPot({ pot, kind, jar, method, cannerId: canner.id, loads }, kitchen, pages, newId);
}

/** What a measured volume fills. */
export interface FilledFrom {
  /** Full jars. */
  readonly jars: number;
  /** Of one jar more, from 0 to under 1: for today, or the refrigerator. */
  readonly part: number;
}

/** Full jars of what was measured, and the part of one that is left. */
export function jarsFromVolume(volumeMl: number, jar: JarSize): FilledFrom {
  const all = volumeMl / (quartsPerJar(jar) * ML_PER_QUART);
  const jars = Math.floor(all + CRUMB);
  return { jars, part: Math.max(0, all - jars) };
}
