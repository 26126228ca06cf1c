import { type LinearModel } from './linearModel';

/** How far a solver has come. */
export interface SolverNews {
  readonly seconds: number;
  /** No solution is worth more; undefined until one is known. */
  readonly bound?: number;
  /** Of the best solution so far. */
  readonly worth?: number;
  /** The best solution so far, where it is a new one. */
  readonly values?: ArrayLike<number>;
}

export interface SolverLimits {
  readonly seconds: number;
  /** Good enough when no better solution can be worth more than this part. */
  readonly gap: number;
  /** Looks for no solution, only for a bound that is nearer than the relaxation's; the news tell it. */
  readonly boundOnly?: boolean;
  /** A solution to begin with. */
  readonly start?: ArrayLike<number>;
  /** Told on every step; answers whether to go on. */
  readonly onNews?: (news: SolverNews) => boolean;
}

export type SolverAnswer =
  | { readonly kind: 'solved'; readonly values: ArrayLike<number>; readonly worth: number; readonly bound: number }
  | { readonly kind: 'none'; readonly reason: 'impossible' | 'time' };

/** Solves a mixed-integer linear model as well as its limits let it. */
export type Solver = (model: LinearModel, limits: SolverLimits) => SolverAnswer;
