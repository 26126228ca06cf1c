import fc from 'fast-check';
import { type Batch } from '../../day/batch';
import { type DayTask } from '../../day/dayProblem';
import { localMoment } from '../../measure/localTime';
import { type StockedLot } from '../../pantry/shelf';
import { type CalendarDay, calendarEntries, type CalendarEntry } from './calendarEntries';
import { type ToldEntry, toldNow } from './toldEntries';

const ZONE = 'America/Denver';
const NOW = localMoment(ZONE, [2026, 7, 29, 480]);
const MIN = 60_000;
const batch = {
  ...{ id: 'b1', product: 'tomato-sauce-thin', jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 0 },
  ...{ processMinutes: 35, cannerId: 'c', startAt: NOW, uses: [], loads: [{ id: 'l1', number: 1, jars: 9 }] },
} as Batch;
const task = (id: string, step: string, minutes: number, hands: number): DayTask => ({
  ...{ id, kind: 'prepare', words: step, step, minutes: { p10: minutes, p50: minutes, p90: minutes } },
  ...{ needs: hands > 0 ? { hands } : {}, after: [], batchId: 'b1' },
});
const day: CalendarDay = {
  ...{ startAt: NOW, endAt: NOW + 200 * MIN, batches: [batch] },
  tasks: [
    { task: task('wash b1', 'wash', 20, 1), startMin: 0, endMin: 20 },
    // Common practice: a sauce that cooks down is stirred every ten minutes.
    { task: task('cook b1', 'cook-down-third', 45, 0), startMin: 20, endMin: 65 },
    { task: { ...task('water c 0', 'heat', 30, 0), batchId: undefined }, startMin: 30, endMin: 60 },
  ],
};
const lot = (id: string, seal: 'sealed' | 'cold', placeKind: 'shelf' | 'refrigerator', keepsUntil: number) =>
  ({
    id,
    product: 'plums',
    jar: 'pint',
    place: placeKind,
    placeKind,
    seal,
    madeAt: NOW,
    keepsUntil,
    jars: 3,
  }) as StockedLot;
const season = (on: string) =>
  ({
    day: on,
    at: 0,
    windowMinutes: 0,
    handsMinutes: 0,
    takings: [],
    batches: [
      {
        recipe: 'r',
        product: 'plums',
        jar: 'pint',
        jars: 8,
        loads: 1,
        crops: [],
        thawed: false,
        overnight: false,
        handsMinutes: 0,
      },
    ],
  }) as never;
const ground = {
  ...{ now: NOW, timeZone: ZONE, days: [day], season: [season('2026-08-29'), season('2026-09-05')] },
  stocked: [
    lot('fresh', 'cold', 'refrigerator', localMoment(ZONE, [2026, 8, 12, 720])),
    lot('shelf', 'sealed', 'shelf', localMoment(ZONE, [2027, 7, 29, 720])),
    lot('past', 'sealed', 'shelf', localMoment(ZONE, [2026, 5, 1, 720])),
  ],
};

test('a day, its steps, what calls within them, and jars; what the season means only where nothing is planned', () => {
  const all = calendarEntries(ground, ['days', 'steps', 'calls', 'jars']);
  const of = (part: string) => all.filter((entry) => entry.part === part);
  expect(of('days').map(({ uid, title }) => [uid, title])).toEqual([
    ['day-b1', 'Preserving: thin tomato sauce'],
    ['season-2026-09-05', 'To preserve: 8 pints plums or damsons in syrup'],
  ]);
  expect(of('days')[0]?.alarmsMin).toEqual([720, 60]);
  expect(of('steps').map(({ uid }) => uid)).toEqual(['step-wash_b1', 'step-cook_b1', 'step-b1_water_c_0']);
  expect(of('calls').map(({ when }) => 'startAt' in when && (when.startAt - NOW) / MIN)).toEqual([30, 40, 50, 60]);
  expect(of('calls')[0]?.title).toBe('Stir: cook-down-third (thin tomato sauce)');
  expect(of('jars')).toMatchObject([
    {
      uid: 'jars-fresh',
      title: 'Eat by today: 3 pints plums or damsons in syrup',
      when: { day: '2026-09-12' },
      alarmsMin: [900],
    },
    { uid: 'jars-shelf', when: { day: '2027-08-29' }, alarmsMin: [] },
  ]);
  expect(new Set(all.map(({ uid }) => uid)).size).toBe(all.length);
  expect(calendarEntries(ground, ['jars']).map(({ part }) => part)).toEqual(['jars', 'jars']);
});

// A model of what a calendar that follows must end up with: RFC 5545, 3.8.7.4.
test('however days are planned, moved, given up and planned again, whoever follows has exactly what is in the calendar', () => {
  const uids = ['a', 'b', 'c'];
  const step = fc.array(fc.record({ uid: fc.constantFrom(...uids), at: fc.integer({ min: 0, max: 3 }) }), {
    maxLength: 3,
  });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
      let told: ToldEntry[] = [];
      const followed = new Map<string, { sequence: number; entry: CalendarEntry; on: boolean }>();
      steps.forEach((wanted, i) => {
        const entries = [...new Map(wanted.map(({ uid, at }) => [uid, entry(uid, at)])).values()];
        const before = told;
        told = toldNow(told, entries, i, () => false);
        for (const { entry: own, sequence, cancelledAt } of told) {
          const known = followed.get(own.uid);
          // A calendar takes what has a higher sequence, and only that.
          if (known && sequence < known.sequence) throw new Error('a sequence went back');
          if (known && sequence === known.sequence) {
            expect([known.entry, known.on]).toEqual([own, cancelledAt === null]);
          } else followed.set(own.uid, { sequence, entry: own, on: cancelledAt === null });
        }
        const has = [...followed.values()].filter(({ on }) => on).map(({ entry: own }) => own);
        const sorted = (all: readonly CalendarEntry[]) => [...all].sort((a, b) => (a.uid < b.uid ? -1 : 1));
        expect(sorted(has)).toEqual(sorted(entries));
        // Asked again, nothing is written again.
        const again = toldNow(told, entries, i + 0.5, () => false);
        expect(again.every((each) => told.includes(each))).toBe(true);
        expect(before.length).toBeLessThanOrEqual(uids.length);
      });
    }),
  );
  const past = toldNow([{ entry: entry('a', 0), sequence: 0, toldAt: 0, cancelledAt: null }], [], 9, () => true);
  expect(past).toEqual([]);
  const old = { entry: entry('a', 0), sequence: 1, toldAt: 0, cancelledAt: 0 };
  expect(toldNow([old], [], 61 * 24 * 60 * MIN, () => false)).toEqual([]);
});

function entry(uid: string, at: number): CalendarEntry {
  return { uid, part: 'days', title: uid, when: { startAt: at, endAt: at + 1 }, alarmsMin: [] };
}
