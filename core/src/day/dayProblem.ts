import { type Range } from '../math/range';
import { type Lag, type ScheduleProblem, type SearchResource } from '../scheduling/scheduleProblem';

export type TaskKind =
  | 'ready-jars'
  | 'preheat'
  /** A canner that has boiled is brought down with cold water before raw jars go in. */
  | 'cool-water'
  | 'prepare'
  | 'fill'
  | 'load'
  | 'heat-up'
  | 'process'
  | 'rest'
  | 'unload'
  /** Of what is kept cold: on the counter, then into the refrigerator or the freezer. */
  | 'cool'
  | 'store'
  /** No part of preserving: somebody has something else to do. */
  | 'errand';

export const HANDS = 'hands';
/** Somebody up and in the house: nothing boils, simmers or is processed without. */
export const WATCH = 'watch';
/** All the watching that one who stays at home can do: more pots than anybody has. */
export const ANYBODY = 1_000;
export const BURNERS = 'burners';
/** Burners that can carry a canner. */
export const CANNER_BURNERS = 'canner burners';

/** The id of a canner as a resource of the day. */
export function cannerResource(cannerId: string): string {
  return `canner ${cannerId}`;
}

/** Whether a resource is a canner; burners that carry one are not. */
export function isCannerResource(id: string): boolean {
  return id.startsWith('canner ') && id !== CANNER_BURNERS;
}

/** The id of one cook's own hands, for what nobody else can do. */
export function ownHands(cook: string): string {
  return `hands of ${cook}`;
}

/** The id of a tool the household named. */
export function toolResource(name: string): string {
  return `tool ${name}`;
}

export interface DayTask {
  readonly id: string;
  readonly kind: TaskKind;
  readonly words: string;
  readonly minutes: Range;
  /** Amount of each resource held from start to end. */
  readonly needs: Readonly<Record<string, number>>;
  /** What must have ended before, and how long before at least and at most. */
  readonly after: readonly Lag[];
  /** Started as late as what follows allows (heating the canner), instead of as early as can be. */
  readonly late?: boolean;
  /** How the food is held until the next step: "hot", "refrigerated", "2 h cut". */
  readonly holding?: string;
  /** The step of the handbook it is, where it is one: what a household's pace is learned by. */
  readonly step?: string;
  /** The step as its card names it: `simmer-20` where `step` is `simmer-N`. */
  readonly entry?: string;
  /** Of produce, where it is done by the pound. */
  readonly pounds?: number;
  /** Not before this minute. */
  readonly releaseMin?: number;
  /** Over by this minute, so that produce is saved. */
  readonly dueMin?: number;
  readonly batchId?: string;
  readonly loadId?: string;
  readonly cannerId?: string;
  /** Whose hands it takes, where no others will do. */
  readonly cook?: string;
  /** The day is over without it too. */
  readonly uncounted?: true;
}

/** When the last step that counts is over; 0 where there is none. */
export function endOfDay(tasks: readonly ScheduledTask[]): number {
  return Math.max(0, ...tasks.map(({ task, endMin }) => (task.uncounted ? 0 : endMin)));
}

/** A preserving day, or a few, to be scheduled. */
export interface DayProblem {
  readonly resources: readonly SearchResource[];
  readonly tasks: readonly DayTask[];
}

/** Minutes from the start of the plan. */
export interface ScheduledTask {
  readonly task: DayTask;
  readonly startMin: number;
  readonly endMin: number;
}

export interface DaySchedule {
  readonly tasks: readonly ScheduledTask[];
  readonly makespanMin: number;
}

/** The day as the search takes it, each task with the minutes it is given. */
export function scheduleProblemOf(
  { resources, tasks }: DayProblem,
  minutesOf: (task: DayTask) => number = (task) => task.minutes.p50,
): ScheduleProblem {
  return {
    resources,
    tasks: tasks.map((task) => {
      const { id, needs, after, releaseMin, dueMin, uncounted } = task;
      const within = {
        ...(uncounted && { uncounted }),
        ...(releaseMin !== undefined && { release: releaseMin }),
        ...(dueMin !== undefined && { due: dueMin }),
      };
      return { id, needs, after, minutes: minutesOf(task), ...within };
    }),
  };
}
