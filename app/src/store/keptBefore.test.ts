import { get } from 'idb-keyval';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
import { useHouseholdStore } from './householdStore';

jest.mock('idb-keyval', () => ({ get: jest.fn(), set: jest.fn(() => Promise.resolve()) }));

/** What a browser kept under version 1, before the household had its own part of the handbook. */
const KEPT = {
  state: {
    server: {
      now: 5,
      demoOffsetMs: null,
      household: { name: 'Home', altitudeFt: 3_420, burners: 4, canners: [] },
      picks: [{ id: 'p', crop: 'damson', massKg: 3, softKg: 0, place: 'cool', pickedAt: 1, told: '3 kg' }],
      batches: [],
      events: [],
      lots: [{ id: 'l', product: 'plums', jar: 'pint', place: 'refrigerator', madeAt: 1, keepsUntil: 2 }],
      movements: [],
    },
    waiting: [{ id: 'w', write: { kind: 'batch-struck', batchId: 'b' } }],
  },
  version: 1,
};

test('what an older page kept is read by this one, and what waited still waits', async () => {
  localStorage.setItem('hoddle', JSON.stringify(KEPT));
  await useHouseholdStore.persist.rehydrate();
  expect(useHouseholdStore.getState()).toMatchObject({
    waiting: KEPT.state.waiting,
    state: {
      household: { name: 'Home', units: 'us' },
      picks: [{ id: 'p', ripeness: 'ripe', source: 'garden', plantingId: null }],
      checkedRows: [],
      sources: [],
      plantings: [],
      batchRecords: [],
      lots: [{ id: 'l', seal: 'unsealed', jarsBefore: 0 }],
      goals: [],
    },
  });
});

test('what an older page kept in the browser’s own database is brought up too', async () => {
  const { season: _, ...older } = EMPTY_HOUSEHOLD;
  const goals = [{ product: 'plums', jar: 'pint', jars: 12, perMonth: null }];
  jest.mocked(get).mockResolvedValue({ ...older, goals, now: 7 });
  (globalThis as { indexedDB?: unknown }).indexedDB = {};
  useHouseholdStore.setState({ server: undefined, state: undefined });
  localStorage.setItem('hoddle', JSON.stringify({ state: { waiting: [], settled: [] }, version: 6 }));
  await useHouseholdStore.persist.rehydrate();
  await new Promise((later) => setTimeout(later, 0));
  expect(useHouseholdStore.getState().state).toMatchObject({
    ...{ now: 7, season: { plan: null, pins: [], ticked: [] } },
    goals: [{ product: 'plums', priority: 'want' }],
  });
  delete (globalThis as { indexedDB?: unknown }).indexedDB;
});
