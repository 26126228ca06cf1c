import * as v from 'valibot';

const Name = v.pipe(v.string('must be a name'), v.minLength(1, 'must not be empty'), v.maxLength(200, 'is too long'));
const Minutes = v.pipe(
  v.number('must be a number of minutes'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(10_000_000, 'must be at most 10,000,000'),
);
/** Between two starts or two ends a lag may be below 0. */
const Lag = v.pipe(
  v.number('must be a number of minutes'),
  v.minValue(-10_000_000, 'must be at least -10,000,000'),
  v.maxValue(10_000_000, 'must be at most 10,000,000'),
);
/** A Boolean decision by its name, or its opposite: the same name with "!" before it. */
const Literal = Name;
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
        /** Parts of it that are gone for a while. */
        taken: v.optional(
          v.pipe(v.array(v.object({ from: Minutes, to: Minutes, amount: Amount })), v.maxLength(1_000, 'are too many')),
        ),
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
        /** From the end of the named task to the start of this one, unless said otherwise; where the literal holds. */
        after: v.optional(
          v.pipe(
            v.array(
              v.object({
                task: Name,
                minLag: v.optional(Lag),
                maxLag: v.optional(Lag),
                between: v.optional(
                  v.picklist(['end-start', 'start-start', 'end-end'], 'must be end-start, start-start or end-end'),
                ),
                when: v.optional(Literal),
              }),
            ),
            v.maxLength(MOST_TASKS, 'are too many'),
          ),
        ),
        release: v.optional(Minutes),
        due: v.optional(Minutes),
        /** It is there only where this literal holds. */
        presence: v.optional(Literal),
        /** It is done beside: the schedule is over without it too. */
        uncounted: v.optional(v.literal(true)),
        /** Exactly one is chosen where the task is there; its needs come to those of the task, its minutes in place of them. */
        modes: v.optional(
          v.pipe(
            v.array(v.object({ when: Literal, minutes: Minutes, needs: v.optional(v.record(Name, Amount), {}) })),
            v.minLength(1, 'must not be empty'),
            v.maxLength(100, 'are too many'),
          ),
        ),
      }),
    ),
    v.maxLength(MOST_TASKS, `are more than ${MOST_TASKS.toLocaleString('en-US')}`),
  ),
  /** At least one literal of each holds. */
  clauses: v.optional(
    v.pipe(
      v.array(v.pipe(v.array(Literal), v.minLength(1, 'must not be empty'), v.maxLength(1_000, 'are too many'))),
      v.maxLength(50_000, 'are too many'),
    ),
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
  /** Those that are there. */
  tasks: v.array(v.strictObject({ id: v.string(), start: v.number(), end: v.number() })),
  /** How the decisions were made, by name, where there are any. */
  decisions: v.optional(v.record(v.string(), v.boolean())),
  makespan: v.number(),
  lowerBound: v.number(),
  proven: v.boolean(),
});
export type ScheduleReply = v.InferOutput<typeof ScheduleReply>;
