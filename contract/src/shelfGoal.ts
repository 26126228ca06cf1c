import * as v from 'valibot';
import { MOST_JARS } from '@hoddle/core/pantry/jarLot';
import { PRIORITIES } from '@hoddle/core/pantry/shelfGoal';
import { Jar, Product } from './crop';

/** The body of `PUT /api/goals`: what the household wants of a product in one size of jar. */
export const ShelfGoalSchema = v.object({
  product: Product,
  jar: Jar,
  jars: v.nullable(
    v.pipe(
      v.number('must be a number'),
      v.integer('must be whole'),
      v.minValue(0, 'must be 0 or more'),
      v.maxValue(MOST_JARS, `must be at most ${MOST_JARS.toLocaleString('en-US')}`),
    ),
  ),
  perMonth: v.nullable(
    v.pipe(v.number('must be a number'), v.minValue(0, 'must be 0 or more'), v.maxValue(500, 'must be at most 500')),
  ),
  priority: v.optional(v.picklist(PRIORITIES, `must be one of ${PRIORITIES.join(', ')}`), 'want'),
});
