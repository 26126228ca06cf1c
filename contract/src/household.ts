import * as v from 'valibot';
import { AltitudeFt } from './altitude';
import { Id } from './id';

const Inches = v.pipe(
  v.number('must be a number of inches'),
  v.gtValue(0, 'must be above 0'),
  v.maxValue(40, 'must be at most 40 in'),
);
const Places = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(40, 'must be at most 40'),
);

export const CannerSchema = v.object({
  id: Id,
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(40, 'is too long')),
  method: v.literal('boiling-water'),
  insideDiameterIn: Inches,
  insideHeightIn: Inches,
  rackHeightIn: v.pipe(v.number(), v.minValue(0), v.maxValue(4, 'must be at most 4 in')),
  declaredQuarts: Places,
  declaredPints: Places,
});

/** The body of `PUT /api/household`. An altitude of null is one not set yet. */
export const Household = v.object({
  name: v.pipe(v.string(), v.trim(), v.maxLength(60, 'is too long')),
  altitudeFt: v.nullable(AltitudeFt),
  /** What figures are shown in first: pounds and feet, or kilograms and metres. */
  units: v.optional(v.picklist(['us', 'metric'], 'must be us or metric'), 'us'),
  burners: v.pipe(v.number(), v.integer(), v.minValue(1, 'must be 1 or more'), v.maxValue(12, 'must be at most 12')),
  canners: v.pipe(v.array(CannerSchema), v.maxLength(12, 'are too many')),
});
export type Household = v.InferOutput<typeof Household>;
