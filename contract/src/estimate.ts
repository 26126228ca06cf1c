import * as v from 'valibot';
import { CROP_IDS } from '@hoddle/core/handbook/crops';
import { AmountSchema, Form } from './amount';
import { Crop, Jar, Product } from './crop';
import { BareRefusal } from './refusal';

const Asked = v.pipe(v.string('is missing'), v.trim(), v.minLength(1, 'is empty'), v.maxLength(80, 'is too long'));

/** The body of `POST /api/estimate`. */
export const EstimateRequest = v.object({
  crop: Crop,
  amount: AmountSchema,
  /** For a volume: "cups of it crushed". */
  form: v.optional(Form),
  product: Asked,
  jar: Jar,
});

/** One in ten below p10, half below p50, nine in ten below p90. */
const Range = v.strictObject({ p10: v.number(), p50: v.number(), p90: v.number() });

export const EstimateReply = v.union([
  v.strictObject({ jars: Range, massKg: v.number(), basis: v.string() }),
  BareRefusal,
]);

/** The body of `POST /api/jars-from`: any lots together. */
export const JarsFromRequest = v.object({
  lots: v.pipe(
    v.array(
      v.object({
        crop: Crop,
        amount: AmountSchema,
        form: v.optional(Form),
        /** Picked unripe. */ green: v.optional(v.boolean()),
      }),
    ),
    v.minLength(1, 'must hold at least one lot'),
    v.maxLength(100, 'are too many'),
  ),
});

/** Every product these lots can become, with full jars of each size, what is left over and what is missing. */
export const JarsFromReply = v.strictObject({
  products: v.array(
    v.strictObject({
      product: Product,
      crops: v.array(Crop),
      jars: v.array(v.strictObject({ jar: Jar, jars: Range })),
      pots: v.optional(v.number()),
      basis: v.string(),
      usedKg: v.number(),
      leftKg: v.number(),
      missing: v.array(
        v.strictObject({
          crop: v.picklist(CROP_IDS),
          massKg: v.optional(v.number()),
          text: v.string(),
          stops: v.boolean(),
        }),
      ),
      byProducts: v.array(
        v.strictObject({
          kind: v.picklist(['thin juice', 'peels and cores']),
          feeds: Product,
          quartsAtMost: v.optional(v.number()),
          /** Likely, as this household ladles it off. */
          quarts: v.optional(v.strictObject({ p10: v.number(), p50: v.number(), p90: v.number() })),
          massKg: v.optional(v.number()),
        }),
      ),
    }),
  ),
});

/** The body of `POST /api/produce-for`: the other way round. */
export const ProduceForRequest = v.object({
  crop: Crop,
  product: Product,
  jar: Jar,
  jars: v.pipe(v.number('must be a number'), v.integer('must be whole'), v.minValue(1), v.maxValue(2_000)),
  /** How sure, from 0.5 to 0.99; eight chances in ten where it is left out. */
  sure: v.optional(v.pipe(v.number(), v.minValue(0.5), v.maxValue(0.99)), 0.8),
});

export const ProduceForReply = v.union([
  v.strictObject({ likelyKg: v.number(), sureKg: v.number(), sure: v.number() }),
  BareRefusal,
]);
