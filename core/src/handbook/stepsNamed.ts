import { allStepRows, isStep, stepOf } from './steps';

/** One of the handbook's steps as it can be picked: its entry, its number put in, and its words. */
export interface NamedStep {
  readonly entry: string;
  readonly words: string;
}

/** Around every load, and never part of a recipe. */
const OF_THE_CANNER = ['load', 'heat-up', 'process', 'rest', 'unload', 'close', 'sterilise-jars'];

/**
 * The handbook's steps whose words begin as typed, a number put in where one was typed: "simmer 20" is simmering 20 min.
 *
 * @param most how many at most
 */
export function stepsNamed(typed: string, most = 4): NamedStep[] {
  const words = typed.toLowerCase().match(/[a-z\u00c0-\u024f]+/g) ?? [];
  if (words.length === 0) return [];
  const number = /\d+/.exec(typed)?.[0];
  const found = allStepRows().flatMap((row): (NamedStep & { readonly at: number })[] => {
    const said = row.words.toLowerCase();
    if (OF_THE_CANNER.includes(row.step) || !words.every((word) => said.includes(word.slice(0, 6)))) return [];
    const entry = row.step.includes('N')
      ? number === undefined
        ? undefined
        : row.step.replace('N', number)
      : row.step;
    if (entry === undefined || !isStep(entry)) return [];
    return [{ entry, words: stepOf(entry).plainWords, at: said.startsWith(words[0] ?? '') ? 0 : 1 }];
  });
  return found
    .sort((a, b) => a.at - b.at || a.words.length - b.words.length)
    .slice(0, most)
    .map(({ entry, words: said }) => ({ entry, words: said }));
}
