import { planDay } from '@hoddle/core/day/planDay';
import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { layOwnPages } from '@hoddle/core/handbook/ownPages';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { ownPagesOf } from '@hoddle/core/recipe/own/pagesOf';

export interface DayPlanWork {
  readonly question: DayQuestion;
  /** The household's own, which a batch may be of. */
  readonly recipes: readonly OwnRecipe[];
}

/** So far a calendar looks: the page itself searches on. */
const NODES_IN_ALL = 3_000;
const NODES_A_LOOK = 100;

/** The plan of a day, as far as a calendar needs it; undefined where none was found. Runs in a worker thread. */
export function dayPlanAnswer({ question, recipes }: DayPlanWork): readonly ScheduledTask[] | undefined {
  layOwnPages(ownPagesOf(recipes));
  const planner = planDay(question);
  if (planner.kind === 'refusal') return undefined;
  let { state } = planner;
  while (!state.done && state.nodes < NODES_IN_ALL) state = planner.step(NODES_A_LOOK);
  return state.plan?.tasks;
}
