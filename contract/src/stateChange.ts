import * as v from 'valibot';

/** Rows of one part: put in or in the place of the one with that id, each behind another one; and ids that are gone. */
const Rows = v.object({
  put: v.array(v.object({ row: v.looseObject({ id: v.string() }), after: v.nullable(v.string()) })),
  gone: v.array(v.string()),
});

/**
 * One write, as every open screen is told of it (`GET /api/changes`), and as `GET /api/state?since=` answers: what has changed
 * in the household's state by it.
 */
export const StateChange = v.object({
  /** Of the file: another one, or one put in its place, cannot be gone on from. */
  epoch: v.string(),
  /** The revision that it goes on from. */
  from: v.pipe(v.number(), v.integer(), v.minValue(0)),
  /** More with every write. */
  revision: v.pipe(v.number(), v.integer(), v.minValue(0)),
  /** The screen that wrote, where it said so. */
  by: v.optional(v.string()),
  /** Everything is another: read all of it. */
  whole: v.optional(v.literal(true)),
  rows: v.optional(v.record(v.string(), Rows)),
  /** Parts without rows of their own, whole. */
  parts: v.optional(v.record(v.string(), v.unknown())),
});
export type StateChange = v.InferOutput<typeof StateChange>;

/** The reply of `GET /api/state?since=epoch-revision`, where what was missed is known. */
export const StateChanges = v.object({ now: v.number(), changes: v.array(StateChange) });

/**
 * The state with a change laid upon it.
 *
 * @param state as it was at the revision before
 */
export function withChange<State extends object>(state: State, { rows = {}, parts = {} }: StateChange): State {
  const changed = Object.entries(rows).map(([part, { put, gone }]) => {
    const left = new Set([...gone, ...put.map(({ row }) => row.id)]);
    const kept = ((state as Record<string, { id: string }[]>)[part] ?? []).filter(({ id }) => !left.has(id));
    for (const { row, after } of put) {
      const at = after === null ? 0 : kept.findIndex(({ id }) => id === after) + 1;
      kept.splice(at, 0, row);
    }
    return [part, kept];
  });
  return { ...state, ...parts, ...Object.fromEntries(changed) } as State;
}
