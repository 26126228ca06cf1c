import { type DayPlan } from './planDay';

/** What a second search knows of how early a day could be over, for plans that save as much and keep the same rule for water. */
export type DayBound = Pick<DayPlan, 'lowerBoundMin' | 'unsaved' | 'isWaterInTime'>;

/** A plan with a bound that was found beside its search, where that speaks of such plans: it may prove it, and never changes it. */
export function withBound<Plan extends DayBound & Pick<DayPlan, 'makespanMin' | 'proven'>>(
  plan: Plan,
  { lowerBoundMin, unsaved, isWaterInTime }: DayBound,
): Plan {
  const isOfIt = isWaterInTime === plan.isWaterInTime && unsaved.join() === plan.unsaved.join();
  if (!isOfIt || lowerBoundMin <= plan.lowerBoundMin) return plan;
  const bound = Math.min(lowerBoundMin, plan.makespanMin);
  return { ...plan, lowerBoundMin: bound, proven: bound >= plan.makespanMin };
}
