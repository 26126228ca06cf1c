import { type DayTask } from '../day/dayProblem';

/**
 * What of a step the tested process is built on: its heat, acid or sterile jars, or a soak that its formula needs. Neither is cut
 * short nor passed over.
 */
export type TestedPart = 'heat' | 'soak';

/** Food goes into hot jars hot, acid into each of them. Handbook rules 2 and 3; the cards' own steps. */
const HEAT =
  /^(?:boil-(?!brine|to-set|30-peel)|full-boil|combine-boil|crush-heat|cook-soft|simmer|reheat|heat-(?!up)|acid|add-lemon|add-vinegar|hot-brine|sterile)/;

/** What a pickle is firmed, salted or soured by. The cards' own steps. */
const SOAK = /(?:^|-)(?:soak|salt|lime|ferment|marinate)(?:-|$)/;

/** Hot food, boiled jars and acid in the jar count so long and no longer. Handbook rule 4 for jars; for the rest common practice. */
export const HEAT_HOLDS_MIN = 60;

/** @returns undefined for a step that may be left early by whoever is asked: a drip, a night of settling */
export function testedPart({ entry, step = '' }: Pick<DayTask, 'entry' | 'step'>): TestedPart | undefined {
  const name = entry ?? step;
  if (HEAT.test(name)) return 'heat';
  return SOAK.test(name) ? 'soak' : undefined;
}
