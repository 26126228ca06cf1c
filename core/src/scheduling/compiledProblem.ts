/** A problem in whole numbers: tasks and resources by index, times in `1 / scale` minutes. */
export interface CompiledProblem {
  readonly scale: number;
  readonly ids: readonly string[];
  /** Of a task with modes: the least of them. */
  readonly minutes: readonly number[];
  /** Literal under which each task is there, as {@link Literals} numbers them; 0 for one that always is. */
  readonly presence: readonly number[];
  /** The ways to do each task; none for one that is done in one way alone. */
  readonly modes: readonly (readonly ReadMode[])[];
  /** Names of the Boolean decisions; what was added to tell two of them at once has none of the problem's. */
  readonly literals: readonly string[];
  /** The two that an added decision tells at once, by its number less 1. */
  readonly conjunctions: ReadonlyMap<number, readonly [number, number]>;
  readonly clauses: readonly (readonly number[])[];
  readonly resources: readonly CompiledResource[];
  readonly lags: readonly CompiledLag[];
  /** Starts at which a task would run across a closed time of what it needs: first and last, in order. */
  readonly holes: readonly (readonly (readonly [first: number, last: number])[])[];
  /** Earliest and latest start by release, due time, closed times and lags alone. */
  readonly earliest: readonly number[];
  readonly latest: readonly number[];
  /** Due times of tasks that are optional or have modes; Infinity for all others, whose latest start says it. */
  readonly dues: readonly number[];
  /** Least time from a task's end to the end of all; -Infinity of one that does not count, nor any that waits for it. */
  readonly tail: readonly number[];
  /** A schedule that breaks no rule need not be longer. */
  readonly horizon: number;
}

export interface CompiledResource {
  readonly id: string;
  readonly capacity: number;
  readonly closed: readonly (readonly [from: number, to: number])[];
  readonly taken: readonly { readonly from: number; readonly to: number; readonly amount: number }[];
  readonly users: readonly CompiledUser[];
}

export interface ReadMode {
  readonly when: number;
  readonly minutes: number;
}

/** A task that holds some of a resource, for so long, where a literal holds (0: always). */
export interface CompiledUser {
  readonly task: number;
  readonly amount: number;
  readonly minutes: number;
  readonly when: number;
}

/**
 * start of `to` >= end of `from` + least, and <= end of `from` + most, where the literal `when` holds (0: always). The end is
 * meant with the minutes of the mode that is chosen.
 */
export interface CompiledLag {
  readonly when: number;
  readonly from: number;
  readonly to: number;
  readonly least: number;
  readonly most: number;
}
