import fc from 'fast-check';
import { pastHoursMin } from '../day/pastHours';
import { cooksThere } from './cooksThere';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';

const MIN = 60_000;
const minuteOfDay = (at: number) => at / MIN;
const COOKS = ['Cook', 'Helper'].map((name) => ({ name, fromMin: 360, toMin: 1_260, breaks: [] }));

test('an errand is a break with an end, back sooner is back, gone for the day is gone; nobody else loses a minute', () => {
  const event = fc.record({
    at: fc.integer({ min: 400, max: 1_100 }),
    cook: fc.constantFrom('Cook', 'Helper'),
    kind: fc.constantFrom('errand' as const, 'gone' as const, 'back' as const),
    minutes: fc.integer({ min: 30, max: 140 }),
  });
  fc.assert(
    fc.property(fc.uniqueArray(event, { maxLength: 6, selector: ({ at }) => at }), (told) => {
      const events = told.map(({ at, cook, kind, minutes }, i): DayEvent => {
        const common = { id: `e${i}`, day: 'd', at: at * MIN, cook };
        if (kind === 'back') return { ...common, type: 'cook-back' };
        return { ...common, type: 'cook-away', ...(kind === 'errand' && { until: (at + minutes) * MIN }) };
      });
      const there = cooksThere(COOKS, dayState(events), minuteOfDay, () => 6);
      for (const { name } of COOKS) {
        const own = told.filter(({ cook }) => cook === name).sort((a, b) => a.at - b.at);
        // Minute by minute, by the taps alone: gone from the last "gone" that no "back" came after.
        const isGone = own.findLast(({ kind }) => kind !== 'errand')?.kind === 'gone';
        const cook = there.find((each) => each.name === name);
        expect(cook === undefined).toBe(isGone);
        if (!cook) continue;
        for (let minute = 390; minute < 1_260; minute += 7) {
          const isOut = own.some(({ at, kind, minutes }) => {
            if (kind !== 'errand' || minute < at || minute >= at + minutes) return false;
            return !own.some((back) => back.kind === 'back' && back.at > at && back.at <= minute);
          });
          expect(cook.breaks.some(({ fromMin, toMin }) => minute >= fromMin && minute < toMin)).toBe(isOut);
        }
      }
    }),
  );
});

test('past the hours is told from the last cook’s evening on, after midnight too, and by day never', () => {
  expect(pastHoursMin(COOKS, 1_260)).toBe(0);
  expect(pastHoursMin(COOKS, 1_300)).toBe(40);
  expect(pastHoursMin(COOKS, 30)).toBe(210);
  expect(pastHoursMin(COOKS, 9 * 60)).toBe(0);
  expect(pastHoursMin([{ fromMin: 0, toMin: 1_440 }], 1_439)).toBe(0);
});
