import { coolDown, type HeatUpQuestion, loadingF, wantsCoolWater } from '../canner/heatUp';
import { ML_PER_QUART } from '../measure/amount';
import { degreesWords } from '../measure/degreesWords';
import { startAfter } from '../scheduling/lagBounds';
import { cannerResource, type DayTask, HANDS } from './dayProblem';
import { type Range } from '../math/range';
import { type KitchenSetup } from './kitchenSetup';
import { type LoadOfBatch } from './sharedLoad';

/** A load with what its canner is asked. */
interface LoadAsked extends LoadOfBatch {
  readonly question: HeatUpQuestion;
}

/** Whoever cools the water: minutes against the usual ones, and the units it is told in. */
interface Hands extends Pick<KitchenSetup, 'units'> {
  readonly pace: number;
}

/** What the pace of cooling a canner down is learned by. */
export const COOL_WATER_STEP = 'cool-water';
/**
 * Jars go in at once when the water is right: the hot metal warms it again. Shorter than lifting out, so that no other jars are
 * in or come out between the two.
 */
export const COOLED_HOLD_MIN = 3;

/**
 * Raw jars never go into a canner that has boiled that day: cold water brings it down before them, hot water out first. Where all of a
 * canner's jars are raw the first of its loads needs none, since its water is heated no further; the load that can be ready
 * first is that one.
 */
export function withCooling(
  tasks: readonly DayTask[],
  { id: cannerId, water }: { readonly id: string; readonly water: string },
  loads: readonly LoadAsked[],
  hands: Hands,
): DayTask[] {
  const raw = loads.filter(({ question }) => wantsCoolWater(question));
  if (loads.length < 2 || raw.length === 0) return [...tasks];
  const first = raw.length === loads.length ? soonest(raw, tasks) : undefined;
  const cooled = raw
    .filter((load) => load !== first)
    .map((load) => coolTask(load, first ? `unload ${first.load.id}` : water, cannerId, hands));
  const before = new Map(cooled.map((task) => [`load ${task.loadId}`, task]));
  return tasks.flatMap((task) => {
    const cool = before.get(task.id);
    if (!cool) return [task];
    return [cool, { ...task, after: [...task.after, { task: cool.id, maxLag: COOLED_HOLD_MIN }] }];
  });
}

/** Whole minutes in which a canner is brought down, at a cook's pace. */
export function coolMinutes(question: HeatUpQuestion, pace: number): Range {
  const { p10, p50, p90 } = coolDown(question).minutes;
  return { p10: p10 * pace, p50: Math.max(1, Math.round(p50 * pace)), p90: p90 * pace };
}

function coolTask(
  { batch, load, question }: LoadAsked,
  after: string,
  cannerId: string,
  { pace, units = 'us' }: Hands,
): DayTask {
  const { litres } = coolDown(question);
  const amount = units === 'metric' ? litres : (litres * 1_000) / ML_PER_QUART;
  const out = `${Math.max(1, Math.round(amount))} ${units === 'metric' ? 'l' : 'qt'}`;
  return {
    id: `cool-water ${load.id}`,
    kind: 'cool-water',
    step: COOL_WATER_STEP,
    words: `Cool the water to ${degreesWords(loadingF(question), units)}: ${out} out, as much cold in`,
    minutes: coolMinutes(question, pace),
    needs: { [cannerResource(cannerId)]: 1, [HANDS]: 1 },
    after: [{ task: after }],
    batchId: batch.id,
    loadId: load.id,
    cannerId,
  };
}

/** The load whose jars can be ready before those of the others, with nothing in its way. */
function soonest(loads: readonly LoadAsked[], tasks: readonly DayTask[]): LoadAsked | undefined {
  const ready = readyAt(tasks);
  const at = loads.map(({ load }) => ready(load.id));
  return loads[at.indexOf(Math.min(...at))];
}

/** When the jars of a load can be ready with nothing in their way, whichever canner is heated for them; by load id. */
export function readyAt(tasks: readonly DayTask[]): (loadId: string) => number {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const known = new Map<string, number>();
  const startOf = (id: string): number => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const ends = (byId.get(id)?.after ?? []).flatMap((lag) => {
      const own = byId.get(lag.task);
      if (!own || ['preheat', 'cool-water', 'unload'].includes(own.kind)) return [];
      const startMin = startOf(lag.task);
      const before = { startMin, endMin: startMin + own.minutes.p50 };
      return [startAfter(lag, before, byId.get(id)?.minutes.p50 ?? 0).earliestMin];
    });
    const start = Math.max(byId.get(id)?.releaseMin ?? 0, ...ends);
    known.set(id, start);
    return start;
  };
  return (loadId) => startOf(`load ${loadId}`);
}
