import * as v from 'valibot';
import { FAULTS, TRIMMINGS_TO } from '@hoddle/core/yields/batchRecord';
import { Crop, Jar, Product } from './crop';
import { Id, Time } from './id';
import { AnyKg, SomeKg } from './mass';

const Count = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(500, 'is more than one day takes'),
);
const Part = v.pipe(v.number(), v.gtValue(0, 'must be above 0'), v.ltValue(1, 'must be under a whole jar'));

/** As measured; null, or nothing, where it was not. */
const Measured = (most: number) =>
  v.optional(v.nullable(v.pipe(v.number(), v.minValue(0, 'must be 0 or more'), v.maxValue(most, 'is too much'))), null);

/** As the household calls it. */
const Make = v.optional(v.pipe(v.string(), v.trim(), v.maxLength(40, 'is too long')), '');

/** The body of `POST /api/batch-records`: produce in, jars out. */
export const BatchRecordSchema = v.object({
  id: Id,
  batchId: v.nullable(Id),
  product: Product,
  crop: Crop,
  massKg: SomeKg,
  waterMl: v.pipe(v.number(), v.minValue(0, 'must be 0 or more'), v.maxValue(200_000, 'is more than a kitchen boils')),
  sugarKg: AnyKg,
  jars: v.pipe(
    v.array(v.object({ jar: Jar, count: Count })),
    v.minLength(1, 'must name a jar'),
    v.maxLength(4, 'are too many sizes'),
  ),
  partJar: v.nullable(v.object({ jar: Jar, part: Part })),
  madeAt: Time,
  note: v.pipe(v.string(), v.trim(), v.maxLength(400, 'is too long')),
  jarMake: Make,
  lidMake: Make,
  leftoverMl: v.optional(v.pipe(v.number(), v.minValue(0, 'must be 0 or more'), v.maxValue(50_000, 'is too much')), 0),
  faults: v.optional(v.pipe(v.array(v.picklist(FAULTS)), v.maxLength(FAULTS.length)), []),
  /** Null for what was not measured. */
  juiceMl: Measured(200_000),
  trimmingsKg: Measured(1_000),
  cookedOffMl: Measured(200_000),
  trimmingsTo: v.optional(v.nullable(v.picklist(TRIMMINGS_TO)), null),
  learnFrom: v.boolean('must be true or false'),
});
