import { type DayPlan, type DayPlanner, planDay, whyNot } from '@hoddle/core/day/planDay';
import { type DayQuestion, problemOf } from '@hoddle/core/day/questionOfDay';
import { type Replay, REPLAYS, replayDay } from '@hoddle/core/replay/replayDay';
import { type RuleNotMet } from '@hoddle/core/scheduling/scheduleProblem';
import { type WayOut, whatGives } from '@hoddle/core/day/whatGives';
import { type Asked, laidAnd } from './asked';
import { type DayAnswer, type PlannedDay } from './dayPlanAnswer';

/** The tries behind "9 in 10 by" start from this seed, so that the same plan always says the same time. */
const SEED = 1;
/** Of a plan that a better one may follow at once, and of one that stays. */
const FIRST_TRIES = 50;
/** Nodes between two looks at the clock. */
const NODES_A_LOOK = 40;
/** A word to the page at least so often, so that it knows the search is alive. */
const TELL_EVERY_MS = 250;
/** Nodes after which a plan is good enough: the same number everywhere, so that the same day is the same plan. */
const NODES_IN_ALL = 20_000;

/** Where the nodes ran out before a plan was found and before it was proven that there is none. */
const UNDECIDED = {
  sentence: 'No plan was found that keeps every rule, nor a proof that there is none.',
  tasks: [],
};

/** Looks for the plan of a day and tells each better one; where there is none, why, and what would make it possible. */
export function tellDayPlan(data: Asked<DayQuestion>): void {
  const question = laidAnd(data);
  late = undefined;
  beat();
  const planner = planDay(question);
  if (planner.kind === 'planner') search(question, planner);
  else refuse(question, planner.cause === 'rules' ? planner.unmet : undefined);
}

function search(question: DayQuestion, planner: DayPlanner): void {
  let told: number | undefined;
  const goOn = () => {
    const until = performance.now() + TELL_EVERY_MS;
    let state = planner.state;
    while (!state.done && state.nodes < NODES_IN_ALL && performance.now() < until) {
      state = planner.step(state.plan ? NODES_A_LOOK : NODES_A_LOOK / 8);
      if (state.plan && state.plan.makespanMin !== told) break;
    }
    const over = state.done || state.nodes >= NODES_IN_ALL;
    const isNews = state.plan?.makespanMin !== told;
    told = state.plan?.makespanMin;
    if (!state.plan && over) return refuse(question, state.done ? whyNot(question, beat) : UNDECIDED);
    if (state.plan)
      tell({ kind: 'plan', plan: planned(question, state.plan, isNews && !over ? FIRST_TRIES : REPLAYS), over });
    else beat();
    if (!over) setTimeout(goOn);
  };
  goOn();
}

/** Says why, and what would make it possible; each way out is tried, which takes a while. */
function refuse(question: DayQuestion, why?: Pick<RuleNotMet, 'sentence' | 'tasks'>): void {
  const waysOut: WayOut[] = [];
  for (const way of whatGives(question)) {
    beat();
    if (way) waysOut.push(way);
  }
  tell({ kind: 'refused', sentence: why?.sentence, tasks: why?.tasks ?? [], waysOut });
}

/** A word that the search is alive. */
function beat(): void {
  tell({ kind: 'beat' });
}

/** What is known of how late the plan may be: by a few tries at first, since it takes longer than the search's first steps. */
let late: (Replay & { makespanMin: number; tries: number }) | undefined;

function planned(question: DayQuestion, { cannerOf, ...plan }: DayPlan, tries: number): PlannedDay {
  const { makespanMin } = plan;
  if (late?.makespanMin !== makespanMin || late.tries < tries) {
    const problem = problemOf(question, cannerOf);
    late = { ...replayDay(problem, plan.tasks, SEED, tries), makespanMin, tries };
  }
  const { lateMin, latest } = late;
  return {
    ...plan,
    lateMin: Math.max(makespanMin, lateMin),
    ...(latest && { latest }),
    cannerOf: Object.fromEntries(cannerOf),
  };
}

function tell(answer: DayAnswer): void {
  self.postMessage(answer);
}
