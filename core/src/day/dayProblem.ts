import { type Range } from '../measure/range';

export type TaskKind =
  'ready-jars' | 'preheat' | 'prepare' | 'fill' | 'load' | 'heat-up' | 'process' | 'rest' | 'unload';

/** Something that only so many tasks can use at once: the cook's hands, the burners, a canner. */
export interface Resource {
  readonly id: string;
  readonly capacity: number;
}

export const HANDS = 'hands';
export const BURNERS = 'burners';

export interface DayTask {
  readonly id: string;
  readonly kind: TaskKind;
  readonly words: string;
  readonly minutes: Range;
  /** Amount of each resource held from start to end. */
  readonly needs: Readonly<Record<string, number>>;
  readonly batchId?: string;
  readonly loadId?: string;
}

/** Tasks that follow each other without a gap: hot food goes into hot jars and hot jars into the canner. */
export interface Chain {
  readonly tasks: readonly DayTask[];
  /** Ids of tasks that must have ended before the first one starts. */
  readonly after: readonly string[];
  /** Started as late as what follows allows (heating the canner), instead of as early as can be. */
  readonly late?: boolean;
}

/** A day to be scheduled. Chains are in the order of their urgency. */
export interface DayProblem {
  readonly resources: readonly Resource[];
  readonly chains: readonly Chain[];
}

/** Minutes from the start of the day. */
export interface ScheduledTask {
  readonly task: DayTask;
  readonly startMin: number;
  readonly endMin: number;
}

export interface DaySchedule {
  readonly tasks: readonly ScheduledTask[];
  readonly makespanMin: number;
}
