/** Something that tasks hold while they run: hands, burners, a machine. */
export interface SearchResource {
  readonly id: string;
  readonly capacity: number;
  /** From and to, in minutes: nothing that needs it runs across such a time. */
  readonly closed?: readonly (readonly [from: number, to: number])[];
  /** Parts of it that are gone for a while: its capacity varies. */
  readonly taken?: readonly { readonly from: number; readonly to: number; readonly amount: number }[];
}

/** A Boolean decision of the problem, by name, or its opposite: the same name with "!" before it. */
export type Literal = string;

/**
 * From one task to another, in minutes: from the end of the first to the start of the second unless said otherwise.
 */
export interface Lag {
  readonly task: string;
  /** 0 unless said. May be below 0 only between two starts or two ends. */
  readonly minLag?: number;
  /** Any length unless said. */
  readonly maxLag?: number;
  /** Which moments it lies between. "start-start" and "end-end" let tasks that feed each other in portions overlap. */
  readonly between?: 'end-start' | 'start-start' | 'end-end';
  /** Holds only where this literal does. */
  readonly when?: Literal;
}

/** One of the ways to do a task: an optional interval over an alternative resource. */
export interface Mode {
  /** It is done so where this literal holds. Of the modes of a task exactly one does. */
  readonly when: Literal;
  readonly minutes: number;
  /** Besides what the task needs in any case. */
  readonly needs: Readonly<Record<string, number>>;
}

/** An interval variable: a task with its minutes, and what it holds from start to end. */
export interface SearchTask {
  readonly id: string;
  /** Of no meaning where there are modes. */
  readonly minutes: number;
  /** Amount of each resource, held from start to end. */
  readonly needs: Readonly<Record<string, number>>;
  readonly after?: readonly Lag[];
  /** Not before, and over by, in minutes. */
  readonly release?: number;
  readonly due?: number;
  /** It is there only where this literal holds: an optional interval variable. */
  readonly presence?: Literal;
  /** It is done beside: the schedule is over when all others are, be this one before or after. */
  readonly uncounted?: true;
  /** Alternatives: exactly one is chosen where the task is there. */
  readonly modes?: readonly Mode[];
}

/** Tasks to be laid out in time so that the last one that counts ends as early as can be. Times are minutes from 0 on. */
export interface ScheduleProblem {
  readonly resources: readonly SearchResource[];
  readonly tasks: readonly SearchTask[];
  /** At least one literal of each holds. */
  readonly clauses?: readonly (readonly Literal[])[];
}

export interface Placed {
  readonly id: string;
  readonly start: number;
  readonly end: number;
}

/** A rule that no schedule can keep, as a sentence, and the tasks it is about. */
export interface RuleNotMet {
  readonly kind: 'ruleNotMet';
  readonly sentence: string;
  readonly tasks: readonly string[];
}
