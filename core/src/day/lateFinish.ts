import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { P90_SIGMAS } from '../measure/range';
import { type DayProblem, type DayTask, HANDS, type ScheduledTask, scheduleProblemOf, WATCH } from './dayProblem';
import { needsHands } from './restOfDay';
import { placeInOrder } from '../scheduling/placeInOrder';
import { readProblem } from '../scheduling/readProblem';

/** Part of a task's deviation that the whole day shares: a slow morning is a slow afternoon. Common practice. */
const SHARED_PACE = 0.7;

/** How far cooks are from the handbook's pace, besides what its ranges say. Common practice. On the log scale. */
const COOK_SIGMA = 0.1;

/** Rather than leave jars half done a cook works on so long past the hours; what is left then waits for the morning. */
const WORKS_ON_MIN = 150;
/** Hours shut that long are a night. A shorter time is a break, and is kept. */
const NIGHT_MIN = 240;

/** A step that nobody thought of for a while. Common practice. */
const FORGETS = 0.04;
const FORGOTTEN_MIN = 15;

/**
 * Minutes after its start by which the day is over in nine of ten tries: the steps are done in the plan's order with
 * minutes drawn from each task's range, which is taken for its middle 8 in 10. Tested times and the rest do not vary. Where
 * it gets late the cook works on a little past the hours; what is planned for after a night stays there.
 *
 * @param seed the same seed gives the same answer
 */
export function lateFinishMin(problem: DayProblem, plan: readonly ScheduledTask[], seed: number, tries = 100): number {
  const random = xoroshiro128plus(seed);
  const normal = () => {
    // Box and Muller 1958; 1 - u keeps the logarithm finite.
    const radius = Math.sqrt(-2 * Math.log(1 - uniformFloat64(random)));
    return radius * Math.cos(2 * Math.PI * uniformFloat64(random));
  };
  const startOf = new Map(plan.map(({ task, startMin }) => [task.id, startMin]));
  const order = problem.tasks.map(({ id }) => startOf.get(id) ?? 0);
  const lived = workingOn(problem, startOf);
  const finishes = Array.from({ length: tries }, () => {
    const pace = normal();
    const cook = Math.exp(COOK_SIGMA * normal());
    const drawn = (task: DayTask) => {
      const own = normal();
      const deviation = SHARED_PACE * pace + Math.sqrt(1 - SHARED_PACE ** 2) * own;
      const { p10, p50, p90 } = task.minutes;
      const minutes = Math.max(p50 + ((p90 - p10) / 2 / P90_SIGMAS) * deviation, p10 / 2);
      if (!needsHands(task) || task.kind === 'errand') return Math.round(minutes);
      const forgotten = uniformFloat64(random) < FORGETS ? FORGOTTEN_MIN : 0;
      return Math.round(minutes * cook + forgotten);
    };
    return endInOrder(lived, order, drawn);
  });
  finishes.sort((a, b) => a - b);
  return finishes[Math.ceil(0.9 * tries) - 1] ?? 0;
}

/** The day with the kitchen open a little longer at night, for what was planned before it. */
function workingOn(problem: DayProblem, startOf: ReadonlyMap<string, number>): DayProblem {
  const isNight = ([from, to]: readonly [number, number]) => to - from >= NIGHT_MIN;
  const nights = problem.resources.find(({ id }) => id === HANDS)?.closed?.filter(isNight) ?? [];
  const resources = problem.resources.map((resource) => {
    const { id, closed = [] } = resource;
    if (id !== HANDS && id !== WATCH) return resource;
    const later = closed.map(
      ([from, to]) => [isNight([from, to]) ? Math.min(to, from + WORKS_ON_MIN) : from, to] as const,
    );
    return { ...resource, closed: later };
  });
  const tasks = problem.tasks.map((task) => {
    const start = startOf.get(task.id) ?? 0;
    const morning = Math.max(0, ...nights.filter(([, to]) => to <= start).map(([, to]) => to));
    return morning > (task.releaseMin ?? 0) ? { ...task, releaseMin: morning } : task;
  });
  return { resources, tasks };
}

/** Where some pause becomes too long at that pace, the steps are done all the same, and later. */
function endInOrder(problem: DayProblem, order: readonly number[], minutesOf: (task: DayTask) => number): number {
  for (const asked of [withoutDues(problem), withLongPauses(problem)]) {
    const read = readProblem(scheduleProblemOf(asked, minutesOf));
    const starts = 'kind' in read ? undefined : placeInOrder(read, order);
    if ('kind' in read || !starts) continue;
    const ends = starts.map((at, i) =>
      asked.tasks[i]?.uncounted ? 0 : (at + (read.minutes[i] as number)) / read.scale,
    );
    return Math.max(0, ...ends);
  }
  return Infinity;
}

/** How late it gets is asked, not whether it is in time. */
function withoutDues(problem: DayProblem): DayProblem {
  return { ...problem, tasks: problem.tasks.map(({ dueMin: _, ...task }) => task) };
}

function withLongPauses(problem: DayProblem): DayProblem {
  const tasks = withoutDues(problem).tasks.map((task) => ({
    ...task,
    after: task.after.map(({ maxLag, ...lag }) => (maxLag === 0 ? { ...lag, maxLag } : lag)),
  }));
  return { ...problem, tasks };
}
