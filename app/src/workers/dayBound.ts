import { planDay } from '@hoddle/core/day/planDay';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type DayBound } from '@hoddle/core/day/withBound';
import { type Asked, laidAnd } from './asked';

const NODES_A_LOOK = 40;
/** Nodes after which the bound is left as it is. */
const NODES_IN_ALL = 20_000;

/** Raises the bound of a day's plan beside the search for it, and tells each step. It never says how the plan should be. */
export function tellDayBound(data: Asked<DayQuestion>): void {
  const planner = planDay(laidAnd(data), 'bound');
  if (planner.kind === 'refusal') return;
  let told = 0;
  const goOn = () => {
    const { plan, done, nodes } = planner.step(NODES_A_LOOK);
    if (plan && plan.lowerBoundMin > told) {
      told = plan.lowerBoundMin;
      const { lowerBoundMin, unsaved, isWaterInTime } = plan;
      const bound: DayBound = { lowerBoundMin, unsaved, isWaterInTime };
      self.postMessage(bound);
    }
    if (!done && nodes < NODES_IN_ALL) setTimeout(goOn);
  };
  goOn();
}
