import { processAt } from '@hoddle/core/process/findProcess';
import { type Refusal } from '@hoddle/core/process/refusal';
import { type TestedRow } from '@hoddle/core/process/testedRow';

/** Whether a look-up holds in this kitchen; while its altitude is not set, whether it holds anywhere. */
export function isTestedHere(row: TestedRow | Refusal, altitudeFt: number | null): boolean {
  if (row.kind === 'refusal') return false;
  return altitudeFt === null || processAt(row, altitudeFt).kind === 'tested';
}
