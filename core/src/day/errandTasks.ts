import { type DayKitchen } from './dayKitchen';
import { ANYBODY, type DayTask, HANDS, ownHands, WATCH } from './dayProblem';
import { type Errand, errandMinutes, errandsOn, fixedTime, windowOf } from './errand';
import { DAY_MIN } from './kitchenSetup';

/** Errands find their own time on so many days of a plan; later ones stand at the beginning of theirs. */
const DAYS_MOVED = 2;

/** What of a kitchen says who is when elsewhere. */
export type KitchenLife = Pick<DayKitchen, 'setup' | 'startMinute' | 'weekday' | 'errands'>;

/** An errand with a choice of time: its window in minutes of the plan. */
export interface MovableErrand {
  readonly errand: Errand;
  readonly day: number;
  readonly fromMin: number;
  readonly toMin: number;
}

/**
 * Errands whose time the plan finds, on the days it is looked for. One that has too little time left when the plan begins is taken
 * for done.
 */
export function movableErrands({ setup: { cooks }, startMinute, weekday, errands }: KitchenLife): MovableErrand[] {
  return Array.from({ length: DAYS_MOVED }, (_, day) =>
    errandsOn(cooks, { weekday, errands }, day).flatMap((errand): MovableErrand[] => {
      const cook = cooks.find(({ name }) => name === errand.cook);
      const window = cook && windowOf(errand, cook);
      if (!window) return [];
      const midnight = day * DAY_MIN - startMinute;
      const fromMin = Math.max(0, midnight + window.fromMin);
      const toMin = midnight + window.toMin;
      return toMin - fromMin >= errandMinutes(errand) ? [{ errand, day, fromMin, toMin }] : [];
    }),
  ).flat();
}

/** An errand that stands at its time, in minutes of the plan. */
export interface StandingErrand {
  readonly errand: Errand;
  readonly fromMin: number;
  readonly toMin: number;
}

/** Errands of a day of the plan that nothing moves: when their cooks are at them. */
export function standingErrands(
  { setup: { cooks }, startMinute, ...told }: KitchenLife,
  day: number,
): StandingErrand[] {
  return errandsOn(cooks, told, day).flatMap((errand): StandingErrand[] => {
    const cook = cooks.find(({ name }) => name === errand.cook);
    if (!cook || (day < DAYS_MOVED && windowOf(errand, cook))) return [];
    const midnight = day * DAY_MIN - startMinute;
    const [from, to] = fixedTime(errand, cook);
    return [{ errand, fromMin: midnight + from, toMin: midnight + to }];
  });
}

/**
 * Errands as tasks of the day: they take a pair of hands, and their cook's own; who goes away leaves the house, so that nothing is on
 * the fire where nobody else stays. The day may be over before them.
 */
export function errandTasks(life: KitchenLife): DayTask[] {
  return movableErrands(life).map(({ errand, day, fromMin, toMin }): DayTask => {
    const minutes = errandMinutes(errand);
    const { id, cook, words = 'Errand', atHome } = errand;
    return {
      id: errandTaskId(id, day),
      kind: 'errand',
      words,
      minutes: { p10: minutes, p50: minutes, p90: minutes },
      needs: { [HANDS]: 1, [ownHands(cook)]: 1, ...(!atHome && { [WATCH]: ANYBODY }) },
      after: [],
      releaseMin: fromMin,
      dueMin: toMin,
      cook,
      uncounted: true,
    };
  });
}

/** The id of the task that an errand is on a day of the plan. */
export function errandTaskId(id: string, day: number): string {
  return day === 0 ? `errand ${id}` : `errand ${id}, day ${day + 1}`;
}
