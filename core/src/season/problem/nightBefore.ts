import { daysBetween } from '../../day/daysTogether';
import { type SeasonDayPlan, type SeasonPlan } from './seasonPlan';
import { type SeasonDay, type SeasonProblem } from './seasonProblem';

/** A day with what is made on it. */
export interface DayAsPlanned {
  readonly day: SeasonDay;
  readonly planned: SeasonDayPlan;
}

/** The day before a day, where something of it stands overnight: that is finished by the hands and in the canners of both. */
export function nightBefore(
  { days, recipes }: Pick<SeasonProblem, 'days' | 'recipes'>,
  plan: Pick<SeasonPlan, 'days'>,
  { id }: Pick<SeasonDay, 'id'>,
): DayAsPlanned | undefined {
  const planned = plan.days.find((each) => daysBetween(each.day, id) === 1);
  const day = planned && days.find((each) => each.id === planned.day);
  const stands = planned?.batches.some(({ recipe }) => recipes.find((each) => each.id === recipe)?.overnight);
  return day && stands ? { day, planned } : undefined;
}
