import { type Batch } from './batch';
import { type Assignment, type DayKitchen } from './dayKitchen';
import { dayOf } from './dayOf';
import { type DayProblem } from './dayProblem';
import { type DayProgress, restOfDay } from './restOfDay';
import { type Wish, withWishes } from './wish';

/** What is asked of a day, before it is searched. */
export interface DayQuestion extends Omit<DayKitchen, 'cannerOf'> {
  readonly batches: readonly Batch[];
  readonly seed?: number;
  /** What the cook wishes of its loads. */
  readonly wishes?: readonly Wish[];
  /** All is over by this minute of the plan, or there is none. */
  readonly overByMin?: number;
  /** How far the day has come; its plan then begins now, and what has begun stays where it is. */
  readonly progress?: DayProgress;
  /** Pauses that are too long already are let go: food waits longer than it should, and the cook is told. */
  readonly letGo?: boolean;
}

/** The day, or what is left of it. */
export function problemOf(question: DayQuestion, cannerOf?: Assignment): DayProblem {
  const { progress, batches, wishes = [], letGo } = question;
  const whole = withWishes(dayOf(batches, { ...question, ...(cannerOf && { cannerOf }) }), wishes);
  return progress ? restOfDay(whole, progress, letGo) : whole;
}
