import { type DayPlan } from '@hoddle/core/day/planDay';
import { type Replay } from '@hoddle/core/replay/replayDay';
import { type WayOut } from '@hoddle/core/day/whatGives';

/** A plan as it is kept and sent: nothing but plain values. */
export interface PlannedDay extends Omit<DayPlan, 'cannerOf'> {
  /** Over by then in nine of ten tries, minutes from its start. */
  readonly lateMin: number;
  /** The step that most often makes it late. */
  readonly latest?: Replay['latest'];
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
