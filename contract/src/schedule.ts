import * as v from 'valibot';

const Name = v.pipe(v.string('must be a name'), v.minLength(1, 'must not be empty'), v.maxLength(200, 'is too long'));
const Minutes = v.pipe(
  v.number('must be a number of minutes'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(10_000_000, 'must be at most 10,000,000'),
);
const Amount = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(1_000_000, 'must be at most 1,000,000'),
);

/** Most tasks that one request may hold. */
export const MOST_TASKS = 5_000;

/** Milliseconds that a search gets where nothing is said, and at the most. */
export const BUDGET_MS = { usual: 2_000, most: 60_000 } as const;

/** The body of `POST /api/schedule`: tasks to be laid out so that the last one ends as early as can be. */
export const ScheduleRequest = v.object({
  resources: v.pipe(
    v.array(
      v.object({
        id: Name,
        capacity: Amount,
        /** From and to: nothing that needs it runs across such a time. */
        closed: v.optional(v.pipe(v.array(v.tuple([Minutes, Minutes])), v.maxLength(1_000, 'are too many'))),
      }),
    ),
    v.maxLength(1_000, 'are too many'),
  ),
  tasks: v.pipe(
    v.array(
      v.object({
        id: Name,
        minutes: Minutes,
        needs: v.optional(v.record(Name, Amount), {}),
        /** From the end of the named task to the start of this one. */
        after: v.optional(
          v.pipe(
            v.array(v.object({ task: Name, minLag: v.optional(Minutes), maxLag: v.optional(Minutes) })),
            v.maxLength(MOST_TASKS, 'are too many'),
          ),
        ),
        release: v.optional(Minutes),
        due: v.optional(Minutes),
      }),
    ),
    v.maxLength(MOST_TASKS, `are more than ${MOST_TASKS.toLocaleString('en-US')}`),
  ),
  seed: v.optional(v.pipe(v.number('must be a number'), v.integer('must be whole')), 1),
  budgetMs: v.optional(
    v.pipe(
      v.number('must be a number of milliseconds'),
      v.minValue(1, 'must be 1 or more'),
      v.maxValue(BUDGET_MS.most, `must be at most ${BUDGET_MS.most}`),
    ),
    BUDGET_MS.usual,
  ),
});
export type ScheduleRequest = v.InferOutput<typeof ScheduleRequest>;

/** Times in minutes from 0 on. `proven`: no schedule that breaks no rule ends earlier. */
export const ScheduleReply = v.strictObject({
  tasks: v.array(v.strictObject({ id: v.string(), start: v.number(), end: v.number() })),
  makespan: v.number(),
  lowerBound: v.number(),
  proven: v.boolean(),
});
export type ScheduleReply = v.InferOutput<typeof ScheduleReply>;
