import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type DayProblem, type ScheduledTask, scheduleProblemOf } from '../../src/day/dayProblem';
import { planDay } from '../../src/day/planDay';
import { type DayQuestion, problemOf } from '../../src/day/questionOfDay';
import { needsHands } from '../../src/day/restOfDay';
import { serialScheduleGeneration } from '../../src/scheduling/serialScheduleGeneration';
import { compileProblem } from '../../src/scheduling/compileProblem';
import { type DayEvent } from '../../src/kitchen/dayEvent';
import { type Day, dayAsked, dayInHand } from '../../src/kitchen/dayInHand';
import { dayState } from '../../src/kitchen/dayState';
import { type KitchenEvent } from '../../src/kitchen/kitchenEvent';
import { loadOrder } from '../../src/kitchen/loadOrder';
import { loadsNow } from '../../src/kitchen/loadsNow';
import { loadState } from '../../src/kitchen/loadState';
import { progressOf } from '../../src/kitchen/progressOf';

const MIN = 60_000;

/** A day as somebody lives it: planned, then done in that order with minutes of its own, told tap by tap. */
export interface LiveDay {
  readonly question: DayQuestion;
  readonly order: ReadonlyMap<string, number>;
  readonly cannerOf: ReadonlyMap<string, string>;
  readonly whole: DayProblem;
  /** When each task really began and ended, minutes from the start. */
  readonly real: ReadonlyMap<string, { readonly start: number; readonly end: number }>;
  readonly dayEvents: readonly DayEvent[];
  readonly events: readonly KitchenEvent[];
}

/**
 * @param tellSteps part of the steps of hands that are tapped at all; loads always are
 * @param nodes spent on the plan
 */
export function liveDay(question: DayQuestion, seed: number, { tellSteps = 1, nodes = 400 } = {}): LiveDay | undefined {
  const planner = planDay(question);
  if (planner.kind === 'refusal') return undefined;
  const { plan } = planner.step(nodes);
  if (!plan) return undefined;
  const random = xoroshiro128plus(seed);
  const draw = () => uniformFloat64(random);
  const whole = problemOf(question, plan.cannerOf);
  const order = new Map(plan.tasks.map(({ task, startMin }) => [task.id, startMin]));
  const took = new Map(
    whole.tasks.map((task) => {
      const slow = needsHands(task) || task.kind === 'heat-up' ? 0.7 + 0.9 * draw() : 1;
      return [task.id, Math.max(1, Math.round(task.minutes.p50 * slow))] as const;
    }),
  );
  // Whatever pause is too long at that pace: people go on all the same.
  const free = {
    ...whole,
    tasks: whole.tasks.map(({ dueMin: _, ...task }) => ({
      ...task,
      after: task.after.map(({ maxLag, ...lag }) => (maxLag === 0 ? { ...lag, maxLag } : lag)),
    })),
  };
  const read = compileProblem(scheduleProblemOf(free, ({ id }) => took.get(id) ?? 1));
  const starts =
    'kind' in read
      ? undefined
      : serialScheduleGeneration(
          read,
          free.tasks.map(({ id }) => order.get(id) ?? 0),
        );
  if ('kind' in read || !starts) return undefined;
  const real = new Map(
    free.tasks.map(({ id }, i) => {
      const start = (starts[i] as number) / read.scale;
      return [id, { start, end: start + (took.get(id) ?? 1) }] as const;
    }),
  );
  const dayEvents: DayEvent[] = [];
  const events: KitchenEvent[] = [];
  for (const task of whole.tasks) {
    const { start, end } = real.get(task.id) ?? { start: 0, end: 0 };
    const id = `e ${task.id}`;
    const loadId = task.loadId ?? '';
    if (task.cannerId === undefined || task.kind === 'preheat') {
      if (draw() >= tellSteps) continue;
      dayEvents.push({ id: `${id} s`, day: 'd', at: start * MIN, type: 'step-started', taskId: task.id });
      dayEvents.push({ id: `${id} d`, day: 'd', at: end * MIN, type: 'step-done', taskId: task.id });
    } else if (task.kind === 'load') {
      const jars = question.batches.flatMap(({ loads }) => loads).find((load) => load.id === loadId)?.jars ?? 1;
      events.push({ id, loadId, at: end * MIN, type: 'load-started', jars, cannerId: task.cannerId });
    } else if (task.kind === 'process') {
      events.push({ id: `${id} b`, loadId, at: start * MIN, type: 'boil-reached', sure: true });
      events.push({ id: `${id} o`, loadId, at: end * MIN, type: 'heat-off' });
    } else if (task.kind === 'unload') events.push({ id, loadId, at: end * MIN, type: 'jars-out' });
  }
  return { question, order, cannerOf: plan.cannerOf, whole, real, dayEvents, events };
}

/** The day as it stands at a minute, from what was told until then and from what more is told. */
export function dayAt(live: LiveDay, minute: number, more: readonly DayEvent[] = []): Day {
  const { question, order, cannerOf, whole, dayEvents, events } = live;
  const now = minute * MIN;
  const state = dayState([...dayEvents, ...more].filter(({ at }) => at <= now));
  const stands = loadsNow(
    question.batches,
    events.filter(({ at }) => at <= now),
  );
  const states = new Map(stands.map(({ load, state: stood }) => [load.id, stood]));
  const orders = new Map(stands.map(({ load, order: asked }) => [load.id, asked]));
  const asked = dayAsked(question.batches, question, state, { states, orders }, 'UTC');
  if (!asked) throw new RangeError('a day has a batch');
  const tasks = whole.tasks.map((task): ScheduledTask => {
    const startMin = order.get(task.id) ?? 0;
    return { task, startMin, endMin: startMin + task.minutes.p50 };
  });
  const makespanMin = Math.max(...tasks.map(({ endMin }) => endMin));
  const plan = { tasks, makespanMin, lateMin: 1.1 * makespanMin, cannerOf: Object.fromEntries(cannerOf) };
  return dayInHand(asked, plan, now);
}

/** The question of what is left at a minute, from what was told until then. */
export function restAt({ question, cannerOf, whole, dayEvents, events }: LiveDay, minute: number) {
  const now = minute * MIN;
  const day = dayState(dayEvents.filter(({ at }) => at <= now));
  const told = events.filter(({ at }) => at <= now);
  const loads = new Map(
    question.batches.flatMap((batch) =>
      batch.loads.map((load) => {
        const order = loadOrder(batch, load, question.batches);
        const state = loadState(
          order,
          told.filter(({ loadId }) => loadId === load.id),
        );
        return [load.id, { order, state, cannerId: state.cannerId ?? cannerOf.get(load.id) ?? '' }] as const;
      }),
    ),
  );
  const running = { tasks: whole.tasks, day, loads, startAt: 0 };
  return { running, progress: progressOf(running, now), day, loads };
}
