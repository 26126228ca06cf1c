import { type RuleNotMet } from './scheduleProblem';

/** A rule that no schedule can keep, and the tasks it is about. */
export function notMet(sentence: string, tasks: readonly string[]): RuleNotMet {
  return { kind: 'ruleNotMet', sentence, tasks };
}

/** The name of a task or a resource as it stands in a sentence. */
export function quote(id: string): string {
  return JSON.stringify(id);
}
