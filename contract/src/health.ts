import * as v from 'valibot';

/** The reply of `GET /api/health`. */
export const Health = v.object({
  ok: v.boolean(),
  /** Whether the household's file can be written; if not, why. */
  file: v.picklist(['ok', 'gone', 'full', 'read-only', 'damaged', 'failing']),
  disk: v.object({ freeMb: v.number(), ok: v.boolean() }),
  /** Rows of the file that are damaged and left out. */
  setAside: v.pipe(v.number(), v.integer()),
  /** Writes whose place in the log could not be read when the file was opened. */
  writesLost: v.pipe(v.number(), v.integer()),
  backup: v.object({
    /** When the newest was taken. */
    at: v.nullable(v.number()),
    ok: v.boolean(),
    trouble: v.nullable(v.string()),
  }),
  /** Writes that wait for their turn. */
  queue: v.pipe(v.number(), v.integer()),
  /** Screens that listen. */
  screens: v.pipe(v.number(), v.integer()),
});
export type Health = v.InferOutput<typeof Health>;
