import * as v from 'valibot';
import { HARVEST_UNITS } from '@hoddle/core/measure/amount';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { Crop, Jar } from './crop';

/** A figure, or one as a cook types it ("1 1/4"). */
const Figure = v.union(
  [
    v.number(),
    v.pipe(
      v.string(),
      v.maxLength(40),
      v.rawTransform(({ dataset, addIssue, NEVER }) => {
        const reading = readNumber(dataset.value);
        if (reading.kind === 'number') return reading.value;
        addIssue({ message: 'must be an amount such as 68 or 1 1/4' });
        return NEVER;
      }),
    ),
  ],
  'must be an amount such as 68 or 1 1/4',
);

const Amount = v.object(
  {
    value: v.pipe(Figure, v.gtValue(0, 'must be above 0'), v.finite('must be finite')),
    unit: v.picklist(HARVEST_UNITS, `must be one of ${HARVEST_UNITS.join(', ')}`),
  },
  'must be { value, unit }',
);

/** The body of `POST /api/estimate`. */
export const EstimateRequest = v.object({
  crop: Crop,
  amount: Amount,
  product: v.pipe(v.string('is missing'), v.trim(), v.minLength(1, 'is empty'), v.maxLength(80, 'is too long')),
  jar: Jar,
});
