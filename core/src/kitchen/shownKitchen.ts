import { type Batch } from '../day/batch';
import { type DayKitchen } from '../day/dayKitchen';
import { daysBetween, MOST_DAYS } from '../day/daysTogether';
import { kitchenOf, type KitchenTold } from '../day/kitchenOf';
import { groupBy } from '../handbook/groupBy';
import { localDay } from '../measure/localTime';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { type LoadState } from './loadState';
import { type PaceSeen, pacesLearned, pacesSeen } from './pace';
import { heatUpsTaken, restsTaken } from './timesTaken';

/** A kitchen with what it has shown of itself. */
export type ShownKitchen = Required<Pick<DayKitchen, 'canners' | 'ownJars' | 'setup' | 'heatUpsTaken' | 'restsTaken'>> &
  Pick<DayKitchen, 'paces'>;

/** What was lived through in a kitchen. */
export interface Lived {
  readonly batches: readonly Batch[];
  readonly dayEvents: readonly DayEvent[];
  /** Where every load stands, by its id. */
  readonly states: ReadonlyMap<string, LoadState>;
}

/** The household's pace at each step, and in general, from the days it has run. @param without dates that are left out */
export function pacesOf(
  told: KitchenTold,
  { batches, dayEvents }: Pick<Lived, 'batches' | 'dayEvents'>,
  without: readonly string[] = [],
): ReturnType<typeof pacesLearned> & { readonly seen: readonly PaceSeen[] } {
  const kitchen = kitchenOf(told);
  const { timeZone, handsPace } = kitchen.setup;
  const byDay = groupBy(batches, ({ startAt }) => localDay(startAt, timeZone));
  // What is planned together is told under its first date.
  const dates = [...byDay.keys()];
  const ofPlan = (day: string) =>
    dates
      .filter((date) => daysBetween(day, date) >= 0 && daysBetween(day, date) < MOST_DAYS)
      .flatMap((date) => byDay.get(date) ?? []);
  const seen = [...groupBy(dayEvents, ({ day }) => day)].flatMap(([day, events]) =>
    without.includes(day) ? [] : pacesSeen(ofPlan(day), kitchen, dayState(events)),
  );
  return { seen, ...pacesLearned(seen, handsPace) };
}

/**
 * The minutes a kitchen goes by: its own pace at each step, and what each canner takes to the boil and to cool. The one
 * place where a day, the kitchen, a season and the server get them from.
 *
 * @param without dates that are left out, so that the plan of a day stays while it is done
 */
export function shownKitchen(told: KitchenTold, lived: Lived, without: readonly string[] = []): ShownKitchen {
  const kitchen = kitchenOf(told);
  const before = lived.batches.filter(({ startAt }) => !without.includes(localDay(startAt, kitchen.setup.timeZone)));
  const { seen, general, of } = pacesOf(told, lived, without);
  return {
    ...kitchen,
    heatUpsTaken: heatUpsTaken(before, lived.states),
    restsTaken: restsTaken(before, lived.states),
    ...(seen.length > 0 && {
      setup: { ...kitchen.setup, handsPace: general },
      paces: new Map(of.map(({ step, factor }) => [step, factor])),
    }),
  };
}
