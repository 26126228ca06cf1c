import { laterOf } from '../../day/daysTogether';
import { planDay } from '../../day/planDay';
import { localDate, localMinute } from '../../measure/localTime';
import { batchesOfDay } from './batchesOfDay';
import { NIGHT_MIN } from '../problem/dayHours';
import { type DayAsPlanned } from '../problem/nightBefore';
import { type SeasonKitchen } from '../problem/recipesFor';
import { type SeasonDayPlan } from '../problem/seasonPlan';
import { type SeasonDay, type SeasonProblem } from '../problem/seasonProblem';

/** Nodes in which a plan that is over in time must be found. */
const MOST_NODES = 120;
const STEP_NODES = 20;
const MINUTE_MS = 60_000;

/** Whether a day can be done as planned, by itself or together with the one before it. */
export type DayCheck = (day: SeasonDay, planned: SeasonDayPlan, before?: DayAsPlanned) => boolean;

/**
 * Whether core/day finds a plan for a day that is over when its hands stop. A product that stands overnight is finished by
 * the same hour of the next day; with what the day before left standing overnight both are laid out as one plan, as the
 * household will have them. What was asked once is remembered: the same loads in the same hours.
 */
export function dayCheck({ recipes }: Pick<SeasonProblem, 'recipes'>, kitchen: SeasonKitchen): DayCheck {
  const known = new Map<string, boolean>();
  const keyOf = ({ day, planned }: DayAsPlanned) => {
    const loads = planned.batches.map(({ recipe, jars }) => `${recipe} ${jars}`).sort();
    // What is done on some weekdays only makes one day differ from another.
    const weekday = localDate(day.at, kitchen.setup.timeZone).getDay();
    return [weekday, localMinute(day.at, kitchen.setup.timeZone), day.windowMinutes, ...loads].join('|');
  };
  return (day, planned, before) => {
    const days = [...(before ? [before] : []), { day, planned }];
    const key = days.map(keyOf).join('||');
    const answer = known.get(key) ?? ask(days);
    known.set(key, answer);
    return answer;
  };

  function ask(days: readonly DayAsPlanned[]): boolean {
    const [first, last] = [days[0], days.at(-1)];
    if (!first || !last) return true;
    const beginAt = first.day.at;
    const startMinute = localMinute(beginAt, kitchen.setup.timeZone);
    const weekday = localDate(beginAt, kitchen.setup.timeZone).getDay();
    const overnight = last.planned.batches.some(({ recipe }) => recipes.find(({ id }) => id === recipe)?.overnight);
    const until = (last.day.at - beginAt) / MINUTE_MS + last.day.windowMinutes + (overnight ? NIGHT_MIN : 0);
    const batches = days.flatMap(({ day, planned }) =>
      batchesOfDay(planned, recipes, kitchen, day.at, (of) => (day === first.day ? of : `${of} next`)),
    );
    const later = laterOf(batches, beginAt, kitchen.setup.timeZone);
    const planner = planDay({
      ...{ ...kitchen, batches, startMinute, weekday, seed: 1, overByMin: until },
      ...(later.size > 0 && { later }),
    });
    if (planner.kind === 'refusal') return false;
    let state = planner.state;
    while (!state.plan && !state.done && state.nodes < MOST_NODES) state = planner.step(STEP_NODES);
    return state.plan !== undefined;
  }
}
