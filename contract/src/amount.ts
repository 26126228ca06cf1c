import * as v from 'valibot';
import { UNIT_IDS } from '@hoddle/core/measure/amount';
import { readNumber } from '@hoddle/core/measure/readNumber';

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

export const UnitSchema = v.picklist(UNIT_IDS, `must be one of ${UNIT_IDS.join(', ')}`);

export const AmountSchema = v.object(
  { value: v.pipe(Figure, v.gtValue(0, 'must be above 0'), v.finite('must be finite')), unit: UnitSchema },
  'must be { value, unit }',
);

/** How produce is cut or pressed: "crushed". */
export const Form = v.pipe(v.string(), v.trim(), v.maxLength(60, 'is too long'));
