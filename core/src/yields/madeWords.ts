import { countJars, JARS } from '../handbook/jars';
import { printFraction } from '../measure/fraction';
import { type BatchRecord } from './batchRecord';

/** "5 1/2 pints and 2 quarts": what came out of a batch, in the jars it was, the jar that was not full by its part. */
export function madeWords({ jars, partJar }: Pick<BatchRecord, 'jars' | 'partJar'>): string {
  const full = jars.filter(({ count }) => count > 0);
  const isMain = full.some(({ jar }) => jar === partJar?.jar);
  const words = full.map(({ jar, count }) =>
    partJar?.jar === jar ? `${printFraction(count + partJar.part, 4)} ${JARS[jar].several}` : countJars(count, jar),
  );
  if (partJar && !isMain) words.push(`${printFraction(partJar.part, 4)} of a ${JARS[partJar.jar].one}`);
  return words.join(' and ');
}
