import { planDay } from '@hoddle/core/day/planDay';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type Asked, laidAnd } from './asked';
import { type DayEnd } from './dayEnd';

/** A first look is enough to tell two ways of parting the loads from each other; the plan itself is searched on. */
const NODES_EACH = 1_500;

/** Tells when each of some days is over, one after the other. */
export function tellDayEnds(data: Asked<readonly DayQuestion[]>): void {
  for (const [index, question] of laidAnd(data).entries()) {
    const planner = planDay(question);
    const plan = planner.kind === 'planner' ? planner.step(NODES_EACH).plan : undefined;
    const end: DayEnd = { index, endMin: plan?.makespanMin };
    self.postMessage(end);
  }
}
