import { BOILING_WATER } from './boilingWater';
import { PRESSURE } from './pressure';

const ROW_IDS = new Set([...BOILING_WATER, ...PRESSURE].map(({ id }) => id));

/** Whether an id names a row of the tables of tested times, with the figures it has now. */
export function isTableRow(rowId: string): boolean {
  return ROW_IDS.has(rowId);
}
