import { type InstrumentSettings } from '@hoddle/contract/instrument';
import { drawsFrom } from '@hoddle/core/math/draws';
import { type WatchedLoad } from '@hoddle/core/kitchen/watchedLoad';
import { InstrumentHub } from './instrumentHub';

const CANNER = '0198f3a0-0000-7000-8000-000000000004';
const load: WatchedLoad = {
  ...{ id: 'l', startedAt: 0, isSilent: false, pack: 'hot', boilF: 205.7 },
  order: { method: 'boiling-water' },
  state: { phase: 'planned', timesLost: 0 },
};

/** A hub on a clock of its own, with one probe where it is said to be. */
function hubWith(place: InstrumentSettings['places'][number]['place'], own: Partial<WatchedLoad> = {}) {
  let now = 0;
  const heard: string[] = [];
  const hub = new InstrumentHub(
    () => ({
      settings: { places: [{ id: 'p', name: 'Probe', place }], containers: [], startsClock: 'tap' },
      loads: () => [{ ...load, ...own }],
      // The household's clock is an hour ahead of this machine's.
      aheadMs: 3_600_000,
    }),
    () => now,
    (of, { id }, at) => void heard.push(`${of.id} ${id} ${at}`),
  );
  hub.take({ type: 'announce', id: 'p', name: 'Probe', kind: 'probe', unit: 'F', step: 0.1, at: 0 }, 0);
  const { normal } = drawsFrom(24);
  const goOn = (seconds: number, valueF: number) => {
    for (let k = 0; k < 5 * seconds; k++) {
      now += 200;
      hub.take({ type: 'reading', id: 'p', at: now, value: valueF + 0.3 * normal() }, now);
      if (k % 5 === 0) hub.look();
    }
    return hub.look();
  };
  return { hub, goOn, heard, wait: (ms: number) => (now += ms) };
}

test('a refrigerator is too warm when it has been for a quarter of an hour, on the household’s clock, and no longer', () => {
  const { goOn } = hubWith({ at: 'refrigerator' });
  expect(goOn(60, 38).warm).toEqual([]);
  expect(goOn(14 * 60, 46).warm).toEqual([]);
  const [warm] = goOn(2 * 60, 46).warm;
  expect(warm).toMatchObject({ instrument: 'p', reads: expect.closeTo(46, 0) });
  expect((warm?.since ?? 0) / 60_000).toBeCloseTo(61, 0);
  expect(goOn(60, 38).warm).toEqual([]);
});

test('what a probe in a canner reads belongs to its load; a machine that times itself calls nobody; out of reach nothing is called', () => {
  const open = hubWith({ at: 'canner', cannerId: CANNER });
  expect(open.goOn(60, 182).calls).toMatchObject([{ loadId: 'l', kind: 'water-ready' }]);
  expect(open.heard.at(-1)).toBe(`l p ${60_000 + 3_600_000}`);
  open.wait(35_000);
  expect(open.hub.look()).toMatchObject({ calls: [], instruments: [{ id: 'p', isLost: true }] });
  open.hub.silent(['p']);
  expect(open.hub.look().instruments).toMatchObject([{ id: 'p', isLost: true }]);

  const machine = hubWith({ at: 'canner', cannerId: CANNER }, { isSilent: true });
  expect(machine.goOn(60, 182).calls).toEqual([]);
  expect(machine.heard.length).toBeGreaterThan(0);
  // Beside the pot it is asked of no load.
  expect(hubWith({ at: 'room' }).goOn(60, 182).calls).toEqual([]);
});
