import * as v from 'valibot';
import { ROLES } from '@hoddle/core/handbook/cards/card';
import { CROP_IDS } from '@hoddle/core/handbook/crops';
import { Jar, Product } from './crop';

/** The query of `GET /api/recipes`; empty or missing lists everything. */
export const RecipesQuery = v.object({ q: v.optional(v.pipe(v.string(), v.maxLength(80, 'is too long'))) });

const strings = v.pipe(v.array(v.string()), v.readonly());
const CropName = v.picklist(CROP_IDS);
const Fate = v.picklist(['jar', 'per-jar', 'drained', 'taken-out']);

/** An amount in one unit; `value` is null for what a page says in words: "to cover". */
const AmountReply = v.strictObject({ value: v.nullable(v.number()), unit: v.string() });

const common = {
  /** Id of the card; a slash in it is encoded in a path. */
  recipe: v.string(),
  name: v.string(),
  product: Product,
};

const Yield = v.strictObject({ low: v.number(), high: v.number(), jar: Jar });

export const RecipeLine = v.strictObject({
  item: v.string(),
  crop: v.optional(v.string()),
  role: v.picklist(ROLES),
  /** The step it goes into, and what becomes of it. */
  into: v.string(),
  then: Fate,
  amount: AmountReply,
  ml: v.optional(v.number()),
  kg: v.optional(v.number()),
  /** The dose of each jar, where it goes in jar by jar; `amount` is then of all jars. */
  perJar: v.optional(v.array(v.strictObject({ jar: Jar, amount: AmountReply, ml: v.optional(v.number()) }))),
  prep: v.optional(v.string()),
  optional: v.optional(v.literal(true)),
  /** One of a group is taken; the others stand in `instead`. */
  oneOf: v.optional(v.string()),
  instead: v.optional(strings),
  /** It becomes part of a measured juice or syrup: not counted beside it. */
  inside: v.optional(v.string()),
});

const StepReply = v.strictObject({
  step: v.string(),
  words: v.string(),
  leastMinutes: v.optional(v.number()),
  mostMinutes: v.optional(v.number()),
  optional: v.boolean(),
});

const Summary = v.strictObject({
  ...common,
  kind: v.string(),
  crops: v.array(CropName),
  yields: v.optional(Yield),
  confidence: v.picklist(['high', 'medium', 'low']),
  source: v.string(),
  recalled: v.boolean(),
});

export const RecipesReply = v.strictObject({ recipes: v.array(Summary) });
export type RecipesReply = v.InferOutput<typeof RecipesReply>;

/** One card as published: one batch of it. */
export const RecipeReply = v.strictObject({
  ...Summary.entries,
  ingredients: v.array(RecipeLine),
  steps: v.array(StepReply),
  instead: v.array(v.strictObject({ of: v.string(), may: v.string(), note: v.string() })),
  caution: v.optional(v.string()),
});
export type RecipeReply = v.InferOutput<typeof RecipeReply>;

/** The body of `POST /api/recipe-for`. */
export const RecipeForRequest = v.object({
  recipe: v.pipe(v.string('is missing'), v.minLength(1, 'is empty'), v.maxLength(120, 'is too long')),
  jars: v.pipe(
    v.array(
      v.object({
        jar: Jar,
        count: v.pipe(
          v.number('must be a number'),
          v.integer('must be whole'),
          v.minValue(1, 'must be 1 or more'),
          v.maxValue(2_000, 'must be at most 2,000'),
        ),
      }),
    ),
    v.minLength(1, 'must hold at least one jar'),
    v.maxLength(20, 'are too many'),
  ),
  /** Of a group that one is taken of, which: `{ "acid": "citric acid" }`. */
  taken: v.optional(v.record(v.string(), v.string())),
});

const Range = v.strictObject({ p10: v.number(), p50: v.number(), p90: v.number() });

/** What goes into the pot for these jars, at which step, how much, and what of it is missing on hand. */
export const RecipeForReply = v.strictObject({
  recipe: v.string(),
  name: v.string(),
  /** Pots side by side. */
  pots: v.number(),
  ingredients: v.array(RecipeLine),
  steps: v.array(StepReply),
  covering: v.optional(v.strictObject({ makeMl: v.number(), likelyMl: Range })),
  missing: v.optional(
    v.array(v.strictObject({ crop: CropName, text: v.string(), kg: v.optional(v.number()), stops: v.boolean() })),
  ),
});
export type RecipeForReply = v.InferOutput<typeof RecipeForReply>;
