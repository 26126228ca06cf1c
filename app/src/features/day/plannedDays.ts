import { handbookCanner } from '@hoddle/core/canner/handbookCanner';
import { type Batch } from '@hoddle/core/day/batch';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';
import { type DayPlan, planDay } from '@hoddle/core/day/planDay';
import { CANNERS } from '@hoddle/core/handbook/canners';

/** A plan for tests: batches in the largest common pot, called "c", from 8 in the morning on. */
export function planned(batches: readonly Batch[]): DayPlan {
  const row = CANNERS.find(({ canner }) => canner === '33-quart enamel');
  if (!row) throw new RangeError('no such canner in the handbook');
  const planner = planDay({
    batches,
    canners: [handbookCanner(row, { id: 'c' })],
    setup: { ...USUAL_KITCHEN, refrigeratorLb: 1_000 },
    startMinute: 480,
  });
  if (planner.kind === 'refusal') throw new Error(`no plan: ${planner.cause}`);
  for (let spent = 0; !planner.state.plan && spent < 20; spent++) planner.step(200);
  if (!planner.state.plan) throw new Error('no plan found');
  return planner.state.plan;
}
