import { planDay } from '@hoddle/core/day/planDay';
import { type PlanFigures, planFigures } from '@hoddle/core/day/planFigures';
import { type DayQuestion, problemOf } from '@hoddle/core/day/questionOfDay';
import { replayDay } from '@hoddle/core/replay/replayDay';
import { type Asked, laidAnd } from './asked';

/** What one of the days asked about comes to; without figures where no plan was found. */
export interface DayFigures {
  readonly index: number;
  readonly figures?: PlanFigures & { readonly lateMin: number };
}

/** As long as two ways to do a day are held against each other. */
const NODES_EACH = 2_000;
const NODES_A_LOOK = 200;
const LATE_SEED = 1;

/** Tells what each of some days comes to, and tells it anew when a better plan is found. */
export function tellDayCompare(data: Asked<readonly DayQuestion[]>): void {
  for (const [index, question] of laidAnd(data).entries()) {
    const planner = planDay(question);
    if (planner.kind === 'refusal') {
      tell({ index });
      continue;
    }
    let told: number | undefined;
    let { state } = planner;
    while (!state.done && state.nodes < NODES_EACH) {
      state = planner.step(NODES_A_LOOK);
      const { plan } = state;
      if (!plan || plan.makespanMin === told) continue;
      told = plan.makespanMin;
      const { lateMin: late } = replayDay(problemOf(question, plan.cannerOf), plan.tasks, LATE_SEED);
      tell({ index, figures: { ...planFigures(question, plan), lateMin: Math.max(late, plan.makespanMin) } });
    }
    if (told === undefined) tell({ index });
  }
}

function tell(figures: DayFigures): void {
  self.postMessage(figures);
}
