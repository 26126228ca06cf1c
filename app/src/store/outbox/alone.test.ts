import 'fake-indexeddb/auto';
import type * as Alone from './alone';

/** A tab of a page that came over plain http: it has no locks. */
function openTab(): typeof Alone {
  jest.resetModules();
  return jest.requireActual<typeof Alone>('./alone');
}

async function passes(ms: number): Promise<void> {
  for (let left = ms; left >= 0; left -= 250) {
    for (let turn = 0; turn < 20; turn++) await new Promise((done) => setImmediate(done));
    await jest.advanceTimersByTimeAsync(250);
  }
}

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'clearImmediate', 'nextTick', 'queueMicrotask', 'performance'] });
  globalThis.indexedDB = new IDBFactory();
});
afterEach(() => jest.useRealTimers());

test('of three tabs one works at a time, each gets its turn, and a long work keeps its lease', async () => {
  let at = 0;
  let most = 0;
  const done: number[] = [];
  const work = (tab: number, ms: number) => async () => {
    at += 1;
    most = Math.max(most, at);
    await new Promise((later) => setTimeout(later, ms));
    at -= 1;
    done.push(tab);
  };
  const all = [40_000, 2_000, 0].map((ms, tab) => openTab().alone('sender', work(tab, ms)));
  await passes(60_000);
  await Promise.all(all);
  expect(most).toBe(1);
  expect([...done].sort()).toEqual([0, 1, 2]);
});

test('a tab that died with it holds it no longer than its lease, also where the clock was set back since', async () => {
  for (const setBackMs of [0, 3_600_000]) {
    const died = openTab();
    let isHeld = false;
    void died.alone('sender', () => {
      isHeld = true;
      return new Promise(() => undefined);
    });
    await passes(1_000);
    expect(isHeld).toBe(true);
    // Nothing of it runs any more, its renewal neither.
    jest.clearAllTimers();
    jest.setSystemTime(Date.now() - setBackMs);
    let isTaken = false;
    void openTab().alone('sender', async () => void (isTaken = true));
    await passes(setBackMs > 0 ? 2_000 : 5_000);
    expect(isTaken).toBe(setBackMs > 0);
    await passes(15_000);
    expect(isTaken).toBe(true);
    globalThis.indexedDB = new IDBFactory();
  }
});
