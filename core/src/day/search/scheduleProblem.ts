/** Something that tasks hold while they run: hands, burners, a canner. */
export interface SearchResource {
  readonly id: string;
  readonly capacity: number;
  /** From and to, in minutes: nothing that needs it runs across such a time. */
  readonly closed?: readonly (readonly [from: number, to: number])[];
  /** Parts of it that are gone for a while: one of two cooks is away. */
  readonly taken?: readonly { readonly from: number; readonly to: number; readonly amount: number }[];
}

/** From the end of one task to the start of another, in minutes. */
export interface Lag {
  readonly task: string;
  /** 0 unless said. */
  readonly minLag?: number;
  /** Any length unless said. */
  readonly maxLag?: number;
}

export interface SearchTask {
  readonly id: string;
  readonly minutes: number;
  /** Amount of each resource, held from start to end. */
  readonly needs: Readonly<Record<string, number>>;
  readonly after?: readonly Lag[];
  /** Not before, and over by, in minutes. */
  readonly release?: number;
  readonly due?: number;
}

/** Tasks to be laid out in time so that the last one ends as early as can be. Times are minutes from 0 on. */
export interface ScheduleProblem {
  readonly resources: readonly SearchResource[];
  readonly tasks: readonly SearchTask[];
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
