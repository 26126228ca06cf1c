import { type DayProblem, type DayTask, type ScheduledTask } from '../day/dayProblem';
import { drawsFrom } from '../math/draws';
import { drawLuck } from './dayLuck';
import { type DayGround, groundOf } from './dayGround';
import { type DayLuck, DayWorld } from './dayWorld';

export interface Replay {
  /** Minutes after its start by which the day is over in nine of ten. */
  readonly lateMin: number;
  /** The step that most often made it late, and in what part of the days that were later than planned. */
  readonly latest?: { readonly taskId: string; readonly part: number };
}

/** A day is replayed so often. */
export const REPLAYS = 1_000;

/**
 * Runs a planned day many times with the luck of other days: the steps are begun in the plan's order, each as soon as all is there
 * for it, by a cook who works on a little past the hours.
 *
 * @param seed the same seed gives the same answer
 */
export function replayDay(
  problem: DayProblem,
  plan: readonly ScheduledTask[],
  seed: number,
  replays = REPLAYS,
): Replay {
  const ground = groundOf(problem, plan);
  const draws = drawsFrom(seed);
  const planned = Math.max(0, ...plan.map(({ task, endMin }) => (task.uncounted ? 0 : endMin)));
  const blamed = new Map<string, number>();
  let late = 0;
  const ends: number[] = [];
  for (let k = 0; k < replays; k++) {
    const luck = drawLuck(ground.tasks, draws);
    const world = liveThrough(ground, luck);
    const [end, last] = endOf(world);
    ends.push(end);
    if (end <= planned || end === Infinity) continue;
    late += 1;
    const id = blame(world, luck, last);
    if (id !== undefined) blamed.set(id, (blamed.get(id) ?? 0) + 1);
  }
  ends.sort((a, b) => a - b);
  const worst = [...blamed].sort(([, a], [, b]) => b - a)[0];
  return {
    lateMin: Math.ceil(ends[Math.ceil(0.9 * replays) - 1] ?? 0),
    ...(worst && { latest: { taskId: worst[0], part: worst[1] / late } }),
  };
}

/** Lives a day to its end by a cook who begins whatever can be begun, in the plan's order. */
export function liveThrough(ground: DayGround, luck: DayLuck): DayWorld {
  const world = new DayWorld(ground, luck);
  for (;;) {
    world.settle();
    for (let task = world.nextToBegin(); task !== undefined; task = world.nextToBegin()) world.begin(task);
    const next = world.next();
    if (next === Infinity) return world;
    world.now = Math.max(next, world.now);
  }
}

function endOf({ ended, ground }: DayWorld): [end: number, last: number] {
  let [end, last] = [0, -1];
  ended.forEach((at, task) => {
    if ((ground.tasks[task] as DayTask).uncounted || at <= end) return;
    end = at;
    last = task;
  });
  return [end, last];
}

/** Of the chain of steps that the day ended by, the one that took most beyond what is likely. */
function blame({ cause, ground, began, ended }: DayWorld, { forgotten }: DayLuck, last: number): string | undefined {
  let [worst, most] = [undefined as string | undefined, 0];
  for (let [task, steps] = [last, 0]; task >= 0 && steps < cause.length; task = cause[task] as number, steps++) {
    const { id, minutes } = ground.tasks[task] as DayTask;
    const over = (ended[task] as number) - (began[task] as number) - minutes.p50 + (forgotten[task] as number);
    if (over > most) [worst, most] = [id, over];
  }
  return worst;
}
