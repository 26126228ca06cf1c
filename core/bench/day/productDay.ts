import { handbookCanner } from '../../src/canner/handbookCanner';
import { type Batch } from '../../src/day/batch';
import { dayOf } from '../../src/day/dayOf';
import { scheduleProblemOf } from '../../src/day/dayProblem';
import { USUAL_KITCHEN } from '../../src/day/kitchenSetup';
import { type DayQuestion } from '../../src/day/questionOfDay';
import { type ScheduleProblem } from '../../src/scheduling/scheduleProblem';
import { CANNERS } from '../../src/handbook/canners';
import { KG_PER_LB } from '../../src/measure/amount';

/** A product, its jar, jars of each load, and pounds of it. */
export type Made = readonly [product: Batch['product'], jar: Batch['jar'], loads: readonly number[], pounds: number];

/** What is asked of a day with every step of the handbook, one cook and one common pot or more, from 8 in the morning on. */
export function productQuestion(made: readonly Made[], pots = 1): DayQuestion {
  const [row] = CANNERS;
  if (!row) throw new RangeError('no canner in the handbook');
  const batches = made.map(([product, jar, loads, pounds], k): Batch => ({
    id: `batch ${k}`,
    product,
    jar,
    pack: 'hot',
    method: 'boiling-water',
    altitudeFt: 0,
    processMinutes: 45,
    cannerId: 'pot',
    startAt: 0,
    uses: [{ pickId: 'pick', massKg: pounds * KG_PER_LB, softKg: 0 }],
    loads: loads.map((jars, i) => ({ id: `load ${k}.${i}`, number: i + 1, jars })),
  }));
  const canners = Array.from({ length: pots }, (_, i) => handbookCanner(row, { id: i === 0 ? 'pot' : `pot ${i + 1}` }));
  return { batches, canners, setup: USUAL_KITCHEN, startMinute: 8 * 60 };
}

/** {@link productQuestion} in one pot, as the search takes it. */
export function productDay(made: readonly Made[]): ScheduleProblem {
  const { batches, ...kitchen } = productQuestion(made);
  return scheduleProblemOf(dayOf(batches, kitchen));
}
