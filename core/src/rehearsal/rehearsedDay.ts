import { type DayTask } from '../day/dayProblem';
import { needsHands } from '../day/restOfDay';
import { boilRuns } from '../kitchen/boilRuns';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { type LoadInDay, progressOf, type RunningDay } from '../kitchen/progressOf';
import { drawsFrom, drawsOf } from '../math/draws';
import { drawLuck } from '../replay/dayLuck';
import { drawMishaps, type Mishap, type MishapKind } from './mishap';
import { boilsAt, potTruth, type PotTruth } from './potTruth';

const MINUTE_MS = 60_000;

/** What somebody who stands in the kitchen sees or hears. */
export type Sight =
  | { readonly kind: 'step-finished'; readonly taskId: string; readonly since: number }
  | { readonly kind: 'boils' | 'simmers' | 'stopped'; readonly loadId: string; readonly since: number }
  | { readonly kind: 'mishap'; readonly mishap: Mishap; readonly since: number };

export interface DaySeen {
  readonly running: RunningDay;
  readonly events: readonly KitchenEvent[];
  readonly now: number;
}

/** How far off a pot is heard to sing before it boils. */
const SIMMERS_MS = 4 * MINUTE_MS;

/**
 * The kitchen of a rehearsal: how long each step takes in it by the luck of its seed, when its pots boil, and what goes wrong. It
 * knows nothing of what is told; who rehearses looks at it, and tells the kitchen's own fold as in earnest.
 */
export class RehearsedDay {
  readonly mishaps: readonly Mishap[];
  private readonly minutes = new Map<string, number>();

  constructor(
    tasks: readonly DayTask[],
    loadIds: readonly string[],
    private readonly seed: number,
    asked: readonly MishapKind[] | 'chance',
  ) {
    this.learn(tasks);
    const likely = tasks.reduce((sum, task) => sum + (needsHands(task) ? task.minutes.p50 : 0), 0);
    this.mishaps = drawMishaps(asked, { loadIds, minutes: Math.max(60, likely) }, drawsFrom(seed + 1));
  }

  /** Minutes that a step takes, as chance has it. Steps that come up later have their own. */
  minutesOf(task: DayTask): number {
    if (!this.minutes.has(task.id)) this.learn([task]);
    return this.minutes.get(task.id) ?? task.minutes.p50;
  }

  /** What the water over a load does; undefined for one that is not in. */
  potOf(loadId: string, { running, events }: DaySeen): PotTruth | undefined {
    const load = running.loads.get(loadId);
    const heatUp = running.tasks.find((task) => task.kind === 'heat-up' && task.loadId === loadId);
    if (!load) return undefined;
    const own = events.filter((event) => event.loadId === loadId);
    return potTruth({
      ...{ load, loadId, runs: boilRuns(load.order, own), mishaps: this.mishaps, startAt: running.startAt },
      heatUpMin: heatUp ? this.minutesOf(heatUp) : 20,
    });
  }

  /** What is to be seen now, the oldest first. */
  see(seen: DaySeen): Sight[] {
    const { running, now } = seen;
    const progress = progressOf(running, now);
    const steps = running.tasks.flatMap((task): Sight[] => {
      const own = progress.of.get(task.id);
      const isCanners = task.cannerId !== undefined && task.kind !== 'cool-water';
      if (own?.kind !== 'running' || !needsHands(task) || isCanners) return [];
      const since = running.startAt + (own.startMin + this.minutesOf(task)) * MINUTE_MS;
      return since <= now ? [{ kind: 'step-finished', taskId: task.id, since }] : [];
    });
    const pots = [...running.loads].flatMap(([loadId, load]) => this.potSights(loadId, load, seen));
    return [...steps, ...pots, ...this.mishapSights(seen)].sort((a, b) => a.since - b.since);
  }

  private potSights(loadId: string, { state }: LoadInDay, seen: DaySeen): Sight[] {
    const truth = this.potOf(loadId, seen);
    const { now } = seen;
    if (!truth || !['heating', 'boiling'].includes(state.phase)) return [];
    if (boilsAt(truth, now)) {
      const back = Math.max(truth.boilsFrom, ...truth.stops.map(({ to }) => (to <= now ? to : 0)));
      return [{ kind: 'boils', loadId, since: back }];
    }
    const stop = truth.stops.find(({ from, to }) => now >= from && now < to);
    if (stop) return [{ kind: 'stopped', loadId, since: stop.from }];
    return now >= truth.boilsFrom - SIMMERS_MS
      ? [{ kind: 'simmers', loadId, since: truth.boilsFrom - SIMMERS_MS }]
      : [];
  }

  /** Those that nobody has done anything about yet; a call from the next room is over when it is. */
  private mishapSights(seen: DaySeen): Sight[] {
    const { running, now } = seen;
    return this.mishaps.flatMap((mishap): Sight[] => {
      const since = this.sinceOf(mishap, seen);
      if (since === undefined || since > now) return [];
      const isOver =
        mishap.kind === 'jar-broken'
          ? (running.loads.get(mishap.loadId)?.state.broken ?? 0) > 0
          : mishap.kind === 'gas-out' || mishap.kind === 'child-calls' || mishap.kind === 'power-cut'
            ? now >= since + mishap.minutes * MINUTE_MS
            : false;
      return isOver ? [] : [{ kind: 'mishap', mishap, since }];
    });
  }

  private sinceOf(mishap: Mishap, { running }: DaySeen): number | undefined {
    switch (mishap.kind) {
      case 'child-calls':
      case 'power-cut':
        return running.startAt + mishap.atMin * MINUTE_MS;
      case 'gas-out': {
        const load = running.loads.get(mishap.loadId)?.state;
        const heatUp = running.tasks.find((task) => task.kind === 'heat-up' && task.loadId === mishap.loadId);
        if (load?.phase !== 'heating' || load.startedAt === undefined) return undefined;
        return load.startedAt + mishap.part * (heatUp ? this.minutesOf(heatUp) : 20) * MINUTE_MS;
      }
      case 'jar-broken': {
        const { phase, boilAt } = running.loads.get(mishap.loadId)?.state ?? {};
        // It is found when they are lifted out at the latest.
        return phase === 'resting' || phase === 'cooling' ? boilAt : undefined;
      }
      case 'lids-short': {
        const { phase } = running.loads.get(mishap.loadId)?.state ?? {};
        return phase === 'planned' ? running.startAt : undefined;
      }
      case 'yield-short':
        return running.startAt;
      case 'boil-lost':
        return undefined;
    }
  }

  private learn(tasks: readonly DayTask[]): void {
    // Each step has its own stream, so that one that comes up later changes no other.
    for (const task of tasks) {
      const [minutes = task.minutes.p50] = drawLuck([task], drawsOf(task.id, this.seed)).minutes;
      this.minutes.set(task.id, Math.max(0.5, minutes));
    }
  }
}
