import { countJars } from '@hoddle/core/handbook/jars';
import { type RunningLoad } from './useLoad';

/** "3 quarts and 4 pints": so many of a load's own jars, and what went in with them, by size. */
export function insideWords(jars: number, { batch, besides }: Pick<RunningLoad, 'batch' | 'besides'>): string {
  const counts = new Map([[batch.jar, jars]]);
  for (const { jar, count } of besides) counts.set(jar, (counts.get(jar) ?? 0) + count);
  return [...counts].map(([jar, count]) => countJars(count, jar)).join(' and ');
}
