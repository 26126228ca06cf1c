import * as v from 'valibot';

const RowId = v.pipe(v.string(), v.minLength(1, 'is empty'), v.maxLength(160, 'is too long'));
const Day = v.pipe(v.string(), v.isoDate('must be a day such as 2026-08-29'));

/** A row of the handbook that the household has held against the page. */
export const CheckedRow = v.object({ rowId: RowId, checkedOn: Day });
export type CheckedRow = v.InferOutput<typeof CheckedRow>;

/** The body of `PUT /api/checked-rows`: null takes the mark back. */
export const CheckRequest = v.object({ rowId: RowId, checkedOn: v.nullable(Day) });
export type CheckRequest = v.InferOutput<typeof CheckRequest>;
