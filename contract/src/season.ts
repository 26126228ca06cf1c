import { PRIORITIES } from '@hoddle/core/pantry/shelfGoal';
import { USUAL_DAYS } from '@hoddle/core/season/problem/givenDays';
import { WHAT_IFS } from '@hoddle/core/season/problem/whatIf';
import * as v from 'valibot';
import { Crop, Jar, Product } from './crop';
import { Day, Id } from './id';

const Minute = v.pipe(
  v.number(),
  v.integer(),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(1_440, 'must be in a day'),
);
const Amount = v.pipe(v.number(), v.minValue(0));
const Count = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(100_000));
const RecipeId = v.pipe(v.string(), v.maxLength(200));

/** The body of `PUT /api/season-days`: which days a household gives to preserving. */
export const DaysGivenSchema = v.object({
  weekly: v.pipe(
    v.array(
      v.pipe(
        v.object({
          weekday: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(6)),
          fromMin: Minute,
          toMin: Minute,
        }),
        v.check(({ fromMin, toMin }) => fromMin < toMin, 'must begin before they end'),
      ),
    ),
    v.maxLength(14, 'are too many'),
  ),
  notOn: v.pipe(v.array(Day), v.maxLength(366, 'are too many')),
  mostAWeek: v.pipe(v.number(), v.integer(), v.minValue(1, 'must be 1 or more'), v.maxValue(7, 'must be at most 7')),
  freezerBags: v.pipe(
    v.number(),
    v.integer(),
    v.minValue(0, 'must be 0 or more'),
    v.maxValue(500, 'must be at most 500'),
  ),
});

const RangeSchema = v.object({ p10: v.number(), p50: v.number(), p90: v.number() });

const ReportedBatchSchema = v.object({
  recipe: RecipeId,
  product: Product,
  jar: Jar,
  jars: Count,
  loads: Count,
  crops: v.array(v.object({ crop: Crop, massKg: Amount })),
  from: v.optional(v.picklist(['thin juice', 'peels and cores'])),
  thawed: v.boolean(),
  overnight: v.boolean(),
  handsMinutes: Amount,
});

/** A season's plan, as it is shown and kept. */
export const SeasonReportSchema = v.object({
  at: v.number(),
  days: v.pipe(
    v.array(
      v.object({
        day: Day,
        at: v.number(),
        windowMinutes: Amount,
        handsMinutes: Amount,
        batches: v.pipe(v.array(ReportedBatchSchema), v.maxLength(50)),
        takings: v.pipe(
          v.array(v.object({ crop: Crop, onHandKg: Amount, toPickKg: Amount, thawedKg: Amount, chilledKg: Amount })),
          v.maxLength(50),
        ),
      }),
    ),
    v.maxLength(400),
  ),
  goals: v.pipe(
    v.array(
      v.object({
        product: Product,
        jar: Jar,
        priority: v.picklist(PRIORITIES),
        want: Count,
        have: Count,
        planned: Count,
        range: RangeSchema,
        short: v.optional(
          v.object({
            jars: Count,
            kind: v.picklist(['produce', 'days', 'lids']),
            crop: v.optional(Crop),
            massKg: v.optional(Amount),
          }),
        ),
      }),
    ),
    v.maxLength(400),
  ),
  rests: v.array(v.object({ crop: Crop, frozenKg: Amount, leftKg: Amount })),
  leftOut: v.array(v.object({ product: Product, jar: Jar, reason: v.string() })),
  jars: Count,
  hours: Amount,
  worth: v.number(),
  bound: v.nullable(v.number()),
  byHandJars: Count,
  cautious: v.boolean(),
});

/** Batches that stay where they are when the season is planned again. */
export const SeasonPinSchema = v.object({ day: Day, recipe: RecipeId, jars: Count });

/** The body of `PUT /api/season-plan`: the plan a household goes by, and what it has pinned in it. */
export const KeptPlanSchema = v.object({
  plan: v.nullable(SeasonReportSchema),
  pins: v.pipe(v.array(SeasonPinSchema), v.maxLength(400, 'are too many')),
});

/** The body of `PUT /api/shopping-ticks`: something of the list is in the basket, or is put back. */
export const ShoppingTickSchema = v.object({
  key: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  ticked: v.boolean(),
});

/** A household's season: the days it gives, its plan, and what is bought of the list. */
export const SeasonSchema = v.object({
  days: DaysGivenSchema,
  ...KeptPlanSchema.entries,
  ticked: v.array(v.string()),
});
export type Season = v.InferOutput<typeof SeasonSchema>;

/** A season of which nothing was said yet. */
export const NO_SEASON = (): Season => ({
  days: v.parse(DaysGivenSchema, USUAL_DAYS),
  plan: null,
  pins: [],
  ticked: [],
});

/** The body of `POST /api/season-plans`. The client makes the id; asked twice it is one planning. */
export const SeasonPlanRequest = v.object({
  id: Id,
  weeks: v.optional(
    v.pipe(v.number(), v.integer(), v.minValue(1, 'must be 1 or more'), v.maxValue(52, 'must be at most 52')),
    26,
  ),
  /** How long it may take, in seconds. */
  seconds: v.optional(v.pipe(v.number(), v.minValue(1, 'must be 1 or more'), v.maxValue(60, 'must be at most 60')), 20),
  whatIf: v.optional(v.picklist(WHAT_IFS, `must be one of ${WHAT_IFS.join(', ')}`)),
  cautious: v.optional(v.boolean(), false),
});
export type SeasonPlanRequest = v.InferOutput<typeof SeasonPlanRequest>;

/** The reply of `GET /api/season-plans/{id}`: how far a planning has come. */
export const SeasonPlanReply = v.object({
  id: Id,
  state: v.picklist(['planning', 'done', 'failed']),
  seconds: v.number(),
  /** Points of the best plan so far, and what no plan is worth more than. */
  worth: v.nullable(v.number()),
  bound: v.nullable(v.number()),
  /** The plan once it is done; null where nothing can be planned, and `message` says why. */
  report: v.nullable(SeasonReportSchema),
  message: v.nullable(v.string()),
});
export type SeasonPlanReply = v.InferOutput<typeof SeasonPlanReply>;
