import * as v from 'valibot';
import { Day } from './id';

const RowId = v.pipe(v.string(), v.minLength(1, 'is empty'), v.maxLength(160, 'is too long'));

/** A row of the handbook that the household has held against the page. */
export const CheckedRow = v.object({ rowId: RowId, checkedOn: Day });
export type CheckedRow = v.InferOutput<typeof CheckedRow>;

/** The body of `PUT /api/checked-rows`: null takes the mark back. */
export const CheckRequest = v.object({ rowId: RowId, checkedOn: v.nullable(Day) });
export type CheckRequest = v.InferOutput<typeof CheckRequest>;
