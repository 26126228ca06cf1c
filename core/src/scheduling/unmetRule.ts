import { startSearch } from './searchSchedule';
import { type RuleNotMet, type ScheduleProblem, type SearchTask } from './scheduleProblem';

/** Nodes that each try without a rule may take; undecided counts as "might go". */
const NODES_A_TRY = 400;
/** More rules than this are not tried one by one. */
const MOST_TRIES = 400;

/**
 * Which rules stand against each other in a problem that no schedule can meet: rules are left out one by one, and those
 * without which it would go are named. Deletion filter, Chinneck and Dravnieks 1991.
 *
 * @param problem one that is proven to be impossible
 * @param onTry called before each try, so that whoever waits can be told that it goes on
 */
export function unmetRule(problem: ScheduleProblem, onTry: () => void = () => {}): RuleNotMet {
  let kept: Rule[] = rulesOf(problem);
  if (kept.length > MOST_TRIES) return sentenceOf(problem, kept.slice(0, 1));
  for (const rule of [...kept]) {
    onTry();
    const without = kept.filter((other) => other !== rule);
    if (isImpossible(withRules(problem, without))) kept = without;
  }
  return sentenceOf(problem, kept);
}

type Rule =
  | { readonly kind: 'due'; readonly task: string; readonly due: number }
  | { readonly kind: 'maxLag'; readonly task: string; readonly after: string; readonly maxLag: number }
  | { readonly kind: 'closed'; readonly resource: string; readonly from: number; readonly to: number };

function rulesOf({ tasks, resources }: ScheduleProblem): Rule[] {
  return [
    ...resources.flatMap(({ id, closed = [] }) =>
      closed.map(([from, to]): Rule => ({ kind: 'closed', resource: id, from, to })),
    ),
    ...tasks.flatMap(({ id, after = [] }) =>
      after.flatMap(({ task, maxLag }): Rule[] =>
        maxLag === undefined ? [] : [{ kind: 'maxLag', task: id, after: task, maxLag }],
      ),
    ),
    ...tasks.flatMap(({ id, due }): Rule[] => (due === undefined ? [] : [{ kind: 'due', task: id, due }])),
  ];
}

/** The problem with only these of its due times, longest lags and closed times. */
function withRules({ tasks, resources, clauses }: ScheduleProblem, rules: readonly Rule[]): ScheduleProblem {
  const dues = new Set(rules.flatMap((rule) => (rule.kind === 'due' ? [rule.task] : [])));
  const lags = new Set(rules.flatMap((rule) => (rule.kind === 'maxLag' ? [`${rule.after}\n${rule.task}`] : [])));
  const closed = new Set(
    rules.flatMap((rule) => (rule.kind === 'closed' ? [`${rule.resource}\n${rule.from}\n${rule.to}`] : [])),
  );
  return {
    ...(clauses && { clauses }),
    resources: resources.map((resource) => ({
      ...resource,
      closed: (resource.closed ?? []).filter(([from, to]) => closed.has(`${resource.id}\n${from}\n${to}`)),
    })),
    tasks: tasks.map(({ due, after = [], ...task }): SearchTask => ({
      ...task,
      ...(due !== undefined && dues.has(task.id) && { due }),
      after: after.map(({ maxLag, ...lag }) => ({
        ...lag,
        ...(maxLag !== undefined && lags.has(`${lag.task}\n${task.id}`) && { maxLag }),
      })),
    })),
  };
}

function isImpossible(problem: ScheduleProblem): boolean {
  const search = startSearch(problem);
  if (search.kind === 'ruleNotMet') return true;
  for (let spent = -1; !search.state.tasks && !search.state.impossible && search.state.nodes < NODES_A_TRY;) {
    if (search.state.nodes === spent) break;
    spent = search.state.nodes;
    search.step(NODES_A_TRY / 4);
  }
  return search.state.impossible;
}

function sentenceOf(problem: ScheduleProblem, rules: readonly Rule[]): RuleNotMet {
  const words = rules.map((rule) => {
    switch (rule.kind) {
      case 'due':
        return `${quote(rule.task)} over by ${rule.due} min`;
      case 'maxLag':
        return `${quote(rule.task)} at most ${rule.maxLag} min after ${quote(rule.after)}`;
      case 'closed':
        return `${quote(rule.resource)} closed from ${rule.from} to ${rule.to} min`;
    }
  });
  const tasks = rules.flatMap((rule) => (rule.kind === 'closed' ? [] : [rule.task]));
  if (words.length === 0) {
    return {
      kind: 'ruleNotMet',
      sentence: 'No schedule keeps all of these rules.',
      tasks: problem.tasks.map(({ id }) => id),
    };
  }
  const sentence =
    words.length === 1 ? `This cannot be kept: ${words[0]}.` : `These cannot all be kept: ${words.join('; ')}.`;
  return { kind: 'ruleNotMet', sentence, tasks };
}

function quote(id: string): string {
  return JSON.stringify(id);
}
