import { TZDate } from '@date-fns/tz';
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';
import { type ToldEntry } from '@hoddle/core/formats/calendar/toldEntries';

const DAY_MS = 24 * 60 * 60_000;
/** How often whoever follows the calendar should look: RFC 7986, 5.7. */
const LOOK_SECONDS = 30 * 60;

/**
 * Entries as an iCalendar file (RFC 5545): times in the household's zone with that zone's own rules, the same UID for the same
 * entry always, a SEQUENCE that goes up with each change, what was called off as CANCELLED.
 *
 * @param timeZone an IANA name; in UTC where the household has not said
 */
export function icsFile(name: string, told: readonly ToldEntry[], timeZone: string | undefined): string {
  const calendar = ical({
    name,
    prodId: { company: 'Hoddle', product: 'Preserving days', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: LOOK_SECONDS,
    // Named at each entry: what the calendar itself is stamped with stays UTC, as RFC 5545, 3.8.7.2, wants it.
    timezone: { name: null, generator: (zone: string) => tzlib_get_ical_block(zone)[0] ?? null },
  });
  for (const { entry, sequence, toldAt, cancelledAt } of told) {
    const { uid, title, note, when, alarmsMin } = entry;
    const isDay = 'day' in when;
    const event = calendar.createEvent({
      id: `${uid}@hoddle`,
      sequence,
      stamp: new Date(toldAt),
      lastModified: new Date(toldAt),
      summary: title,
      ...(note !== undefined && { description: note }),
      status: cancelledAt === null ? ICalEventStatus.CONFIRMED : ICalEventStatus.CANCELLED,
      ...(isDay
        ? { start: new Date(when.day), end: new Date(Date.parse(when.day) + DAY_MS), allDay: true, timezone: 'UTC' }
        : {
            start: moment(when.startAt, timeZone),
            end: moment(when.endAt, timeZone),
            ...(timeZone !== undefined && { timezone: timeZone }),
          }),
    });
    // What is called off calls nobody.
    if (cancelledAt !== null) continue;
    for (const minutes of alarmsMin) {
      event.createAlarm({ type: ICalAlarmType.display, triggerBefore: minutes * 60, description: title });
    }
  }
  return calendar.toString();
}

/** A moment that knows the clock of its zone: what writes it would else take the machine's. */
function moment(at: number, timeZone: string | undefined): Date {
  return timeZone === undefined ? new Date(at) : new TZDate(at, timeZone);
}
