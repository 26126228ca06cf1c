import { BOILING_WATER, type BandMinutes, type BoilingWaterRow } from '../handbook/boilingWater';
import { JAR_SIZES, JARS, type JarSize } from '../handbook/jars';
import { findProduct, PRODUCTS, type ProductRow } from '../handbook/products';
import { acidDose, type AcidDose } from './acidDose';
import { altitudeBand } from './altitudeBand';
import { sterilizeJars } from './sterilizeJars';

export interface ProcessQuestion {
  readonly product: string;
  readonly pack: string;
  readonly jar: string;
  readonly method: string;
}

export interface Refusal {
  readonly kind: 'refusal';
  readonly reason: string;
  /** Ways out, each a short sentence. Never empty. */
  readonly instead: string[];
}

/** The tested row for a product, pack, jar and method, with the minutes of every altitude band. */
export interface TestedRow {
  readonly kind: 'testedRow';
  readonly product: ProductRow;
  readonly jar: JarSize;
  readonly bandMinutes: BandMinutes;
  readonly headspaceIn: number;
  readonly acid?: AcidDose;
  readonly conditions: string[];
  readonly source: string;
  readonly recalled: boolean;
}

export interface TestedProcess {
  readonly kind: 'tested';
  readonly minutes: number;
  readonly headspaceIn: number;
  readonly acid?: AcidDose;
  readonly sterilizeJars?: { minutes: number };
  readonly conditions: string[];
  readonly source: string;
  readonly recalled: boolean;
}

/**
 * The tested process for one kitchen. Total: any text ends in a tested row or a refusal with a way out.
 * The minutes are read from the table, never computed.
 *
 * @throws RangeError for an altitude outside 0 to 12,000 ft
 */
export function findProcess(question: ProcessQuestion & { altitudeFt: number }): TestedProcess | Refusal {
  const band = altitudeBand(question.altitudeFt);
  const row = findTestedRow(question);
  if (row.kind === 'refusal') return row;
  const minutes = row.bandMinutes[band.index];
  const { headspaceIn, acid, conditions, source, recalled } = row;
  return {
    kind: 'tested',
    minutes,
    headspaceIn,
    acid,
    sterilizeJars: sterilizeJars(minutes, question.altitudeFt),
    conditions,
    source,
    recalled,
  };
}

/** The same without an altitude: what a household that has not set one is shown is the whole band strip. */
export function findTestedRow({ product, pack, jar, method }: ProcessQuestion): TestedRow | Refusal {
  const productRow = findProduct(product);
  if (!productRow) return unknownProduct(product);
  if (method !== 'boiling-water') return otherMethod(productRow, method);
  const size = JAR_SIZES.find((candidate) => candidate === jar);
  const rows = BOILING_WATER.filter((row) => row.process === productRow.process && row.confidence !== 'low');
  if (!size) return unknownJar(productRow, jar, rows);
  const packed = rows.filter((row) => row.packs.some((candidate) => candidate === pack));
  if (packed.length === 0) return otherPack(productRow, pack, rows);
  const row = rowForJar(packed, size);
  if (!row) return tooLarge(productRow, size, packed);
  return {
    kind: 'testedRow',
    product: productRow,
    jar: row.jar,
    bandMinutes: row.minutes,
    headspaceIn: row.headspaceIn,
    acid: row.acidPerJar ? acidDose(size) : undefined,
    conditions: conditionsOf(productRow, pack, size, row),
    source: row.source,
    recalled: row.recalled,
  };
}

/** Handbook rule 13: a jar between two published sizes takes the larger one's time; above the largest there is none. */
function rowForJar(rows: readonly BoilingWaterRow[], size: JarSize): BoilingWaterRow | undefined {
  const fits = rows.filter((row) => JARS[row.jar].nominalFlOz >= JARS[size].nominalFlOz);
  return fits.sort((a, b) => JARS[a.jar].nominalFlOz - JARS[b.jar].nominalFlOz)[0];
}

function conditionsOf(product: ProductRow, pack: string, size: JarSize, row: BoilingWaterRow): string[] {
  const jarNote =
    size === row.jar ? [] : [`No time of its own for ${JARS[size].several}: the ${JARS[row.jar].one}'s holds`];
  return [...product.conditions, `${pack} pack, ${JARS[size].several}`, ...jarNote];
}

function unknownProduct(product: string): Refusal {
  const instead = PRODUCTS.map((row) => row.product);
  return { kind: 'refusal', reason: `No tested time for "${product.slice(0, 60)}" here.`, instead };
}

function otherMethod(product: ProductRow, method: string): Refusal {
  const reason = `Only boiling-water times are kept for ${product.name.toLowerCase()}; none for "${method.slice(0, 40)}".`;
  return { kind: 'refusal', reason, instead: ['boiling-water'] };
}

function unknownJar(product: ProductRow, jar: string, rows: readonly BoilingWaterRow[]): Refusal {
  const reason = `No jar "${jar.slice(0, 40)}" in the handbook for ${product.name.toLowerCase()}.`;
  return { kind: 'refusal', reason, instead: jarsOf(rows) };
}

function otherPack(product: ProductRow, pack: string, rows: readonly BoilingWaterRow[]): Refusal {
  const reason = `No tested time for ${product.name.toLowerCase()} packed "${pack.slice(0, 20)}".`;
  return {
    kind: 'refusal',
    reason,
    instead: [...new Set(rows.flatMap((row) => row.packs))].map((name) => `${name} pack`),
  };
}

function tooLarge(product: ProductRow, size: JarSize, rows: readonly BoilingWaterRow[]): Refusal {
  const reason = `No tested time for ${product.name.toLowerCase()} in ${JARS[size].one} jars: a bigger jar heats through later.`;
  return { kind: 'refusal', reason, instead: jarsOf(rows) };
}

function jarsOf(rows: readonly BoilingWaterRow[]): string[] {
  return [...new Set(rows.map((row) => row.jar))].sort((a, b) => JARS[b].nominalFlOz - JARS[a].nominalFlOz);
}
