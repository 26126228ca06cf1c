import { type Batch } from './batch';
import { type Assignment, type DayKitchen } from './dayKitchen';
import { dayOf } from './dayOf';
import { type DayProblem } from './dayProblem';
import { DAY_MIN } from './kitchenSetup';
import { type DayProgress, restOfDay } from './restOfDay';

/** What is asked of a day, before it is searched. */
export interface DayQuestion extends Omit<DayKitchen, 'cannerOf'> {
  readonly batches: readonly Batch[];
  readonly seed?: number;
  /** All is over by this minute of the plan, or there is none. */
  readonly overByMin?: number;
  /** How far the day has come; its plan then begins now, and what has begun stays where it is. */
  readonly progress?: DayProgress;
  /** Pauses that are too long already are let go: food waits longer than it should, and the cook is told. */
  readonly letGo?: boolean;
}

/** The day, or what is left of it. */
export function problemOf(question: DayQuestion, cannerOf?: Assignment): DayProblem {
  const { progress, batches, startMinute, letGo } = question;
  const whole = (from: number) => dayOf(batches, { ...question, startMinute: from, ...(cannerOf && { cannerOf }) });
  if (!progress) return whole(startMinute);
  return restOfDay(whole((startMinute + progress.nowMin) % DAY_MIN), progress, letGo);
}
