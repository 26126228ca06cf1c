import { dayOf } from '@hoddle/core/day/dayOf';
import { lateFinishMin } from '@hoddle/core/day/lateFinish';
import { type DayPlan, type DayPlanner, type DayQuestion, planDay, whyNot } from '@hoddle/core/day/planDay';
import { whatGives } from '@hoddle/core/day/whatGives';
import { type DayAnswer, type PlannedDay } from './dayPlanAnswer';

/** The tries behind "9 in 10 by" start from this seed, so that the same plan always says the same time. */
const SEED = 1;
/** Nodes between two looks at the clock. */
const NODES_A_LOOK = 40;
/** A word to the page at least so often, so that it knows the search is alive. */
const TELL_EVERY_MS = 250;
/** Nodes after which a plan is good enough: the same number everywhere, so that the same day is the same plan. */
const NODES_IN_ALL = 20_000;

self.onmessage = ({ data }: MessageEvent<DayQuestion>) => {
  const planner = planDay(data);
  if (planner.kind === 'refusal') {
    const sentence = planner.cause === 'rules' ? planner.unmet.sentence : undefined;
    const tasks = planner.cause === 'rules' ? planner.unmet.tasks : [];
    tell({ kind: 'refused', sentence, tasks, waysOut: whatGives(data) });
    return;
  }
  search(data, planner);
};

function search(question: DayQuestion, planner: DayPlanner): void {
  let told: number | undefined;
  const goOn = () => {
    const until = performance.now() + TELL_EVERY_MS;
    let state = planner.state;
    while (!state.done && state.nodes < NODES_IN_ALL && performance.now() < until) {
      state = planner.step(NODES_A_LOOK);
      if (state.plan && state.plan.makespanMin !== told) break;
    }
    const over = state.done || state.nodes >= NODES_IN_ALL;
    told = state.plan?.makespanMin;
    if (!state.plan && over) {
      const { sentence, tasks } = whyNot(question);
      tell({ kind: 'refused', sentence, tasks, waysOut: whatGives(question) });
      return;
    }
    if (state.plan) tell({ kind: 'plan', plan: planned(question, state.plan), over });
    if (!over) setTimeout(goOn);
  };
  goOn();
}

/** How late it may be is worked out once a plan: it takes longer than the search's first steps. */
let late: { makespanMin: number; lateMin: number } | undefined;

function planned(question: DayQuestion, { cannerOf, ...plan }: DayPlan): PlannedDay {
  if (late?.makespanMin !== plan.makespanMin) {
    const problem = dayOf(question.batches, { ...question, cannerOf });
    const lateMin = Math.max(plan.makespanMin, lateFinishMin(problem, plan.tasks, SEED));
    late = { makespanMin: plan.makespanMin, lateMin };
  }
  return { ...plan, lateMin: late.lateMin, cannerOf: Object.fromEntries(cannerOf) };
}

function tell(answer: DayAnswer): void {
  self.postMessage(answer);
}
