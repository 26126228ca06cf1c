import { type HouseholdState } from '@hoddle/contract/householdState';
import { type SeasonPlanRequest } from '@hoddle/contract/season';
import { layOwnPages } from '@hoddle/core/handbook/ownPages';
import { ownPagesOf } from '@hoddle/core/recipe/own/pagesOf';
import { dayCheck } from '@hoddle/core/season/search/dayCheck';
import { highsSolver } from '@hoddle/core/season/model/highsSolver';
import { planSeason, type SeasonNews } from '@hoddle/core/season/search/planSeason';
import { seasonOfHousehold } from '@hoddle/core/season/problem/seasonOfHousehold';
import { type SeasonReport, seasonReport } from '@hoddle/core/season/report/seasonReport';
import { seasonHousehold } from './seasonHousehold';

export interface SeasonTask {
  readonly state: HouseholdState;
  readonly request: Omit<SeasonPlanRequest, 'id'>;
}

/** A plan, or a sentence why there is none. */
export type SeasonOutcome =
  { readonly kind: 'planned'; readonly report: SeasonReport } | { readonly kind: 'nothing'; readonly message: string };

/** Less than this is no news: a share of the solver's many. */
const NEWS_EVERY_S = 0.25;

/**
 * Plans the household's season, within the seconds of the request. The clock is read here: core does not know of one.
 *
 * @param onNews how far it has come; answers whether to go on
 */
export async function planHousehold(
  { state, request: { weeks, seconds, whatIf, cautious } }: SeasonTask,
  onNews: (news: Omit<SeasonNews, 'plan'>) => boolean,
): Promise<SeasonOutcome> {
  const began = performance.now();
  const elapsed = () => (performance.now() - began) / 1_000;
  layOwnPages(ownPagesOf(state.recipes));
  const { now, household } = state;
  if (household.altitudeFt === null) return nothing('Set the altitude of the kitchen first: tested times go by it.');
  if (!state.goals.some(({ jars }) => (jars ?? 0) > 0)) return nothing('No jars are wanted yet: say how many first.');
  const own = seasonHousehold(state, household.altitudeFt, now);
  const { problem, kitchen, outlook, leftOut } = seasonOfHousehold(own, now, {
    ...{ weeks, cautious },
    ...(whatIf && { whatIf }),
  });
  if (problem.days.length === 0) return nothing('No days are given in that time: say which first.');
  if (problem.recipes.length === 0) {
    const [first] = leftOut;
    return nothing(`Nothing that is wanted can be made here. ${first?.reason ?? ''}`.trim());
  }
  const solve = await highsSolver();
  let toldAt = -Infinity;
  let goOn = true;
  const planned = planSeason(problem, solve, {
    ...{ seconds, elapsed, seed: 1 },
    canBeDone: dayCheck(problem, kitchen),
    onNews: ({ plan, ...news }) => {
      if (plan === undefined && elapsed() - toldAt < NEWS_EVERY_S) return goOn;
      toldAt = elapsed();
      return (goOn = onNews(news) && goOn);
    },
  });
  return { kind: 'planned', report: seasonReport(problem, planned, { outlook, leftOut, now, cautious }) };
}

function nothing(message: string): SeasonOutcome {
  return { kind: 'nothing', message };
}
