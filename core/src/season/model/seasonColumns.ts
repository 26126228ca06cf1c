import { ModelWriter, type LinearTerm } from './linearModel';
import { type Arrival, type SeasonDay, type SeasonProblem, type SeasonRecipe } from '../problem/seasonProblem';

/** A product on a day: whether it is begun at all, its loads, and what counts its jars. */
export interface BatchColumns {
  readonly day: SeasonDay;
  readonly recipe: SeasonRecipe;
  readonly begun: number;
  /** The same column as `begun` where there can be one load only. */
  readonly loads: number;
  readonly mostLoads: number;
  readonly most: number;
  /** One jar by one, or as many as a pot fills by the loads. */
  readonly jars: LinearTerm;
}

/** Produce of an arrival taken on a day. */
export interface TakingColumn {
  readonly day: SeasonDay;
  readonly arrival: Arrival;
  readonly from: 'place' | 'refrigerator';
  readonly column: number;
}

/** Frozen of an arrival, and left of it. */
export interface RemainderColumns {
  readonly arrival: Arrival;
  readonly frozen?: number;
  readonly left: number;
}

/** Of a crop taken out of what this plan froze. */
export interface ThawedColumn {
  readonly day: SeasonDay;
  readonly crop: string;
  readonly column: number;
}

/** That a day is given to preserving at all. */
export interface DayColumn {
  readonly day: SeasonDay;
  readonly column: number;
}

/** That a batch has so many loads or more, where a cut asks for it. */
export interface ReachedColumn {
  readonly batch: BatchColumns;
  readonly count: number;
  readonly column: number;
}

/**
 * The model while it is written: each group of rows adds its columns here, and reads those of the groups before it. Rows follow
 * from columns in a fixed order, so that one problem is always one model.
 */
export class SeasonDraft {
  readonly writer = new ModelWriter();
  readonly days: DayColumn[] = [];
  readonly batches: BatchColumns[] = [];
  readonly takings: TakingColumn[] = [];
  readonly remainders: RemainderColumns[] = [];
  readonly thawed: ThawedColumn[] = [];
  private readonly byDay = new Map<SeasonDay, BatchColumns[]>();

  constructor(readonly problem: SeasonProblem) {}

  addBatch(batch: BatchColumns): void {
    this.batches.push(batch);
    this.byDay.set(batch.day, [...this.onDay(batch.day), batch]);
  }

  onDay(day: SeasonDay): readonly BatchColumns[] {
    return this.byDay.get(day) ?? [];
  }
}

/** A term as often. */
export function times([column, factor]: LinearTerm, by: number): LinearTerm {
  return [column, factor * by];
}

/** Columns counted once each. */
export function once(columns: readonly { readonly column: number }[]): readonly LinearTerm[] {
  return columns.map(({ column }): LinearTerm => [column, 1]);
}

/** Kilograms of a crop in a jar of a recipe; undefined where it holds none. */
export function kgPerJar(recipe: SeasonRecipe, crop: string): number | undefined {
  return recipe.crops.find((share) => share.crop === crop)?.kgPerJar;
}
