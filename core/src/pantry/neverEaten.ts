import { type UseRecord } from './useRecord';

/** So long a product has to have stood there before anything is said of nobody taking it. Common practice. */
const LONG_DAYS = 270;

/** Whether jars of it stood on the shelf for most of a year and none was eaten. */
export function isNeverEaten({ months }: UseRecord): boolean {
  const days = months.reduce((sum, month) => sum + month.days, 0);
  return days >= LONG_DAYS && months.every(({ jars }) => jars === 0);
}
