import * as v from 'valibot';
import { altitudeFtFromMetres } from '@hoddle/core/measure/altitude';
import { CHANGE_IDS } from '@hoddle/core/recipe/change';
import { METHODS } from '@hoddle/core/process/method';
import { AltitudeFt, AltitudeFtText, AltitudeMText } from './altitude';
import { Jar, PackSchema } from './crop';
import { ProcessRefusal } from './refusal';

const Word = v.pipe(v.string('is missing'), v.trim(), v.minLength(1, 'is empty'), v.maxLength(80, 'is too long'));
const question = { product: Word, pack: Word, jar: Word, method: Word };

/** What stands in the query of `GET /api/process`. Words the handbook does not know are answered with a refusal, not an error. */
export const ProcessParameters = v.object({
  ...question,
  altitudeFt: v.optional(AltitudeFtText),
  altitudeM: v.optional(AltitudeMText),
});

/** The query, with its altitude in feet whichever way it was told. */
export const ProcessQuery = v.pipe(
  ProcessParameters,
  v.forward(
    v.partialCheck(
      [['altitudeFt'], ['altitudeM']],
      ({ altitudeFt, altitudeM }) => altitudeFt !== undefined || altitudeM !== undefined,
      'is missing',
    ),
    ['altitudeFt'],
  ),
  v.forward(
    v.partialCheck(
      [['altitudeFt'], ['altitudeM']],
      ({ altitudeFt, altitudeM }) => altitudeFt === undefined || altitudeM === undefined,
      'is told in feet already: give one of the two',
    ),
    ['altitudeM'],
  ),
  v.transform(({ altitudeFt, altitudeM = 0, ...rest }) => ({
    ...rest,
    altitudeFt: altitudeFt ?? altitudeFtFromMetres(altitudeM),
  })),
);

/** Ingredients as a cook writes them, one each: "4 cups 5% vinegar". */
export const Ingredients = v.pipe(
  v.array(v.pipe(v.string(), v.trim(), v.minLength(1, 'is empty'), v.maxLength(120, 'is too long'))),
  v.minLength(1, 'holds nothing'),
  v.maxLength(100, 'are too many'),
);

/** The body of `POST /api/process`: a batch as it is to be made, held against its formula. */
export const BatchProcessRequest = v.object({
  ...question,
  altitudeFt: AltitudeFt,
  ingredients: Ingredients,
  /** Id of the card that is meant, of several of a product; else the nearest. */
  recipe: v.optional(Word),
});

const Jars = v.strictObject({ minutes: v.number() });
const CheckedOn = v.pipe(v.string(), v.isoDate());

export const TestedProcessReply = v.strictObject({
  kind: v.literal('tested'),
  product: v.string(),
  pack: PackSchema,
  jar: Jar,
  method: v.picklist(METHODS),
  altitudeFt: AltitudeFt,
  minutes: v.pipe(v.number(), v.integer(), v.minValue(1)),
  pressurePsi: v.optional(v.number()),
  ventMinutes: v.optional(v.number()),
  bathF: v.optional(v.strictObject({ low: v.number(), high: v.number() })),
  steamF: v.optional(v.number()),
  headspaceIn: v.number(),
  acid: v.optional(
    v.strictObject({
      bottledLemonJuiceTbsp: v.number(),
      citricAcidTsp: v.optional(v.number()),
      vinegarTbsp: v.optional(v.number()),
    }),
  ),
  /** There exactly when `minutes` is under 10. */
  sterilizeJars: v.optional(Jars),
  alternatives: v.pipe(
    v.array(
      v.strictObject({
        minutes: v.number(),
        pressurePsi: v.optional(v.number()),
        rowId: v.optional(v.string()),
        sterilizeJars: v.optional(Jars),
        checkedOn: v.optional(CheckedOn),
      }),
    ),
    v.readonly(),
  ),
  conditions: v.pipe(v.array(v.string()), v.readonly()),
  source: v.string(),
  confidence: v.picklist(['high', 'medium', 'low']),
  recalled: v.boolean(),
  rowId: v.optional(v.string()),
  checkedOn: v.optional(CheckedOn),
  own: v.optional(v.literal(true)),
});

export const ProcessReply = v.variant('kind', [TestedProcessReply, ProcessRefusal]);
export type ProcessReply = v.InferOutput<typeof ProcessReply>;

export const BatchProcessReply = v.strictObject({
  answer: ProcessReply,
  /** What the batch does to the formula, each with rule 17's verdict. */
  /** How much of the card the batch is: 0.5 for half of it. */
  scale: v.optional(v.number()),
  /** Id of the card it is held against. */
  recipe: v.optional(v.string()),
  changes: v.pipe(
    v.array(
      v.strictObject({
        change: v.picklist(CHANGE_IDS),
        verdict: v.picklist(['allowed', 'within-limits', 'never']),
        reason: v.string(),
        /** The line of the batch that it is about, as it was sent. */
        line: v.optional(v.string()),
        /** The line of the card that it is held against. */
        tested: v.optional(v.string()),
      }),
    ),
    v.readonly(),
  ),
});
export type BatchProcessReply = v.InferOutput<typeof BatchProcessReply>;
