import { type LoadCurve } from './loadCurve';
import { type LoadNow } from './loadsNow';
import { type LoadOrder, loadState } from './loadState';
import { boiledByHand, emptyCurve, watchedLoad } from './watchedLoad';

const ground = { altitudeFt: 3_420, canner: { lidLocks: false, timesItself: false }, boiled: [] };
const now = (method: LoadOrder['method'], pressurePsi?: number): LoadNow => {
  const order: LoadOrder = { method, jars: 7, processMinutes: 30, restMinutes: 5, leastRestMinutes: 5 };
  const batch = { pack: 'raw', ...(pressurePsi !== undefined && { pressurePsi }) };
  return { batch, load: { id: 'l' }, order, state: loadState(order, []) } as unknown as LoadNow;
};

// Boils at 205.8 F at 3,420 ft (US Standard Atmosphere 1976, steam tables); a bath is held from 180 F on: handbook rule 8.
test('a probe is asked about open water and a gauge about a closed pot; each curve knows what is asked of it', () => {
  const open = watchedLoad('probe', now('boiling-water'), ground);
  expect(open).toMatchObject({ id: 'l', pack: 'raw', isSilent: false, boilF: expect.closeTo(205.8, 0), offF: 2 });
  expect(open && emptyCurve('p', open)).toMatchObject({ measures: 'F', wants: expect.closeTo(205.8, 0) });
  const bath = watchedLoad('probe', now('low-temperature-bath'), ground);
  expect(bath && emptyCurve('p', bath).wants).toBe(180);
  const closed = watchedLoad('pressure-gauge', now('pressure-dial', 12), ground);
  expect(closed && emptyCurve('g', closed)).toMatchObject({ measures: 'psi', wants: 12 });
  expect(watchedLoad('probe', now('pressure-dial', 12), ground)).toBeUndefined();
  expect(watchedLoad('pressure-gauge', now('boiling-water'), ground)).toBeUndefined();
  expect(watchedLoad('pressure-gauge', now('pressure-dial'), ground)).toBeUndefined();
  expect(watchedLoad('kitchen-scale', now('boiling-water'), ground)).toBeUndefined();
});

test('under a locked lid, and where a machine times itself, nobody is called and no clock is begun', () => {
  for (const canner of [
    { lidLocks: true, timesItself: false },
    { lidLocks: false, timesItself: true },
  ]) {
    expect(watchedLoad('probe', now('boiling-water'), { ...ground, canner })).toMatchObject({ isSilent: true });
  }
});

test('a probe learns from boils that a hand confirmed, not from those it called itself', () => {
  const curve = (id: string, instrument: string): LoadCurve => ({
    ...{ id, instrument, measures: 'F', startAt: 0, wants: 205.8, readsMoreF: 0, points: [] },
  });
  const curves = [curve('a', 'p'), curve('b', 'p'), curve('c', 'other')];
  const told = [
    { loadId: 'b', at: 9, type: 'boil-reached' },
    { loadId: 'a', at: 20, type: 'boil-reached' },
    { loadId: 'c', at: 1, type: 'boil-reached' },
    { loadId: 'x', at: 1, type: 'boil-reached', by: 'probe' },
  ] as const;
  expect(boiledByHand('p', curves, told).map(({ curve: { id }, boilAt }) => [id, boilAt])).toEqual([
    ['b', 9],
    ['a', 20],
  ]);
  expect(boiledByHand('p', curves, [{ ...told[0], by: 'probe' }])).toEqual([]);
});
