import * as v from 'valibot';

/** The body of `PUT /api/clock`: how far the demo's clock runs ahead of the real one. A real household has none. */
export const Clock = v.object({
  offsetMs: v.pipe(
    v.number('must be a number of milliseconds'),
    v.integer('must be whole'),
    v.minValue(-4e11),
    v.maxValue(4e11),
  ),
});
