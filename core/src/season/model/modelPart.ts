import { type LinearColumn, type LinearModel, type LinearRow, type LinearTerm } from './linearModel';
import { type SeasonModel } from './seasonModel';

/** Rounding of what stays as it is. */
const NEARLY = 1e-6;

/** A smaller model, which columns of the whole one it has, and their values. */
export interface ModelPart {
  readonly model: LinearModel;
  readonly kept: readonly number[];
  readonly start: readonly number[];
}

/** The model of the free columns alone, the others kept at their values and taken off the rows. */
export function partOf(
  { columns, rows }: LinearModel,
  values: ArrayLike<number>,
  free: ReadonlySet<number>,
): ModelPart {
  const kept = columns.flatMap((_, i) => (free.has(i) ? [i] : []));
  const place = new Map(kept.map((column, i) => [column, i]));
  const left = rows.flatMap(({ low, high, terms }): LinearRow[] => {
    const own: LinearTerm[] = [];
    let fixed = 0;
    for (const [column, factor] of terms) {
      const at = place.get(column);
      if (at === undefined) fixed += factor * (values[column] ?? 0);
      else own.push([at, factor]);
    }
    if (own.length === 0) return [];
    // What stays may be off by the solver's own rounding.
    const room = low === high ? 0 : NEARLY;
    return [{ low: low - fixed - room, high: high - fixed + room, terms: own }];
  });
  const model = { columns: kept.map((column) => columns[column] as LinearColumn), rows: left };
  return { model, kept, start: kept.map((column) => values[column] ?? 0) };
}

/** The whole model's values with those of a part put in. */
export function withPart(values: ArrayLike<number>, { kept }: ModelPart, found: ArrayLike<number>): Float64Array {
  const next = Float64Array.from(values);
  kept.forEach((column, i) => (next[column] = found[i] ?? 0));
  return next;
}

/** What belongs to no day: what is left and frozen, what goals count, what is bought. */
export function always({ remainders, goals, bought, reached }: SeasonModel): number[] {
  return [
    ...remainders.flatMap(({ frozen, left }) => (frozen === undefined ? [left] : [left, frozen])),
    ...goals.flatMap(({ pieces }) => pieces),
    ...bought.map(({ column }) => column),
    ...reached.map(({ column }) => column),
  ];
}
