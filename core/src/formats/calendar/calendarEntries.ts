import { type Batch, jarsWords, nameOf } from '../../day/batch';
import { type ScheduledTask } from '../../day/dayProblem';
import { countJars } from '../../handbook/jars';
import { stepClock } from '../../kitchen/stepClock';
import { localDay } from '../../measure/localTime';
import { type StockedLot } from '../../pantry/shelf';
import { reportedJars } from '../../season/report/reportedWords';
import { type CalendarPart } from './calendarPart';
import { recipeName } from '../../recipe/recipeName';
import { type ReportedDay } from '../../season/report/seasonReport';

/** One entry. It keeps its `uid` however it is moved, so that a calendar moves it too instead of having it twice. */
export interface CalendarEntry {
  readonly uid: string;
  readonly part: CalendarPart;
  readonly title: string;
  readonly note?: string;
  /** From and to, epoch milliseconds; or a whole day, "2026-08-29", where the household is. */
  readonly when: { readonly startAt: number; readonly endAt: number } | { readonly day: string };
  /** Minutes before it begins (of a whole day: before its midnight) at which it calls; none where nothing is said. */
  readonly alarmsMin: readonly number[];
}

/** A day as it is laid out. */
export interface CalendarDay {
  readonly startAt: number;
  readonly endAt: number;
  readonly batches: readonly Batch[];
  readonly tasks: readonly ScheduledTask[];
}

export interface CalendarGround {
  readonly now: number;
  readonly timeZone?: string;
  /** Days of which batches are planned. */
  readonly days: readonly CalendarDay[];
  /** What the season means to do on days that nothing is planned for yet. */
  readonly season: readonly ReportedDay[];
  readonly stocked: readonly StockedLot[];
}

const MINUTE_MS = 60_000;
/** The evening before a preserving day, and an hour before. */
const DAY_ALARMS = [12 * 60, 60] as const;
/** At nine in the morning of the day before. */
const JAR_ALARMS = [15 * 60] as const;
/** What is past is left out after so long: a calendar keeps what it has. */
const PAST_MS = 7 * 24 * 60 * MINUTE_MS;

/** What stands in the household's calendar now. */
export function calendarEntries(ground: CalendarGround, parts: readonly CalendarPart[]): CalendarEntry[] {
  const { now, timeZone } = ground;
  const from = localDay(now - PAST_MS, timeZone);
  const planned = new Set(
    ground.days.flatMap(({ batches }) => batches.map(({ startAt }) => localDay(startAt, timeZone))),
  );
  const all = [
    ...ground.days.flatMap((day) => [...dayEntries(day), ...stepEntries(day)]),
    ...ground.season.filter(({ day }) => !planned.has(day)).map(seasonEntry),
    ...ground.stocked.map((lot) => jarEntry(lot, timeZone)),
  ];
  return all.filter(
    ({ part, when }) => parts.includes(part) && ('day' in when ? when.day >= from : when.endAt > now - PAST_MS),
  );
}

function dayEntries({ startAt, endAt, batches }: CalendarDay): CalendarEntry[] {
  const [first] = batches;
  if (!first) return [];
  const names = [...new Set(batches.map((batch) => nameOf(batch).toLowerCase()))];
  return [
    {
      uid: `day-${first.id}`,
      part: 'days',
      title: `Preserving: ${names.join(', ')}`,
      note: batches.map((batch) => `${nameOf(batch)}: ${jarsWords(batch)}`).join('\n'),
      when: { startAt, endAt: Math.max(endAt, startAt + MINUTE_MS) },
      alarmsMin: DAY_ALARMS,
    },
  ];
}

/** Steps that hands begin or that end by themselves, each calling when it begins; and the calls within them. */
function stepEntries({ startAt, batches, tasks }: CalendarDay): CalendarEntry[] {
  return tasks.flatMap(({ task, startMin, endMin }): CalendarEntry[] => {
    const batch = batches.find(({ id }) => id === task.batchId);
    const title = batch ? `${task.words} (${nameOf(batch).toLowerCase()})` : task.words;
    const [from, to] = [startMin, endMin].map((min) => startAt + min * MINUTE_MS) as [number, number];
    // What is of no batch, as a canner's water, has its name again on every day.
    const own = task.batchId === undefined && task.loadId === undefined ? `${batches[0]?.id} ${task.id}` : task.id;
    const uid = `step-${own.replace(/[^\w#:.-]+/g, '_')}`;
    const step: CalendarEntry = {
      ...{ uid, part: 'steps', title, alarmsMin: [0] },
      when: { startAt: from, endAt: Math.max(to, from + MINUTE_MS) },
    };
    const { everyMin, everyWords = 'Stir' } = stepClock(task);
    if (everyMin === undefined) return [step];
    const count = Math.max(0, Math.ceil((endMin - startMin) / everyMin) - 1);
    const calls = Array.from({ length: count }, (_, i): CalendarEntry => {
      const at = from + (i + 1) * everyMin * MINUTE_MS;
      return {
        ...{ uid: `${uid}-call-${i + 1}`, part: 'calls', title: `${everyWords}: ${title}`, alarmsMin: [0] },
        when: { startAt: at, endAt: at + MINUTE_MS },
      };
    });
    return [step, ...calls];
  });
}

function seasonEntry({ day, batches }: ReportedDay): CalendarEntry {
  const words = batches.map(reportedJars);
  return {
    ...{ uid: `season-${day}`, part: 'days', title: `To preserve: ${words.join(', ')}` },
    note: 'Meant by the season’s plan; it changes with every basket.',
    when: { day },
    alarmsMin: [DAY_ALARMS[0]],
  };
}

/** Eat by in the cold, best by on the shelf. */
function jarEntry(lot: StockedLot, timeZone: string | undefined): CalendarEntry {
  const words = `${countJars(lot.jars, lot.jar)} ${recipeName(lot).toLowerCase()}`;
  const isCold = lot.seal !== 'sealed' && lot.placeKind === 'refrigerator';
  return {
    ...{ uid: `jars-${lot.id}`, part: 'jars', title: `${isCold ? 'Eat by today' : 'Best by today'}: ${words}` },
    ...(isCold && { note: 'After this day do not eat it.' }),
    when: { day: localDay(lot.keepsUntil, timeZone) },
    alarmsMin: isCold ? JAR_ALARMS : [],
  };
}
