import { countJars, JARS, type JarSize } from '../handbook/jars';
import { type Range } from '../math/range';

/** "5 to 8"; undefined where nine in ten and one in ten are the same whole jar: a range of one is none. */
export function spanWords({ p10, p90 }: Pick<Range, 'p10' | 'p90'>): string | undefined {
  return p10 < p90 ? `${p10} to ${p90}` : undefined;
}

/** "5 to 8 quarts, likely 6", or "1 pint". */
export function likelyWords(jars: Range, jar: JarSize): string {
  const span = spanWords(jars);
  return span === undefined ? countJars(jars.p50, jar) : `${span} ${JARS[jar].several}, likely ${jars.p50}`;
}
