import { type Placed } from './scheduleProblem';

/** How far a search for a schedule has come. */
export interface SearchState {
  /** The best schedule so far: what is there, and when. */
  readonly tasks?: readonly Placed[];
  /** How its decisions were made, by name. */
  readonly decisions?: ReadonlyMap<string, boolean>;
  readonly makespan?: number;
  /** No schedule that breaks no rule ends before this. */
  readonly lowerBound: number;
  /** The schedule is the best there is. */
  readonly proven: boolean;
  /** It is proven that no schedule keeps all rules. */
  readonly impossible: boolean;
  /** Dead ends and schedules laid down: what the search has spent. */
  readonly nodes: number;
}

/** What most of the work of a search goes into: better schedules and a higher bound by turns, or the bound. */
export type SearchAim = 'plan' | 'bound';
