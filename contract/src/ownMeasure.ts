import * as v from 'valibot';
import { Crop } from './crop';
import { SomeKg } from './mass';

/** The body of `PUT /api/own-measures`: what one of a household's own measures of a crop weighs. */
export const OwnMeasureSchema = v.object({
  crop: Crop,
  measure: v.pipe(v.string(), v.trim(), v.toLowerCase(), v.minLength(1, 'is empty'), v.maxLength(40, 'is too long')),
  massKg: SomeKg,
});
