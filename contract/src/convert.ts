import * as v from 'valibot';
import { AmountSchema, Form, UnitSchema } from './amount';
import { Crop } from './crop';
import { BareRefusal } from './refusal';

/** The body of `POST /api/convert`. */
export const ConvertRequest = v.object({
  amount: AmountSchema,
  to: UnitSchema,
  crop: v.optional(Crop),
  form: v.optional(Form),
});

export const ConvertReply = v.variant('kind', [
  v.strictObject({ kind: v.literal('converted'), value: v.number() }),
  BareRefusal,
]);
export type ConvertReply = v.InferOutput<typeof ConvertReply>;
