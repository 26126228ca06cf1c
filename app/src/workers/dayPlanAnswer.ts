import { type DayPlan } from '@hoddle/core/day/planDay';
import { type WayOut } from '@hoddle/core/day/whatGives';

/** A plan as it is kept and sent: nothing but plain values. */
export interface PlannedDay extends Omit<DayPlan, 'cannerOf'> {
  /** Over by then in nine of ten tries, minutes from its start. */
  readonly lateMin: number;
  /** Which canner each load goes into. */
  readonly cannerOf: Readonly<Record<string, string>>;
}

/** What the worker tells the page. */
export type DayAnswer =
  /** Nothing new: it is still at it. */
  | { readonly kind: 'beat' }
  | { readonly kind: 'plan'; readonly plan: PlannedDay; readonly over: boolean }
  | {
      readonly kind: 'refused';
      readonly sentence?: string;
      readonly tasks: readonly string[];
      readonly waysOut: readonly WayOut[];
    };

/** What a second worker knows of how early the day could be over, for plans that save as much and keep the same rule for water. */
export type DayBound = Pick<DayPlan, 'lowerBoundMin' | 'unsaved' | 'isWaterInTime'>;

/** A plan with a bound that was found beside its search, where that speaks of such plans. */
export function withBound(plan: PlannedDay, { lowerBoundMin, unsaved, isWaterInTime }: DayBound): PlannedDay {
  const isOfIt = isWaterInTime === plan.isWaterInTime && unsaved.join() === plan.unsaved.join();
  if (!isOfIt || lowerBoundMin <= plan.lowerBoundMin) return plan;
  const bound = Math.min(lowerBoundMin, plan.makespanMin);
  return { ...plan, lowerBoundMin: bound, proven: bound >= plan.makespanMin };
}
