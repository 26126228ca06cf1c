import { type SeasonProblem } from '../problem/seasonProblem';
import { writeBatches, writeDays } from './batchRows';
import { writeHours, writeRoom } from './capacityRows';
import { writeCuts } from './cutRows';
import { type GoalColumns, writeByProducts, writeGoals, writeStock } from './goalRows';
import { type LinearModel } from './linearModel';
import { writeProduce } from './produceRows';
import {
  type BatchColumns,
  type DayColumn,
  type ReachedColumn,
  type RemainderColumns,
  SeasonDraft,
  type TakingColumn,
  type ThawedColumn,
} from './seasonColumns';

/** Which column of a season's model says what. */
export interface SeasonModel {
  readonly model: LinearModel;
  readonly batches: readonly BatchColumns[];
  readonly takings: readonly TakingColumn[];
  readonly remainders: readonly RemainderColumns[];
  readonly thawed: readonly ThawedColumn[];
  readonly days: readonly DayColumn[];
  readonly goals: readonly GoalColumns[];
  readonly bought: readonly { readonly key: string; readonly column: number }[];
  readonly reached: readonly ReachedColumn[];
}

/**
 * The season as a mixed-integer linear model: which product on which day, in how many loads and jars, from which produce.
 *
 * How many jars a day could make of a product at most, by its goal, the day and the produce in reach, bounds its loads and
 * its jars: without that the relaxation begins every product a little everywhere.
 *
 * docs/season-plan.md writes the model down.
 */
export function seasonModel(problem: SeasonProblem): SeasonModel {
  const draft = new SeasonDraft(problem);
  writeDays(draft);
  writeBatches(draft);
  writeProduce(draft);
  writeRoom(draft);
  writeHours(draft);
  const goals = writeGoals(draft);
  const bought = writeStock(draft);
  writeByProducts(draft);
  const reached = writeCuts(draft);
  const { batches, takings, remainders, thawed, days } = draft;
  return { model: draft.writer.model, batches, takings, remainders, thawed, days, goals, bought, reached };
}
