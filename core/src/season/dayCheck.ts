import { planDay } from '../day/planDay';
import { localDate, localMinute } from '../measure/localTime';
import { batchesOfDay } from './batchesOfDay';
import { type SeasonKitchen } from './recipesFor';
import { type SeasonDayPlan } from './seasonPlan';
import { type SeasonDay, type SeasonProblem } from './seasonProblem';

/** Nodes in which a plan that is over in time must be found. */
const MOST_NODES = 120;
const STEP_NODES = 20;
const NIGHT_MIN = 24 * 60;

/**
 * Whether core/day finds a plan for a day that is over when its hands stop. A product that stands overnight is finished by
 * the same hour of the next day. What was asked once is remembered: the same loads in the same hours.
 */
export function dayCheck(
  { recipes }: Pick<SeasonProblem, 'recipes'>,
  kitchen: SeasonKitchen,
): (day: SeasonDay, planned: SeasonDayPlan) => boolean {
  const known = new Map<string, boolean>();
  return (day, planned) => {
    const begin = localDate(day.at, kitchen.setup.timeZone);
    const startMinute = localMinute(day.at, kitchen.setup.timeZone);
    const loads = planned.batches.map(({ recipe, jars }) => `${recipe} ${jars}`).sort();
    // What is done on some weekdays only makes one day differ from another.
    const weekday = begin.getDay();
    const key = [weekday, startMinute, day.windowMinutes, ...loads].join('|');
    const answer = known.get(key) ?? ask(day, planned, { startMinute, weekday });
    known.set(key, answer);
    return answer;
  };

  function ask(
    day: SeasonDay,
    planned: SeasonDayPlan,
    { startMinute, weekday }: { readonly startMinute: number; readonly weekday: number },
  ): boolean {
    const overnight = planned.batches.some(({ recipe }) => recipes.find(({ id }) => id === recipe)?.overnight);
    const until = day.windowMinutes + (overnight ? NIGHT_MIN : 0);
    const batches = batchesOfDay(planned, recipes, kitchen, day.at, (of) => of);
    const planner = planDay({ ...kitchen, batches, startMinute, weekday, seed: 1, overByMin: until });
    if (planner.kind === 'refusal') return false;
    let state = planner.state;
    while (!state.plan && !state.done && state.nodes < MOST_NODES) state = planner.step(STEP_NODES);
    return state.plan !== undefined;
  }
}
