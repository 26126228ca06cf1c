/** The best schedule so far: when each task starts, and how each decision is made. */
export interface Incumbent {
  readonly starts: readonly number[];
  readonly decisions: readonly boolean[];
}
