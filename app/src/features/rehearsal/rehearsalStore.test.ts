import 'fake-indexeddb/auto';
import { LESSONS } from '@hoddle/core/rehearsal/lessons';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { stateAsEntered, useHouseholdStore } from '@/store/householdStore';
import { hearInstruments, useInstrumentStore } from '@/store/instrumentStore';
import { rehearsalNow, setRehearsalClock, useRehearsalClock } from '@/store/rehearsalClock';
import { householdNow } from '@/store/useHousehold';
import { mayRehearse } from './mayRehearse';
import { endRehearsal, rehearseLesson, useRehearsalStore, whyNotNow } from './rehearsalStore';

const START = Date.UTC(2026, 7, 29, 14);
const sync = jest.fn(async () => undefined);

beforeEach(() => {
  jest.useFakeTimers({ now: START });
  endRehearsal();
  sync.mockClear();
  useHouseholdStore.setState({ server: EMPTY_HOUSEHOLD, state: EMPTY_HOUSEHOLD, rows: [], aheadMs: 0, sync });
});
afterEach(() => {
  endRehearsal();
  jest.useRealTimers();
});

test('what is told in a rehearsal changes its copy alone: nothing waits, nothing is sent, and afterwards all is as it was', async () => {
  rehearseLesson(LESSONS[1]!, 60);
  const { rehearsed, enter } = useHouseholdStore.getState();
  const batch = rehearsed?.batches[0];
  // Without an altitude the lessons go by the lowest band: 45 min for quarts. USDA Complete Guide 2015, guide 3, as recalled.
  expect(batch).toMatchObject({ product: 'tomatoes-crushed', processMinutes: 45 });
  const loadId = batch?.loads[0]?.id ?? '';
  await enter({ kind: 'event', event: { id: 'e', loadId, at: START, type: 'load-started', jars: 7 } });
  await enter({ kind: 'planting-struck', plantingId: 'p' });
  const told = useHouseholdStore.getState();
  expect(told.rehearsed?.events).toMatchObject([{ id: 'e', type: 'load-started' }]);
  expect(stateAsEntered()).toBe(told.rehearsed);
  expect([told.rows, told.waiting, told.state, sync.mock.calls]).toEqual([[], [], EMPTY_HOUSEHOLD, []]);
  endRehearsal();
  expect(useHouseholdStore.getState()).toMatchObject({ rehearsed: undefined, state: EMPTY_HOUSEHOLD, rows: [] });
  expect(stateAsEntered()).toBe(EMPTY_HOUSEHOLD);
  expect(useRehearsalStore.getState()).toMatchObject({ running: undefined, debrief: undefined });
});

test('its clock goes as fast as it is told, stands still, and is set on; in earnest it is the household’s own', () => {
  expect(householdNow()).toBe(START);
  rehearseLesson(LESSONS[0]!, 60);
  const began = householdNow();
  jest.advanceTimersByTime(1_000);
  expect(householdNow() - began).toBe(60_000);
  setRehearsalClock({ speed: 10 });
  jest.advanceTimersByTime(1_000);
  expect(householdNow() - began).toBe(70_000);
  setRehearsalClock({ isPaused: true });
  jest.advanceTimersByTime(60_000);
  expect(householdNow() - began).toBe(70_000);
  setRehearsalClock({ isPaused: false });
  setRehearsalClock({ at: began + 3_600_000 });
  expect(householdNow() - began).toBe(3_600_000);
  expect(useRehearsalClock.getState().clock?.speed).toBe(10);
  endRehearsal();
  expect(rehearsalNow()).toBeUndefined();
  expect(householdNow()).toBe(START + 62_000);
});

test('a load in its canner keeps rehearsals out; real probes are not heard in one; what writes elsewhere is shut', () => {
  const heard = { instruments: [], calls: [], warm: [{ instrument: 'p', since: 1, reads: 50 }] };
  rehearseLesson(LESSONS[0]!, 1);
  hearInstruments(JSON.stringify(heard));
  expect(useInstrumentStore.getState().warm).toEqual([]);
  endRehearsal();
  hearInstruments(JSON.stringify(heard));
  expect(useInstrumentStore.getState().warm).toEqual(heard.warm);
  // What a rehearsal told of as in its canner is in no canner.
  expect(whyNotNow()).toBeUndefined();
  for (const path of ['/', '/kitchen', '/kitchen/abc', '/plan', '/plan/load/abc', '/plan/rehearse']) {
    expect([path, mayRehearse(path)]).toEqual([path, true]);
  }
  for (const path of ['/shelf', '/bench/household', '/harvest/pick', '/plan/make', '/plan/season', '/paper/shelf']) {
    expect([path, mayRehearse(path)]).toEqual([path, false]);
  }
});

test('while a load of the household itself boils nothing is rehearsed', () => {
  rehearseLesson(LESSONS[1]!, 1);
  const { rehearsed } = useHouseholdStore.getState();
  endRehearsal();
  const loadId = rehearsed?.batches[0]?.loads[0]?.id ?? '';
  const state = {
    ...rehearsed!,
    events: [{ id: 'e', loadId, at: START, type: 'load-started' as const, jars: 7 }],
  };
  useHouseholdStore.setState({ state, server: state });
  expect(whyNotNow()).toContain('in its canner');
});
