import * as v from 'valibot';
import { BatchRecordSchema } from './batchRecord';
import { PlantingSchema } from './garden';
import { HardwareMoveSchema } from './hardware';
import { PickSchema } from './pick';
import { ShelfGoalSchema } from './shelfGoal';

const MOST_ROWS = 5_000;
const rows = <Schema extends v.GenericSchema>(schema: Schema) =>
  v.pipe(v.array(schema), v.minLength(1, 'must hold a row'), v.maxLength(MOST_ROWS, 'are too many'));

/** The body of `POST /api/rows-in`: a table that a household brings along, all of it or none. */
export const RowsIn = v.variant('table', [
  /** What is gone of earlier picks is not on hand: those before `goneBefore` were used up. */
  v.object({ table: v.literal('picks'), rows: rows(PickSchema), goneBefore: v.optional(v.number()) }),
  v.object({ table: v.literal('garden'), rows: rows(PlantingSchema) }),
  v.object({ table: v.literal('batches'), rows: rows(BatchRecordSchema) }),
  v.object({ table: v.literal('supplies'), rows: rows(HardwareMoveSchema) }),
  v.object({ table: v.literal('goals'), rows: rows(ShelfGoalSchema) }),
]);
export type RowsIn = v.InferOutput<typeof RowsIn>;

/** The reply: rows that are new, and those that were there already and stay as they are. */
export const RowsInReply = v.object({ added: v.number(), known: v.number() });
export type RowsInReply = v.InferOutput<typeof RowsInReply>;
