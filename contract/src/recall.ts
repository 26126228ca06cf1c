import * as v from 'valibot';
import { BatchSchema, PlannedLoadSchema } from './batch';
import { JarLotSchema, MovementSchema } from './jarLot';

const Count = v.pipe(v.number(), v.integer());

/** The reply of `GET /api/recalls/{id}`: every jar of the batch and loads of a lot, and where it went. */
export const RecallReply = v.object({
  batch: v.optional(BatchSchema),
  loads: v.array(
    v.object({
      load: v.optional(PlannedLoadSchema),
      lots: v.array(v.object({ lot: JarLotSchema, jars: Count, movements: v.array(MovementSchema) })),
    }),
  ),
  made: Count,
  here: Count,
});
