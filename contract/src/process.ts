import * as v from 'valibot';
import { AltitudeFt } from './altitude';

const Word = v.pipe(v.string('is missing'), v.trim(), v.minLength(1, 'is empty'), v.maxLength(80, 'is too long'));

/** The query of `GET /api/process`. Words the handbook does not know are answered with a refusal, not an error. */
export const ProcessQuery = v.object({
  product: Word,
  pack: Word,
  jar: Word,
  method: Word,
  altitudeFt: v.pipe(
    v.string('is missing'),
    v.trim(),
    v.regex(/^-?\d+(\.\d+)?$/, 'must be a number of feet'),
    v.transform(Number),
    AltitudeFt,
  ),
});
