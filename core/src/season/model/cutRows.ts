import { daysBetween } from '../../day/daysTogether';
import { type SeasonCut, type SeasonDay } from '../problem/seasonProblem';
import { type LinearTerm } from './linearModel';
import { type BatchColumns, type ReachedColumn, type SeasonDraft } from './seasonColumns';

/** Combinations of loads that no day of so few minutes can hold: on none of those days are they all there. */
export function writeCuts(draft: SeasonDraft): readonly ReachedColumn[] {
  const { problem, days, writer } = draft;
  const reached: ReachedColumn[] = [];
  for (const cut of problem.cuts) {
    for (const { day } of days.filter((each) => each.day.windowMinutes <= cut.windowMinutes)) {
      const { before } = cut;
      const night = before && days.find((each) => daysBetween(each.day.id, day.id) === 1)?.day;
      if (before && (!night || night.windowMinutes > before.windowMinutes)) continue;
      const own = [
        allThere(draft, reached, day, cut.loads),
        night && before ? allThere(draft, reached, night, before.loads) : [],
      ];
      // Where one of them cannot be there at all, they are not all there.
      const all = own.flatMap((terms) => terms ?? []);
      if (!own.includes(undefined)) writer.row(-Infinity, all, all.length - 1);
    }
  }
  return reached;
}

/** Columns that are all 1 where a day has so many loads; undefined where it cannot have them. */
function allThere(
  draft: SeasonDraft,
  reached: ReachedColumn[],
  day: SeasonDay,
  loads: SeasonCut['loads'],
): LinearTerm[] | undefined {
  const own = loads.map(({ recipe, loads: count }) => {
    const batch = draft.onDay(day).find((each) => each.recipe.id === recipe);
    return batch && batch.mostLoads >= count ? { batch, count } : undefined;
  });
  if (own.includes(undefined)) return undefined;
  return own.flatMap((each): LinearTerm[] =>
    each ? [[columnOfAtLeast(draft, reached, each.batch, each.count), 1]] : [],
  );
}

/** A column that is 1 where a batch has so many loads or more. */
function columnOfAtLeast(
  { writer }: SeasonDraft,
  reached: ReachedColumn[],
  batch: BatchColumns,
  count: number,
): number {
  const { begun, loads, mostLoads } = batch;
  if (count <= 1) return begun;
  const known = reached.find((each) => each.batch === batch && each.count === count);
  if (known) return known.column;
  const column = writer.column(0, 1, true);
  reached.push({ batch, count, column });
  const many: LinearTerm = [column, -(mostLoads - count + 1)];
  writer.row(-Infinity, [[loads, 1], many], count - 1);
  return column;
}
