import { countJars, JARS, JAR_SIZES, type JarSize } from '../handbook/jars';
import { produceRow } from '../handbook/produce';
import { KG_PER_LB } from '../measure/amount';
import { type BatchRecord, lbPerQuartOf } from './batchRecord';
import { type LearnedYields } from './yieldModel';
import { yieldRange } from './yieldRange';

export type RecordCheck =
  | { readonly kind: 'likely' }
  /** More or fewer jars than can be: a jar size, a measure or a figure amiss. `meant` is the jar that would fit. */
  | { readonly kind: 'slip'; readonly sentence: string; readonly meant?: JarSize };

/** More than this times the likely jars cannot be; the kitchens furthest from the book stay within it. */
const MOST_TIMES = 2;
const LEAST_TIMES = 1 / 3;
/** A jar size within this of the likely jars is what was meant. */
const CLOSE_TIMES = 1.6;

/**
 * Whether a batch can have given the jars that were typed: "20 quarts from 22 lb" is about three times too many, and
 * pints would fit. Nothing is learned from a slip.
 */
export function checkRecord(record: BatchRecord, learned?: LearnedYields): RecordCheck {
  const range = yieldRange(record.product, record.crop, learned);
  const times = timesLikely(record, range?.lbPerQuart.p50);
  if (times === undefined || (times <= MOST_TIMES && times >= LEAST_TIMES)) return { kind: 'likely' };
  const main = [...record.jars].sort((a, b) => b.count - a.count)[0];
  const meant = main && meantJar(record, main.jar, range?.lbPerQuart.p50);
  const jars = record.jars.filter(({ count }) => count > 0).map(({ jar, count }) => countJars(count, jar));
  const lb = Math.round((record.massKg / KG_PER_LB) * 10) / 10;
  const from = `${jars.join(' and ')} from ${lb} lb of ${produceRow(record.crop).name.toLowerCase()}`;
  const off =
    times > 1
      ? `${Math.round(times * 10) / 10} times what it likely is`
      : `only ${Math.round(times * 100)} % of what it likely is`;
  const question =
    meant && main ? ` ${capital(JARS[main.jar].several)} or ${JARS[meant].several}?` : ' Is the weight right?';
  return { kind: 'slip', sentence: `${from} is ${off}.${question}`, ...(meant && { meant }) };
}

function timesLikely(record: BatchRecord, likelyLbPerQuart: number | undefined): number | undefined {
  const lbPerQuart = lbPerQuartOf(record);
  return lbPerQuart === undefined || likelyLbPerQuart === undefined ? undefined : likelyLbPerQuart / lbPerQuart;
}

function meantJar(record: BatchRecord, jar: JarSize, likely: number | undefined): JarSize | undefined {
  const swapped = (size: JarSize): BatchRecord => ({
    ...record,
    jars: record.jars.map((each) => (each.jar === jar ? { ...each, jar: size } : each)),
    partJar: record.partJar && record.partJar.jar === jar ? { ...record.partJar, jar: size } : record.partJar,
  });
  const off = (size: JarSize) => Math.abs(Math.log(timesLikely(swapped(size), likely) ?? 1e9));
  // Pints and quarts are the two that are taken for each other.
  const rank = (size: JarSize) => (size === 'pint' || size === 'quart' ? 0 : 1);
  return JAR_SIZES.filter((size) => size !== jar && off(size) < Math.log(CLOSE_TIMES)).sort(
    (a, b) => rank(a) - rank(b) || off(a) - off(b),
  )[0];
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
