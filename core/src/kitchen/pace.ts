import { type Batch } from '../day/batch';
import { type DayKitchen } from '../day/dayKitchen';
import { dayOf } from '../day/dayOf';
import { isPortionLag } from '../day/portions';
import { needsHands } from '../day/restOfDay';
import { P90_SIGMAS } from '../math/range';
import { type DayState } from './dayState';

const MINUTE_MS = 60_000;

/** One step as it was really done: against the minutes the handbook gives it. */
export interface PaceSeen {
  readonly step: string;
  readonly usualMin: number;
  readonly tookMin: number;
  /** Of produce, where the step is done by the pound. */
  readonly pounds: number;
  readonly at: number;
}

/** What is known of a household's pace at one step. */
export interface Pace {
  readonly step: string;
  /** Minutes against the handbook's: 1.2 is a fifth slower. */
  readonly factor: number;
  readonly times: number;
  /** As seen, in minutes a pound. */
  readonly minPerLb?: number;
  readonly usualMinPerLb?: number;
}

/** Longer than this against the handbook and somebody forgot to tap, or was called away. */
const MOST_TIMES = 4;
/** Shorter, and it was ticked off afterwards. */
const LEAST_TIMES = 1 / 4;

/** How far apart kitchens are at one step: the handbook's own ranges are about two to one. On the log scale. */
const KITCHEN_SIGMA = Math.log(1.5) / P90_SIGMAS;
/** How far apart one kitchen's own days are. Common practice. On the log scale. */
const DAY_SIGMA = Math.log(1.3) / P90_SIGMAS;
/** Part of a kitchen's pace that goes for all its steps. Common practice. */
const SHARED_PART = 0.5;

/** What the steps of a day took, where both their start and their end were told. */
export function pacesSeen(
  batches: readonly Batch[],
  kitchen: Pick<DayKitchen, 'canners' | 'setup' | 'ownJars'>,
  day: DayState,
): PaceSeen[] {
  // Against the handbook itself, whatever was thought of the pace that day.
  const setup = { ...kitchen.setup, handsPace: 1 };
  const known = batches.filter((batch) => kitchen.canners.some(({ id }) => id === batch.cannerId));
  const stays = new Map(known.flatMap(({ cannerId, loads }) => loads.map(({ id }) => [id, cannerId] as const)));
  const { tasks } = dayOf(known, { ...kitchen, setup, startMinute: 0, cannerOf: stays });
  return tasks.flatMap((task): PaceSeen[] => {
    const { startedAt, doneAt } = day.steps.get(task.id) ?? {};
    if (task.step === undefined || startedAt === undefined || doneAt === undefined || !needsHands(task)) return [];
    // Fed while it went on, it may have waited for food: what it took says nothing of its hands.
    const feeding = task.after.filter(isPortionLag).map((lag) => day.steps.get(lag.task));
    if (feeding.some((step) => step !== undefined && (step.doneAt ?? Infinity) > startedAt)) return [];
    const tookMin = (doneAt - startedAt) / MINUTE_MS;
    const usualMin = task.minutes.p50;
    const times = tookMin / usualMin;
    if (!(times >= LEAST_TIMES && times <= MOST_TIMES)) return [];
    return [{ step: task.step, usualMin, tookMin, pounds: task.pounds ?? 0, at: doneAt }];
  });
}

/**
 * The household's pace at each step it has timed, and at all others by what those have in common.
 *
 * A step's factor is drawn towards the kitchen's general pace, and that towards `prior`, as far as few times were seen:
 * normal on the log scale with known spreads, so a mean weighted by their squares. Learns most from the first few times.
 *
 * @param prior what the household says of itself; 1 is the handbook's pace
 */
export function pacesLearned(seen: readonly PaceSeen[], prior = 1): { readonly general: number; readonly of: Pace[] } {
  const bySteps = new Map<string, PaceSeen[]>();
  for (const one of seen) bySteps.set(one.step, [...(bySteps.get(one.step) ?? []), one]);
  const ownVar = KITCHEN_SIGMA ** 2 * (1 - SHARED_PART);
  const sharedVar = KITCHEN_SIGMA ** 2 * SHARED_PART;
  const means = [...bySteps].map(([step, times]) => {
    const logs = times.map(({ tookMin, usualMin }) => Math.log(tookMin / usualMin));
    return { step, times, mean: logs.reduce((sum, each) => sum + each, 0) / logs.length };
  });
  const logPrior = Math.log(prior);
  // Each step tells of the general pace with its own spread and that of its days.
  const weights = means.map(({ times }) => 1 / (ownVar + DAY_SIGMA ** 2 / times.length));
  const weightSum = weights.reduce((sum, each) => sum + each, 1 / sharedVar);
  const general =
    means.reduce((sum, { mean }, i) => sum + mean * (weights[i] as number), logPrior / sharedVar) / weightSum;
  return {
    general: Math.exp(general),
    of: means.map(({ step, times, mean }): Pace => {
      const ownWeight = times.length / DAY_SIGMA ** 2;
      const factor = Math.exp((mean * ownWeight + general / ownVar) / (ownWeight + 1 / ownVar));
      const pounds = times.reduce((sum, each) => sum + each.pounds, 0);
      if (pounds === 0) return { step, factor, times: times.length };
      const took = times.reduce((sum, { tookMin }) => sum + tookMin, 0);
      const usual = times.reduce((sum, { usualMin }) => sum + usualMin, 0);
      return { step, factor, times: times.length, minPerLb: took / pounds, usualMinPerLb: usual / pounds };
    }),
  };
}
