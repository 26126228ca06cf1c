import fc from 'fast-check';
import { type Cook } from '../day/kitchenSetup';
import { type DaysGiven, givenDays } from '../season/problem/givenDays';
import { localDate, localDay, localMoment } from './localTime';

const ZONES = ['UTC', 'America/Denver', 'Australia/Sydney', 'Asia/Kathmandu', 'America/St_Johns'];
const MINUTE_MS = 60_000;

// Outside judge: the calendar of the JavaScript engine itself (ECMA-402, Intl.DateTimeFormat with the IANA database).
function byIntl(at: number, timeZone: string) {
  const parts = new Intl.DateTimeFormat('en-CA', {
    ...{ timeZone, hourCycle: 'h23', weekday: 'short' },
    ...{ year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit' },
  }).formatToParts(at);
  const of = (type: string) => parts.find((part) => part.type === type)?.value ?? '';
  return {
    day: `${of('year')}-${of('month')}-${of('day')}`,
    minute: 60 * Number(of('hour')) + Number(of('minute')),
    weekday: ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'].indexOf(of('weekday')),
  };
}

test('dates, weekdays and minutes of a place are those of the time zone database, wherever the machine stands', () => {
  const moment = fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2028, 0, 1) });
  fc.assert(
    fc.property(moment, fc.constantFrom(...ZONES), (at, zone) => {
      const date = localDate(at, zone);
      const told = {
        day: localDay(at, zone),
        minute: 60 * date.getHours() + date.getMinutes(),
        weekday: date.getDay(),
      };
      expect([zone, told]).toEqual([zone, byIntl(at, zone)]);
      // There and back, but for the hour that comes twice in autumn.
      const whole = Math.floor(at / MINUTE_MS) * MINUTE_MS;
      const back = localMoment(zone, [date.getFullYear(), date.getMonth(), date.getDate(), told.minute]);
      if (back !== whole) expect(byIntl(back, zone)).toEqual(byIntl(whole, zone));
    }),
    { numRuns: 2_000 },
  );
});

const COOKS: Cook[] = [{ name: 'Ann', fromMin: 360, toMin: 1_320, breaks: [] }];

// A year is given in each zone: over both changes of the clock, at eight each time, and the same whatever zone the machine has.
test('days that a household gives begin at eight by its own clock, also when the clocks change', () => {
  const given: DaysGiven = {
    weekly: [
      { weekday: 6, fromMin: 480, toMin: 1_080 },
      { weekday: 0, fromMin: 480, toMin: 600 },
    ],
    notOn: [],
    mostAWeek: 7,
    freezerBags: 0,
  };
  const now = Date.UTC(2026, 0, 1, 15);
  for (const timeZone of ZONES) {
    const days = givenDays(given, now, now + 364 * 24 * 60 * MINUTE_MS, { cooks: COOKS, timeZone });
    expect(days.length).toBeGreaterThanOrEqual(104);
    for (const { id, at, windowMinutes, handsMinutes } of days) {
      const told = byIntl(at, timeZone);
      expect([timeZone, id, told.minute, [0, 6].includes(told.weekday)]).toEqual([timeZone, told.day, 480, true]);
      expect(windowMinutes).toBe(told.weekday === 6 ? 600 : 120);
      expect(handsMinutes).toBe(windowMinutes);
    }
    expect(new Set(days.map(({ id }) => id)).size).toBe(days.length);
  }
});

test('what is done on a weekday takes its part of that day’s hands, an errand with a choice of time wherever it goes', () => {
  const saturday: DaysGiven = {
    ...{ weekly: [6, 2].map((weekday) => ({ weekday, fromMin: 480, toMin: 1_080 })), notOn: [], mostAWeek: 7 },
    freezerBags: 0,
  };
  const breaks = [
    { fromMin: 720, toMin: 960, minutes: 80, atHome: false, weekdays: [6] },
    { fromMin: 600, toMin: 630, atHome: true },
    // Half of its time lies after the day: half of it is expected in it.
    { fromMin: 960, toMin: 1_200, minutes: 60, atHome: true, weekdays: [2] },
  ];
  const now = Date.UTC(2026, 7, 24);
  const days = givenDays(saturday, now, now + 6 * 24 * 60 * MINUTE_MS, {
    cooks: [{ ...(COOKS[0] as Cook), breaks }],
    timeZone: 'UTC',
  });
  expect(days.map(({ id, handsMinutes }) => [id, handsMinutes])).toEqual([
    ['2026-08-25', 600 - 30 - 30],
    ['2026-08-29', 600 - 80 - 30],
  ]);
});
