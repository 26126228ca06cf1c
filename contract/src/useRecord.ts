import * as v from 'valibot';
import { Jar, Product } from './crop';

const Some = v.pipe(v.number(), v.finite(), v.minValue(0));

/** How a product was used, month by month; made by the server from all movements. */
export const UseRecordSchema = v.object({
  product: Product,
  jar: Jar,
  months: v.pipe(v.array(v.object({ jars: Some, days: Some })), v.length(12)),
  putUpInYear: v.number(),
  madeOnDays: v.array(v.pipe(v.number(), v.integer())),
});
