import { ableCanners } from './ableCanners';
import { dayModel } from './dayModel';
import { type ScheduledTask } from './dayProblem';
import { type DayQuestion, problemOf } from './questionOfDay';
import { type Why, whyThen } from './whyThen';
import { loadTask } from './wish';
import { startSearch } from '../scheduling/searchSchedule';

/** Nodes in which a time is looked for. */
const MOST_NODES = 400;

/** When a load can go in, and what it waits for until then. */
export interface Soonest {
  /** Minute of the plan. */
  readonly atMin: number;
  readonly why: Why;
}

/**
 * When a load can go in at the soonest from a minute of the plan on, whatever that does to the end of the day: nothing else counts in
 * that search, and every rule and every other wish holds. What is pinned of this load is left aside.
 *
 * @returns undefined where no time was found
 */
export function soonestIn(question: DayQuestion, loadId: string, fromMin: number): Soonest | undefined {
  const wishes = (question.wishes ?? []).filter((wish) => wish.kind !== 'pin' || wish.loadId !== loadId);
  const asked = { ...question, wishes };
  const able = ableCanners(asked);
  if ([...able.values()].some((ids) => ids.length === 0)) return undefined;
  const nowMin = question.progress?.nowMin ?? 0;
  const id = loadTask(loadId);
  for (const isTied of [true, false]) {
    const model = dayModel(asked, able, { isTied });
    const tasks = model.problem.tasks.map((task) =>
      task.id === id
        ? { ...task, release: Math.max(task.release ?? 0, fromMin - nowMin) }
        : { ...task, uncounted: true as const },
    );
    const search = startSearch({ ...model.problem, tasks }, { seed: question.seed });
    if (search.kind === 'ruleNotMet') continue;
    const { tasks: placed, decisions = new Map<string, boolean>() } = search.step(MOST_NODES);
    if (!placed) continue;
    const problem = problemOf(asked, model.cannerOf(decisions));
    const at = new Map(placed.map((entry) => [entry.id, entry]));
    const plan = problem.tasks.flatMap((task): ScheduledTask[] => {
      const own = at.get(task.id);
      return own ? [{ task, startMin: own.start, endMin: own.end }] : [];
    });
    const own = plan.find(({ task }) => task.id === id);
    if (own) return { atMin: nowMin + own.startMin, why: whyThen(problem, plan, own) };
  }
  return undefined;
}
