import { Mutex } from 'async-mutex';
import { type CalendarEntry, calendarEntries } from '@hoddle/core/formats/calendar/calendarEntries';
import { CALENDAR_PARTS, type CalendarPart } from '@hoddle/core/formats/calendar/calendarPart';
import { type ToldEntry, toldNow } from '@hoddle/core/formats/calendar/toldEntries';
import { localDay } from '@hoddle/core/measure/localTime';
import { stockedLots } from '@hoddle/core/pantry/shelf';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { type Database } from '../db/openDatabase';
import { readState } from '../db/readState';
import { icsFile } from './icsFile';
import { plannedDays, type PlanDay } from './plannedDays';

/** The household's calendar as a file, with the parts that are wanted of it. */
export type CalendarOf = (parts: readonly CalendarPart[], name: string) => Promise<string>;

/** Makes the calendar, and keeps what it has told: an entry that moves is moved for whoever has it, one that goes is called off. */
export function householdCalendar(db: Database, planDay: PlanDay): CalendarOf {
  // One at a time: two that ask at once would each count the same change.
  const one = new Mutex();
  return (parts, name) =>
    one.runExclusive(async () => {
      const state = readState(db);
      const { now, household, season } = state;
      const { timeZone } = household.kitchen;
      const days = await plannedDays(state, now, planDay);
      const today = localDay(now, timeZone);
      const plan = season.plan as SeasonReport | null;
      const entries = calendarEntries(
        {
          now,
          days,
          season: (plan?.days ?? []).filter(({ day }) => day >= today),
          stocked: stockedLots(state.lots, state.movements, household.places, household.bestMonths),
          ...(timeZone !== undefined && { timeZone }),
        },
        CALENDAR_PARTS,
      );
      const before = await readTold(db);
      const isOver = ({ when }: CalendarEntry) => ('day' in when ? when.day < today : when.endAt < now);
      const told = toldNow(before, entries, now, isOver);
      await keepTold(db, before, told);
      return icsFile(
        name,
        told.filter(({ entry }) => parts.includes(entry.part)),
        timeZone,
      );
    });
}

async function readTold(db: Database): Promise<ToldEntry[]> {
  const rows = await db.own.toldEntries.findAll();
  return rows.map((row) => {
    const { content, sequence, toldAt, cancelledAt } = row.get({ plain: true });
    return { entry: content as CalendarEntry, sequence, toldAt, cancelledAt };
  });
}

/** Only what has changed is written: most looks at a calendar change nothing. */
async function keepTold(db: Database, before: readonly ToldEntry[], told: readonly ToldEntry[]): Promise<void> {
  const known = new Set(before);
  const fresh = told.filter((each) => !known.has(each));
  const here = new Set(told.map(({ entry }) => entry.uid));
  const gone = before.map(({ entry }) => entry.uid).filter((uid) => !here.has(uid));
  if (fresh.length === 0 && gone.length === 0) return;
  await db.write(async (transaction) => {
    await db.own.toldEntries.destroy({ where: { uid: gone }, transaction });
    await db.own.toldEntries.bulkCreate(
      fresh.map(({ entry, ...each }) => ({ uid: entry.uid, content: entry, ...each })),
      { transaction, updateOnDuplicate: ['content', 'sequence', 'toldAt', 'cancelledAt'] },
    );
  });
}
