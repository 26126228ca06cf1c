import fc from 'fast-check';
import ICAL from 'ical.js';
import nodeIcal, { type VEvent } from 'node-ical';
import { type CalendarEntry } from '@hoddle/core/formats/calendar/calendarEntries';
import { type ToldEntry } from '@hoddle/core/formats/calendar/toldEntries';
import { icsFile } from './icsFile';

const ZONES = ['America/Denver', 'Europe/Berlin', 'Australia/Adelaide', 'Asia/Kolkata', undefined];

const words = fc
  .string({ unit: fc.constantFrom(...'abc ,;:\\"\n–éäגד漢😀'), minLength: 1, maxLength: 90 })
  .map((each) => `x${each}x`);
const day = fc.date({ min: new Date('2026-01-01'), max: new Date('2028-12-31'), noInvalidDate: true });
const entry: fc.Arbitrary<Omit<CalendarEntry, 'uid'>> = fc.record({
  part: fc.constantFrom('days', 'steps', 'calls', 'jars'),
  title: words,
  note: words,
  when: fc.oneof(
    day.map((at) => ({ day: at.toISOString().slice(0, 10) })),
    fc.tuple(day, fc.integer({ min: 1, max: 3_000 })).map(([at, minutes]) => {
      const startAt = Math.floor(at.getTime() / 60_000) * 60_000;
      return { startAt, endAt: startAt + minutes * 60_000 };
    }),
  ),
  alarmsMin: fc.subarray([0, 10, 60, 720]),
});
const someTold: fc.Arbitrary<ToldEntry[]> = fc
  .array(fc.record({ entry, sequence: fc.nat(9), isCancelled: fc.boolean() }), { maxLength: 6 })
  .map((all) =>
    all.map(({ entry: own, sequence, isCancelled }, i) => ({
      entry: { uid: `step-${i}`, ...own },
      sequence,
      toldAt: Date.UTC(2026, 7, 29),
      cancelledAt: isCancelled ? Date.UTC(2026, 7, 29) : null,
    })),
  );

// ical.js and node-ical: two readers that are neither of the product nor of each other. RFC 5545.
test('two readers of calendars read every entry back: words, times in its zone, sequence, what was called off, alarms', () => {
  fc.assert(
    fc.property(someTold, fc.constantFrom(...ZONES), (told, zone) => {
      const file = icsFile('Preserving', told, zone);
      for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
      const events = new ICAL.Component(ICAL.parse(file))
        .getAllSubcomponents('vevent')
        .map((each) => new ICAL.Event(each));
      const others = Object.values(nodeIcal.sync.parseICS(file)).filter(
        (each): each is VEvent => each?.type === 'VEVENT',
      );
      expect([events.length, others.length]).toEqual([told.length, told.length]);
      for (const { entry: own, sequence, cancelledAt } of told) {
        const event = events.find(({ uid }) => uid === `${own.uid}@hoddle`)!;
        const other = others.find(({ uid }) => uid === `${own.uid}@hoddle`)!;
        expect([event.summary, event.sequence, event.description]).toEqual([own.title, sequence, own.note]);
        expect(String(other.summary)).toBe(own.title);
        expect(event.component.getFirstPropertyValue('status')).toBe(cancelledAt === null ? 'CONFIRMED' : 'CANCELLED');
        const alarms = event.component.getAllSubcomponents('valarm');
        expect(alarms).toHaveLength(cancelledAt === null ? own.alarmsMin.length : 0);
        if ('day' in own.when) {
          expect([event.startDate.isDate, event.startDate.toString()]).toEqual([true, own.when.day]);
          expect(other.datetype).toBe('date');
        } else {
          const { startAt, endAt } = own.when;
          expect([event.startDate, event.endDate].map((time) => inUtc(time, file))).toEqual([startAt, endAt]);
          expect([other.start, other.end].map((time) => time?.getTime())).toEqual([startAt, endAt]);
          const at = event.component.getFirstProperty('dtstart');
          expect(at?.getFirstParameter('tzid') ?? undefined).toBe(zone);
          expect(file).toMatch(/DTSTAMP:20260829T000000Z/);
        }
      }
    }),
    { numRuns: 60 },
  );
});

/** A moment of ical.js, by the zone that the file itself describes. */
function inUtc(time: ICAL.Time, file: string): number {
  const zone = new ICAL.Component(ICAL.parse(file)).getFirstSubcomponent('vtimezone');
  const { year, month, day: date, hour, minute, second } = time;
  const clock = { year, month, day: date, hour, minute, second, isDate: false };
  if (!zone) return ICAL.Time.fromData(clock, ICAL.Timezone.utcTimezone).toUnixTime() * 1_000;
  return ICAL.Time.fromData(clock, new ICAL.Timezone(zone)).toUnixTime() * 1_000;
}
