import { type SeasonDay, type SeasonProblem, type SeasonRecipe } from './seasonProblem';

/** Hands of a day wait for pots now and then: nobody plans more of their hours than this. Common practice. */
const HANDS_USED = 0.85;
/** From an hour of a day to the same hour of the next. */
export const NIGHT_MIN = 24 * 60;

/** Minutes of hands that a day is planned with. */
export function usableHands({ handsMinutes }: SeasonDay): number {
  return HANDS_USED * handsMinutes;
}

/** Minutes that a canner can be at work on a day: before its first load there is a first product to prepare. */
export function canningMinutes(
  { firstHeatMinutes }: Pick<SeasonProblem, 'firstHeatMinutes'>,
  day: SeasonDay,
  recipes: readonly SeasonRecipe[],
): number {
  const canned = recipes.filter(({ into }) => into === undefined);
  // What stands overnight goes into its canner by the next day's clock.
  const leads = canned.map(
    ({ leastMinutes, cannerMinutes, overnight }) => leastMinutes - cannerMinutes - (overnight ? NIGHT_MIN : 0),
  );
  return day.windowMinutes - Math.max(firstHeatMinutes, canned.length === 0 ? 0 : Math.min(...leads));
}
