import fc from 'fast-check';
import { productQuestion } from '../../bench/day/productDay';
import { dayAt, liveDay } from '../../bench/kitchen/liveDay';
import { type DayEvent } from './dayEvent';

const MIN = 60_000;
const LIVE = [1, 2].map((pots) => {
  const live = liveDay(
    productQuestion(
      [
        ['tomatoes-crushed', 'quart', [7], 22],
        ['plums', 'pint', [8, 8], 20],
      ],
      pots,
    ),
    pots,
  );
  if (!live) throw new Error(`no day with ${pots} pots`);
  return live;
});
const lastMinute = (live: (typeof LIVE)[number]) => Math.max(...[...live.real.values()].map(({ end }) => end));
const at = fc.double({ min: 0, max: 1.1, noNaN: true });

test('at any minute: what was told stands, what is to come lies ahead, and the day ends with the last of it', () => {
  fc.assert(
    fc.property(fc.nat(LIVE.length - 1), at, (which, part) => {
      const live = LIVE[which]!;
      const minute = Math.floor(part * lastMinute(live));
      const day = dayAt(live, minute);
      expect(new Set(day.loads.map(({ id }) => id))).toEqual(
        new Set(live.question.batches.flatMap(({ loads }) => loads.map(({ id }) => id))),
      );
      if (!day.live) {
        // Nothing was told yet: it is as it was planned.
        expect(day.tasks.every(({ task, startMin }) => startMin === live.order.get(task.id))).toBe(true);
        return;
      }
      for (const { task, startMin } of day.tasks) {
        const told = day.live.progress.of.get(task.id);
        const really = live.real.get(task.id)!;
        if (!told) expect(day.startAt / MIN + startMin).toBeGreaterThanOrEqual(minute);
        else if (task.cannerId === undefined) expect(day.startAt / MIN + told.startMin).toBeCloseTo(really.start, 6);
      }
      const ends = Math.max(...day.tasks.map(({ endMin }) => day.startAt / MIN + endMin));
      expect(day.likelyAt! / MIN).toBeCloseTo(Math.max(ends, minute), 6);
      expect(day.lateAt!).toBeGreaterThanOrEqual(day.likelyAt!);
    }),
    { numRuns: 60 },
  );
});

test('begun in an order, a load keeps its number to the end of the day, whatever is late meanwhile', () => {
  for (const live of LIVE) {
    const startAt = Object.fromEntries([...live.order].map(([id, minute]) => [id, minute * MIN]));
    const cannerOf = Object.fromEntries(live.cannerOf);
    const order = { startAt, cannerOf };
    const begun = { id: 'begun', day: 'd', at: 0, type: 'day-started', order } as unknown as DayEvent;
    const planned = [...live.question.batches.flatMap(({ loads }) => loads)]
      .map(({ id }) => [id, live.order.get(`load ${id}`)!] as const)
      .sort(([, a], [, b]) => a - b)
      .map(([id]) => id);
    for (let minute = 0; minute <= lastMinute(live); minute += 17) {
      const day = dayAt(live, minute, [begun]);
      expect(day.live).toBeDefined();
      expect(day.loads.map(({ id }) => id)).toEqual(planned);
      for (const { id, cannerId } of day.loads) expect(cannerId).toBe(live.cannerOf.get(id));
    }
  }
});

test('begun before its hour the day counts from then; whoever left is no cook of it; a canner that is gone is none', () => {
  const [live] = LIVE;
  if (!live) throw new Error('no day');
  const { cooks } = live.question.setup;
  const early = { ...live, question: { ...live.question, overByMin: 900 } };
  const left = { id: 'gone', day: 'd', at: 5 * MIN, type: 'cook-away', cook: cooks[0]?.name } as unknown as DayEvent;
  const order = { startAt: Object.fromEntries(live.order), cannerOf: {} };
  const first = { id: 'first', day: 'd', at: -30 * MIN, type: 'day-started', order };
  const day = dayAt(early, 10, [first as unknown as DayEvent]);
  expect(day.startAt).toBe(-30 * MIN);
  expect(day.question).toMatchObject({ startMinute: 24 * 60 - 30, weekday: 3, overByMin: undefined });
  expect(dayAt(early, 10, [first as unknown as DayEvent, left]).question.setup.cooks).toHaveLength(cooks.length - 1);
  const gone = { ...live, question: { ...live.question, canners: live.question.canners.slice(1) } };
  expect(Object.values(dayAt(gone, -1).cannerOf)).not.toContain(live.question.canners[0]?.id);
});
