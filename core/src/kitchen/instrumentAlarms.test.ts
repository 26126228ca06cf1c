import { alarmsOf, lookedAt, ringing, type ToldCall } from './alarms';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { type KitchenEvent } from './kitchenEvent';
import { type LoadOrder, loadState } from './loadState';
import { progressOf, type RunningDay } from './progressOf';

const MIN = 60_000;
const order: LoadOrder = { method: 'boiling-water', jars: 7, processMinutes: 55, restMinutes: 5, leastRestMinutes: 5 };

function calls(told: KitchenEvent[], call: Partial<ToldCall>, now: number, dayEvents: DayEvent[] = []) {
  const load = { order, state: loadState(order, told), cannerId: 'pot' };
  const began: DayEvent = {
    ...{ id: 'd', day: 'd', at: 0, type: 'day-started' },
    ...{ order: { startAt: {}, cannerOf: {}, endAt: 0 }, aim: { jars: 7, pounds: 1, handsMin: 1, endAt: 0 } },
  };
  const running: RunningDay = {
    tasks: [],
    day: dayState([began, ...dayEvents]),
    loads: new Map([['l', load]]),
    startAt: 0,
  };
  const own = { loadId: 'l', kind: 'boil-found', since: now - MIN, reads: 205, ...call } as ToldCall;
  return ringing(alarmsOf(running, progressOf(running, now), now, undefined, [own]), now);
}

const event = (type: KitchenEvent['type'], at: number, more: object = {}) =>
  ({ id: `${type} ${at}`, loadId: 'l', type, at: at * MIN, ...more }) as KitchenEvent;
const into = event('load-started', 0, { jars: 7 });

test('what a probe calls for rings until the load is told to be elsewhere, or until somebody looked; water before a load rings nowhere', () => {
  const [found] = calls([into], {}, 20 * MIN);
  expect(found).toMatchObject({ kind: 'boil-found', loadId: 'l' });
  expect(calls([into, event('boil-reached', 20)], {}, 21 * MIN)).toEqual([]);
  const looked: DayEvent = { id: 'a', day: 'd', at: 20 * MIN, type: 'alarm-answered', alarmId: found?.id ?? '' };
  expect(calls([into], {}, 21 * MIN, [looked])).toEqual([]);
  // Of another heating it calls anew.
  const again = [into, event('boil-reached', 10), event('boil-lost', 15)];
  expect(calls(again, {}, 21 * MIN, [looked])).toMatchObject([{ kind: 'boil-found' }]);

  // Lost once more is called once more: the first answer is of the first call.
  const [lost] = calls(again.slice(0, 2), { kind: 'boil-lost', since: 12 * MIN }, 13 * MIN);
  const answered: DayEvent = { id: 'b', day: 'd', at: 13 * MIN, type: 'alarm-answered', alarmId: lost?.id ?? '' };
  expect(calls(again.slice(0, 2), { kind: 'boil-lost', since: 12 * MIN }, 14 * MIN, [answered])).toEqual([]);
  expect(calls(again.slice(0, 2), { kind: 'boil-lost', since: 14 * MIN }, 14 * MIN, [answered])).toHaveLength(1);
  const at = (days: DayEvent[]) => lookedAt('l', dayState(days).answered);
  expect([at([answered]), at([looked]), lookedAt('other', dayState([answered]).answered)]).toEqual([
    ...[13 * MIN, undefined, undefined],
  ]);

  const boiling = [into, event('boil-reached', 20)];
  for (const kind of ['boil-lost', 'too-cool', 'too-hot', 'under-pressure'] as const) {
    expect(calls(boiling, { kind }, 30 * MIN)).toMatchObject([{ kind }]);
    expect(calls([into], { kind }, 30 * MIN)).toEqual([]);
    expect(calls([], { kind }, 30 * MIN)).toEqual([]);
  }
  for (const kind of ['water-ready', 'elsewhere'] as const) expect(calls(boiling, { kind }, 30 * MIN)).toEqual([]);
});

test('a clock that a probe began calls for a look until somebody has looked', () => {
  const begun = [into, event('boil-reached', 20, { by: 'probe' })];
  expect(calls(begun, {}, 22 * MIN)).toMatchObject([{ kind: 'look', loadId: 'l', dueAt: 20 * MIN }]);
  expect(calls([...begun, event('boil-seen', 23)], {}, 24 * MIN)).toEqual([]);
});
