import * as v from 'valibot';
import { Jar } from './crop';

const Inches = v.pipe(
  v.number('must be a number of inches'),
  v.gtValue(0, 'must be above 0'),
  v.maxValue(60, 'must be at most 60 in'),
);
const Height = v.pipe(
  v.number('must be a number of inches'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(12, 'must be at most 12 in'),
);
const Count = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(1, 'must be 1 or more'),
  v.maxValue(60, 'must be at most 60'),
);

/** Most jars that one request may hold. */
const MOST_JARS = 60;

/** The body of `POST /api/fit`: jars beside each other in one layer of a pot, all in inches. */
export const FitRequest = v.object({
  canner: v.object({
    insideDiameterIn: Inches,
    insideHeightIn: Inches,
    rackHeightIn: Height,
    /** Kept between jars, and from jar to wall. */
    clearanceIn: v.optional(Height, 0),
  }),
  jars: v.pipe(
    v.array(
      v.union(
        [v.object({ size: Jar, count: Count }), v.object({ diameterIn: Inches, heightIn: Inches, count: Count })],
        'must name a size, or diameterIn and heightIn, with a count',
      ),
    ),
    v.minLength(1, 'must hold at least one jar'),
    v.maxLength(20, 'are too many kinds'),
    v.check((jars) => jars.reduce((sum, { count }) => sum + count, 0) <= MOST_JARS, `are more than ${MOST_JARS}`),
  ),
});

/** Origin at the centre of the pot. `capacity` where all jars are of one kind. */
export const FitReply = v.strictObject({
  fits: v.boolean(),
  circles: v.array(v.strictObject({ x: v.number(), y: v.number(), r: v.number(), size: v.string() })),
  capacity: v.optional(v.number()),
  limitedBy: v.picklist(['floor', 'depth']),
});
