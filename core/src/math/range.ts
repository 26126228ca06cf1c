/** An uncertain quantity: one in ten below `p10`, half below `p50`, nine in ten below `p90`. Units as the holder's name says. */
export interface Range {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** Standard deviations from the median to the 10th or 90th percentile of a normal distribution. */
export const P90_SIGMAS = 1.2815515655446004;
