import * as v from 'valibot';
import { ROLES } from '@hoddle/core/handbook/cards/card';
import { UNIT_SIZES } from '@hoddle/core/handbook/cards/cardAmount';
import { CROP_IDS } from '@hoddle/core/handbook/crops';
import { SOURCE_KINDS } from '@hoddle/core/process/householdSource';
import { METHODS } from '@hoddle/core/process/method';
import { OPEN_QUESTIONS } from '@hoddle/core/recipe/own/recipePage';
import { Jar, PackSchema } from './crop';
import { SourceBands } from './householdSource';
import { Id } from './id';

const Text = (most: number) => v.pipe(v.string('must be text'), v.trim(), v.maxLength(most, 'is too long'));
/** The id of a line, a step or a filling within its page. */
const PartId = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/i, 'is no id of a part'));

const units = Object.entries(UNIT_SIZES);
const unitsOf = (of: string) =>
  units.flatMap(([unit, size]) => (size.of === of ? [unit as keyof typeof UNIT_SIZES] : []));
const Size = v.pipe(
  v.number('must be a number'),
  v.finite(),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(200_000, 'is too much'),
);

const Measured = v.pipe(
  v.object({
    of: v.picklist(['ml', 'kg', 'pieces']),
    low: Size,
    high: Size,
    unit: v.picklist(units.map(([unit]) => unit as keyof typeof UNIT_SIZES)),
    /** What is counted: "clove". */
    word: v.optional(Text(40)),
  }),
  v.check(({ low, high }) => low <= high, 'must go from low to high'),
  v.check(({ of, unit }) => unitsOf(of).includes(unit), 'is measured in another unit'),
);

/** An amount as a page gives it: millilitres, kilograms or pieces, or words. */
export const CardAmountSchema = v.union([Measured, v.object({ of: v.literal('words'), words: Text(60) })]);

const Minutes = v.pipe(
  v.tuple([v.pipe(v.number(), v.minValue(0)), v.pipe(v.number(), v.maxValue(60 * 24 * 60, 'is more than two months'))]),
  v.check(([low, high]) => low <= high, 'must go from low to high'),
);
const Days = v.pipe(
  v.tuple([v.pipe(v.number(), v.minValue(0)), v.pipe(v.number(), v.maxValue(365, 'is more than a year'))]),
  v.check(([low, high]) => low <= high, 'must go from low to high'),
);

const Line = v.object({
  id: PartId,
  text: Text(400),
  item: v.pipe(Text(160), v.minLength(1, 'needs a name')),
  amount: CardAmountSchema,
  about: v.optional(Measured),
  role: v.picklist(ROLES),
  crops: v.pipe(v.array(v.picklist(CROP_IDS)), v.maxLength(6)),
  as: v.optional(Text(40)),
  prep: v.optional(Text(200)),
  optional: v.optional(v.literal(true)),
  into: v.union([PartId, v.literal('')]),
  then: v.picklist(['jar', 'per-jar', 'drained', 'taken-out']),
  weak: v.optional(v.literal(true)),
  open: v.optional(v.picklist(OPEN_QUESTIONS)),
  filling: v.optional(PartId),
});

const Step = v.object({
  id: PartId,
  text: v.pipe(Text(400), v.minLength(1, 'needs words')),
  entry: v.optional(Text(60)),
  hands: v.optional(Minutes),
  wait: v.optional(Minutes),
  occupies: v.pipe(v.array(v.pipe(Text(40), v.minLength(1))), v.maxLength(6)),
  after: v.optional(v.pipe(v.array(PartId), v.maxLength(12))),
  optional: v.optional(v.literal(true)),
  remind: v.optional(
    v.object({
      words: Text(40),
      everyMinutes: v.pipe(v.number(), v.minValue(5, 'must be 5 or more'), v.maxValue(10_080)),
    }),
  ),
});

/** The tested page a recipe is from. What it may say is held against the handbook by the server, line by line. */
const Source = v.object({
  title: Text(120),
  kind: v.picklist(SOURCE_KINDS, `must be one of ${SOURCE_KINDS.join(', ')}`),
  page: Text(40),
  method: v.picklist(METHODS, `must be one of ${METHODS.join(', ')}`),
  jar: Jar,
  bands: SourceBands,
});

const JarsMade = v.pipe(
  v.number('must be a number'),
  v.gtValue(0, 'must be above 0'),
  v.maxValue(100, 'must be at most 100'),
);

const page = {
  name: Text(80),
  draft: v.boolean('must be true or false'),
  lines: v.pipe(v.array(Line), v.maxLength(60, 'are too many')),
  steps: v.pipe(v.array(Step), v.maxLength(40, 'are too many')),
  unread: v.pipe(v.array(Text(2_000)), v.maxLength(400, 'are too many')),
  yields: v.pipe(
    v.object({ low: JarsMade, high: JarsMade, jar: Jar }),
    v.check(({ low, high }) => low <= high, 'must go from low to high'),
  ),
  pack: PackSchema,
  headspaceIn: v.pipe(
    v.number('must be a number of inches'),
    v.minValue(0.125, 'must be 1/8 in or more'),
    v.maxValue(2),
  ),
  measured: v.optional(v.object({ cups: v.pipe(v.number(), v.gtValue(0), v.maxValue(400)), as: Text(40) })),
  fillF: v.optional(v.pipe(v.number(), v.minValue(32), v.maxValue(230))),
  readyDays: Days,
  fillings: v.pipe(
    v.array(
      v.object({ id: PartId, name: v.pipe(Text(80), v.minLength(1, 'needs a name')), jars: JarsMade, readyDays: Days }),
    ),
    v.maxLength(12, 'are too many'),
  ),
  note: v.optional(Text(2_000)),
};

/** The body of `PUT /api/recipes/{id}`: a page of the household's own. Put again it is the same page. */
export const OwnRecipeSchema = v.object({
  id: Id,
  revision: v.pipe(v.number(), v.integer(), v.minValue(1, 'must be 1 or more'), v.maxValue(999_999)),
  ...page,
  source: v.optional(Source),
  /** Not offered any more; what was made by it keeps its name. */
  archived: v.optional(v.literal(true)),
});

/** The body of `POST /api/recipes/read`: a page as text, or as schema.org JSON-LD. */
export const ReadRecipeRequest = v.union(
  [
    v.object({ text: v.pipe(v.string('must be text'), v.maxLength(60_000, 'is too long')) }),
    v.object({
      jsonLd: v.union([v.pipe(v.string(), v.maxLength(500_000, 'is too long')), v.record(v.string(), v.unknown())]),
    }),
  ],
  'must be { text } or { jsonLd }',
);

/** A draft as it was read; its id and revision are the client's to make. */
export const ReadRecipeReply = v.object({
  ...page,
  source: v.optional(Source),
  /** What the text says of a canner; its minutes are never taken. */
  processing: v.array(v.string()),
});
export type ReadRecipeReply = v.InferOutput<typeof ReadRecipeReply>;
