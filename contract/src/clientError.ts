import * as v from 'valibot';

const Text = (most: number) => v.pipe(v.string(), v.maxLength(most, 'is too long'));

/** The body of `POST /api/client-errors`. */
export const ClientErrorSchema = v.object({
  message: Text(2_000),
  /** Where in the app, as its address says. */
  where: Text(300),
  stack: v.optional(Text(8_000)),
});
export type ClientError = v.InferOutput<typeof ClientErrorSchema>;
