import * as v from 'valibot';

/** Every error of the API. `fields` names what was wrong in a form, one sentence each. */
export const ApiError = v.object({
  error: v.object({
    code: v.string(),
    message: v.string(),
    fields: v.optional(v.record(v.string(), v.string())),
  }),
});
export type ApiError = v.InferOutput<typeof ApiError>;
