import { closedTimesOf, holesOf } from './forbiddenStarts';
import { type CompiledLag, type CompiledProblem } from './compiledProblem';

/**
 * A problem with all its decisions made: modes are the tasks' own minutes and needs, what is absent takes no time and holds
 * nothing, and only the lags that hold are left.
 *
 * @param holds whether decision k holds
 */
export function chosen(problem: CompiledProblem, holds: readonly boolean[]): CompiledProblem {
  const isTrue = (literal: number) => literal === 0 || holds[Math.abs(literal) - 1] === literal > 0;
  const isThere = problem.presence.map(isTrue);
  const minutes = problem.minutes.map((least, i) => {
    if (!isThere[i]) return 0;
    return problem.modes[i]?.find(({ when }) => isTrue(when))?.minutes ?? least;
  });
  const resources = problem.resources.map((resource) => ({
    ...resource,
    users: resource.users.filter(({ when }) => isTrue(when)).map((user) => ({ ...user, when: 0 })),
  }));
  const latest = problem.latest.map((at, i) => {
    const longer = minutes[i] - problem.minutes[i];
    return Math.min(at - longer, isThere[i] ? problem.dues[i] - minutes[i] : Infinity);
  });
  const lags = problem.lags.filter(({ when }) => isTrue(when)).map((lag): CompiledLag => ({ ...lag, when: 0 }));
  const closed = closedTimesOf(minutes.length, resources);
  return {
    ...problem,
    ...{ minutes, resources, lags, latest },
    presence: problem.presence.map(() => 0),
    modes: problem.modes.map(() => []),
    holes: closed.map((own, i) => (isThere[i] ? holesOf(own, minutes[i]) : [])),
  };
}
