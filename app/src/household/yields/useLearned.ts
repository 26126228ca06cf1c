import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { learnYields, type LearnedYields } from '@hoddle/core/yields/yieldModel';
import { householdNow, useHousehold } from '@/store/useHousehold';

const DAY_MS = 24 * 60 * 60_000;

/** What the household's batches have taught, worked out once for every new batch and every day. */
export function useLearned(): LearnedYields {
  const { batchRecords } = useHousehold();
  return learnedOn(batchRecords, Math.floor(householdNow() / DAY_MS));
}

let last: { records: readonly BatchRecord[]; day: number; learned: LearnedYields } | undefined;

/** The same records on the same day are what every screen asks about. */
function learnedOn(records: readonly BatchRecord[], day: number): LearnedYields {
  if (last?.records !== records || last.day !== day) {
    last = { records, day, learned: learnYields(records, day * DAY_MS) };
  }
  return last.learned;
}
