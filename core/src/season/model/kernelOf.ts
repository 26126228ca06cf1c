import { always } from './modelPart';
import { type BatchColumns } from './seasonColumns';
import { type SeasonModel } from './seasonModel';

/** What the relaxation begins less of is its rounding. */
const BEGUN = 1e-6;

/** Whether a product on a day is one that good plans are made of. */
export type Likely = (batch: BatchColumns) => boolean;

/**
 * What the relaxation makes a little of is likely, the rest is not: few products on few days, and nearly all that a good plan
 * is made of. Method: kernel search, Angelelli, Mansini and Speranza 2010.
 *
 * @param relaxed values of the relaxation, by column
 */
export function likelyOf({ batches }: SeasonModel, relaxed: ArrayLike<number>): Likely {
  const keys = new Set(batches.filter(({ begun }) => (relaxed[begun] ?? 0) > BEGUN).map(keyOf));
  return (batch) => keys.has(keyOf(batch));
}

function keyOf({ day, recipe }: BatchColumns): string {
  return `${day.id} ${recipe.id}`;
}

/** Products on days that are likely, or that a plan makes. @param values those of the plan */
export function kernelOf({ batches }: SeasonModel, likely: Likely, values: ArrayLike<number>): BatchColumns[] {
  return batches.filter((batch) => likely(batch) || (values[batch.begun] ?? 0) > BEGUN);
}

/** Columns of products on days, and all that they touch; what others take stays as it is. */
export function columnsOf(columns: SeasonModel, own: readonly BatchColumns[]): ReadonlySet<number> {
  const { days, takings, thawed } = columns;
  const asked = new Set(own.flatMap(({ day, recipe }) => recipe.crops.map(({ crop }) => `${day.id} ${crop}`)));
  const onDays = new Set(own.map(({ day }) => day));
  return new Set([
    ...always(columns),
    ...own.flatMap(({ begun, loads, jars }) => [begun, loads, jars[0]]),
    ...days.filter(({ day }) => onDays.has(day)).map(({ column }) => column),
    ...takings.filter(({ day, arrival }) => asked.has(`${day.id} ${arrival.crop}`)).map(({ column }) => column),
    ...thawed.filter(({ day, crop }) => asked.has(`${day.id} ${crop}`)).map(({ column }) => column),
  ]);
}
