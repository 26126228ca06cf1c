import { useHouseholdStore } from './householdStore';

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
      lots: [],
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
    },
  });
});
