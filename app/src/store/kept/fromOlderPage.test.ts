import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { EMPTY_HOUSEHOLD } from '../emptyHousehold';
import { readOutbox } from '../outbox/outboxFile';
import { takeOver } from './fromOlderPage';
import { keepHousehold, readKeptHousehold } from './keptHousehold';
import { browserFile } from './browserFile';

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
    settled: [{ id: 's', write: { kind: 'batch-struck', batchId: 'c' } }],
  },
  version: 1,
};

afterEach(async () => {
  const file = await browserFile();
  for (const store of ['outbox', 'parts', 'changes', 'facts'] as const) await file?.clear(store);
});

test('what an older page kept is taken over once, however often that is begun; what waited still waits', async () => {
  localStorage.setItem('hoddle', JSON.stringify(KEPT));
  await takeOver();
  localStorage.setItem('hoddle', JSON.stringify(KEPT));
  await takeOver();
  expect(localStorage.getItem('hoddle')).toBeNull();
  expect(await readOutbox()).toMatchObject([
    { id: 's', sent: { epoch: '' } },
    { id: 'w', write: { kind: 'batch-struck', batchId: 'b' }, tries: 0 },
  ]);
  const kept = await readKeptHousehold();
  expect(kept?.tag).toBeUndefined();
  expect(kept?.state).toMatchObject({
    household: { name: 'Home', units: 'us' },
    picks: [{ id: 'p', ripeness: 'ripe', source: 'garden', plantingId: null }],
    ...{ checkedRows: [], sources: [], plantings: [], batchRecords: [], goals: [] },
    lots: [{ id: 'l', seal: 'unsealed', jarsBefore: 0 }],
  });
});

test('so is the household that the page before this one kept in a database of its own; that one goes', async () => {
  const old = await openDB('keyval-store', 1, { upgrade: (db) => void db.createObjectStore('keyval') });
  const { season: _, ...older } = EMPTY_HOUSEHOLD;
  await old.put(
    'keyval',
    { ...older, goals: [{ product: 'plums', jar: 'pint', jars: 12, perMonth: null }], now: 7 },
    'household',
  );
  old.close();
  localStorage.setItem('hoddle', JSON.stringify({ state: { waiting: [], settled: [] }, version: 6 }));
  await takeOver();
  expect((await readKeptHousehold())?.state).toMatchObject({
    ...{ now: 7, season: { plan: null, pins: [], ticked: [] } },
    goals: [{ product: 'plums', priority: 'want' }],
  });
  expect((await indexedDB.databases()).map(({ name }) => name)).toEqual(['hoddle']);
});

const TAG = { epoch: 'a', revision: 4 };
const known = (revision: number) => ({ tag: { ...TAG, revision }, covered: new Set<string>() });

test('what cannot be read is thrown away, and so is what a newer page kept left alone', async () => {
  await keepHousehold(EMPTY_HOUSEHOLD, known(4));
  expect(await readKeptHousehold()).toEqual({ state: EMPTY_HOUSEHOLD, tag: TAG });
  const file = await browserFile();
  await file?.put('parts', 'no rows' as never, 'lots');
  expect(await readKeptHousehold()).toBeUndefined();
  expect(await file?.count('parts')).toBe(0);
  await keepHousehold(EMPTY_HOUSEHOLD, known(4));
  await file?.put('facts', { layout: 99, tag: TAG }, 'household');
  expect(await readKeptHousehold()).toBeUndefined();
  expect(await file?.count('parts')).toBeGreaterThan(0);
});
