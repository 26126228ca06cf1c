import { type Canner } from '../canner/canner';
import { cannerResource, type DayProblem } from './dayProblem';
import { type RuleNotMet } from '../scheduling/scheduleProblem';

/** A rule of the search as the cook reads it: steps and canners by their words instead of their ids. */
export function inWords(unmet: RuleNotMet, { tasks, resources }: DayProblem, canners: readonly Canner[]): RuleNotMet {
  const names = [
    ...tasks.map(({ id, words }) => [id, words] as const),
    ...canners.map(({ id, name }) => [cannerResource(id), name] as const),
    ...resources.flatMap(({ id }) => (id.startsWith('apart ') ? [[id, 'Not both at once'] as const] : [])),
  ];
  const sentence = names.reduce(
    (text, [id, words]) => text.replaceAll(JSON.stringify(id), `“${words}”`),
    unmet.sentence,
  );
  return { ...unmet, sentence };
}
