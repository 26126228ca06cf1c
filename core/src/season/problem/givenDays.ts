import { errandMinutes, errandsOn, fixedTime, windowOf } from '../../day/errand';
import { type Cook, type KitchenSetup } from '../../day/kitchenSetup';
import { localDate, localDay, localMoment } from '../../measure/localTime';
import { type SeasonDay } from './seasonProblem';

/** Hours of one weekday that a household gives to preserving. */
export interface WeeklyHours {
  /** 0 is Sunday. */
  readonly weekday: number;
  readonly fromMin: number;
  readonly toMin: number;
}

/** Which days a household gives. */
export interface DaysGiven {
  readonly weekly: readonly WeeklyHours[];
  /** Days on which nothing is done: "2026-08-29". */
  readonly notOn: readonly string[];
  readonly mostAWeek: number;
  /** Gallon bags that the freezer has room for, empty. */
  readonly freezerBags: number;
}

/** Saturdays and two evenings: what most who work elsewhere have. Common practice. */
export const USUAL_DAYS: DaysGiven = {
  weekly: [
    { weekday: 6, fromMin: 8 * 60, toMin: 18 * 60 },
    { weekday: 2, fromMin: 17 * 60, toMin: 21 * 60 },
    { weekday: 4, fromMin: 17 * 60, toMin: 21 * 60 },
  ],
  notOn: [],
  mostAWeek: 3,
  freezerBags: 30,
};

/** Less than this left of a day begins nothing any more. */
const LEAST_MIN = 60;
const DAYS_A_WEEK = 7;
const QUARTER_MIN = 15;

/**
 * The days from now to an end that hands are given on, by the calendar of the household's place: a day has 23 hours once a year
 * and still begins at eight.
 *
 * @param now epoch milliseconds; hours gone by are not given any more
 * @param setup its cooks, whose hours of the day count, what they do besides taken off; and where they are
 */
export function givenDays(
  given: DaysGiven,
  now: number,
  endAt: number,
  { cooks, timeZone }: Pick<KitchenSetup, 'cooks' | 'timeZone'>,
): SeasonDay[] {
  const days: SeasonDay[] = [];
  const first = localDate(now, timeZone);
  for (let offset = 0; ; offset++) {
    const ofDay = (minute: number) =>
      localMoment(timeZone, [first.getFullYear(), first.getMonth(), first.getDate() + offset, minute]);
    const midnight = ofDay(0);
    if (midnight > endAt) return days;
    const id = localDay(midnight, timeZone);
    const date = localDate(midnight, timeZone);
    if (given.notOn.includes(id)) continue;
    const own = given.weekly.filter(({ weekday }) => weekday === date.getDay());
    if (own.length === 0) continue;
    // What is on hand now is there when the hands begin: from the next quarter of an hour on.
    const clock = first.getHours() * 60 + first.getMinutes() + first.getSeconds() / 60;
    const minutesGone = offset === 0 ? Math.ceil(clock / QUARTER_MIN) * QUARTER_MIN : 0;
    const spans = own
      .map(({ fromMin, toMin }) => ({ fromMin: Math.max(fromMin, minutesGone), toMin }))
      .filter(({ fromMin, toMin }) => toMin - fromMin >= LEAST_MIN);
    if (spans.length === 0) continue;
    const fromMin = Math.min(...spans.map((span) => span.fromMin));
    const toMin = Math.max(...spans.map((span) => span.toMin));
    days.push({
      id,
      at: ofDay(fromMin),
      windowMinutes: toMin - fromMin,
      handsMinutes: spans.reduce((sum, span) => sum + handsIn(cooks, span, date.getDay()), 0),
      week: Math.floor((offset + first.getDay()) / DAYS_A_WEEK),
      quiet: false,
    });
  }
}

/** Minutes of hands between two times of a day; an errand with a choice of time takes its part of them wherever it goes. */
function handsIn(
  cooks: readonly Cook[],
  { fromMin, toMin }: { readonly fromMin: number; readonly toMin: number },
  weekday: number,
): number {
  const inside = (span: { readonly fromMin: number; readonly toMin: number }) =>
    Math.max(0, Math.min(toMin, span.toMin) - Math.max(fromMin, span.fromMin));
  return cooks.reduce((sum, cook) => {
    const away = errandsOn([cook], { weekday }, 0).reduce((all, each) => {
      const [from, to] = windowOf(each, cook) ? [each.fromMin, each.toMin] : fixedTime(each, cook);
      const shared = inside({ fromMin: Math.max(from, cook.fromMin), toMin: Math.min(to, cook.toMin) });
      return all + (errandMinutes(each) * shared) / (to - from);
    }, 0);
    return sum + Math.max(0, inside(cook) - away);
  }, 0);
}
