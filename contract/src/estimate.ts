import * as v from 'valibot';
import { AmountSchema, Form } from './amount';
import { Crop, Jar } from './crop';
import { BareRefusal } from './refusal';

/** The body of `POST /api/estimate`. */
export const EstimateRequest = v.object({
  crop: Crop,
  amount: AmountSchema,
  /** For a volume: "cups of it crushed". */
  form: v.optional(Form),
  product: v.pipe(v.string('is missing'), v.trim(), v.minLength(1, 'is empty'), v.maxLength(80, 'is too long')),
  jar: Jar,
});

/** One in ten below p10, half below p50, nine in ten below p90. */
const Range = v.strictObject({ p10: v.number(), p50: v.number(), p90: v.number() });

export const EstimateReply = v.union([
  v.strictObject({ jars: Range, massKg: v.number(), basis: v.string() }),
  BareRefusal,
]);
