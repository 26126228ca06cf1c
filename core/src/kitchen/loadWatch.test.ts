import fc from 'fast-check';
import { HeatCurve } from '../instruments/heatCurve';
import { dealtDraws } from '../instruments/simulated/dealtDraws';
import { SimulatedPot } from '../instruments/simulated/simulatedPot';
import { boilingPointF } from '../process/boilingPoint';
import { boilRuns } from './boilRuns';
import { type KitchenEvent } from './kitchenEvent';
import { CurveRecord } from './curveRecord';
import { curveVerdict, type LoadCurve } from './loadCurve';
import { probeFault } from './probeFault';
import { loadState, type LoadOrder } from './loadState';
import { LoadWatch, type WatchKind, type WatchQuestion } from './loadWatch';
import { notForShelf } from './notForShelf';

const MIN = 60_000;
const drawsOf = dealtDraws(24);
const order: LoadOrder = { method: 'boiling-water', jars: 7, processMinutes: 55, restMinutes: 5, leastRestMinutes: 5 };
const boilF = boilingPointF(3_420);

/** A curve at ten readings a second with half a degree of noise, and what is called in its course, each new call once. */
function watched(
  seconds: number,
  valueF: (second: number) => number,
  more: Partial<WatchQuestion>,
  seed = 1,
): [number, WatchKind][] {
  const curve = new HeatCurve();
  const watch = new LoadWatch();
  const draws = drawsOf(seed);
  const calls: [number, WatchKind][] = [];
  const question: WatchQuestion = {
    ...{ order, state: { phase: 'heating', timesLost: 0 }, pack: 'hot', boilF, aheadMs: 0, ...more },
  };
  let last: WatchKind | undefined;
  for (let second = 0; second < seconds; second++) {
    for (let k = 0; k < 10; k++) curve.take(1_000 * second + 100 * k, valueF(second + k / 10) + 0.5 * draws.normal());
    const kind = watch.look(curve, question)?.kind;
    if (kind !== undefined && kind !== last) calls.push([second, kind]);
    last = kind;
  }
  return calls;
}

test('a boil is called once it is one and stands until it is answered; a plateau under it never; a fall is called, a boil that holds is not', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const { unit } = drawsOf(seed);
    const pot = new SimulatedPot({ litres: 10 + 8 * unit(), startF: boilF - 30, roomF: 72, boilF, watts: 3_000 });
    const path: number[] = [];
    while (path.length < 1_200) {
      pot.goOn(1);
      path.push(pot.waterF);
    }
    const boils = path.findIndex((warm) => warm >= boilF);
    const found = watched(boils + 170, (second) => path[Math.floor(second)] ?? boilF, {}, seed);
    expect([seed, found.map(([, kind]) => kind)]).toEqual([seed, ['boil-found']]);
    expect(found[0]?.[0]).toBeGreaterThanOrEqual(boils);
    expect((found[0]?.[0] ?? 0) - boils).toBeLessThan(90);
    const under = (second: number) => Math.min(boilF - 4.5, path[Math.floor(second)] ?? boilF - 4.5);
    expect([seed, watched(boils + 300, under, {}, seed)]).toEqual([seed, []]);
  }
  const boiling = { state: { phase: 'boiling', boilAt: 0, timesLost: 0 } } as const;
  expect(watched(1_500, () => boilF, boiling)).toEqual([]);
  const lost = watched(900, (second) => boilF - Math.max(0, second - 600) / 40, boiling);
  expect(lost.map(([, kind]) => kind)).toEqual(['boil-lost']);
  expect(lost[0]?.[0]).toBeLessThan(700);
});

test('a household’s clock that is set on makes no lost boil of the minutes in which it still rose', () => {
  const curve = new HeatCurve();
  const watch = new LoadWatch();
  const { normal } = drawsOf(3);
  let tappedAt: number | undefined;
  const lost: number[] = [];
  for (let second = 0; second < 700; second++) {
    for (let k = 0; k < 10; k++) {
      curve.take(1_000 * second + 100 * k, Math.min(boilF, boilF - 40 + second / 6) + 0.5 * normal());
    }
    // Tapped as soon as it is called; then half an hour is passed over.
    const state =
      tappedAt === undefined
        ? ({ phase: 'heating', timesLost: 0 } as const)
        : ({ phase: 'boiling', boilAt: tappedAt * 1_000, timesLost: 0 } as const);
    const aheadMs = tappedAt === undefined ? 0 : 30 * MIN;
    const call = watch.look(curve, { order, state, pack: 'hot', boilF, aheadMs });
    if (call?.kind === 'boil-found') tappedAt ??= second;
    if (call?.kind === 'boil-lost') lost.push(second);
  }
  expect([tappedAt !== undefined, lost]).toEqual([true, []]);
});

test('what each way of processing asks for is called: water at 180 and 140 F, raw jars too hot, a bath both ways, pressure under its mark, a probe in another pot', () => {
  const planned = { state: { phase: 'planned', timesLost: 0 } } as const;
  const kinds = (valueF: number, more: Partial<WatchQuestion>) =>
    watched(300, () => valueF, more).map(([, kind]) => kind);
  // Handbook rules 6 and 8.
  expect([kinds(178, planned), kinds(182, planned)]).toEqual([[], ['water-ready']]);
  expect(kinds(142, { ...planned, pack: 'raw' })).toEqual(['water-ready']);
  expect(kinds(170, { ...planned, pack: 'raw' })).toContain('too-hot');
  const bath = {
    order: { method: 'low-temperature-bath' as const },
    state: { phase: 'boiling', boilAt: 0, timesLost: 0 } as const,
  };
  expect([kinds(178, bath), kinds(182.5, bath), kinds(188, bath)]).toEqual([['too-cool'], [], ['too-hot']]);
  const pressure = { order: { method: 'pressure-dial' as const }, markPsi: 11 };
  const venting = { ...pressure, state: { phase: 'venting', timesLost: 0 } as const };
  const under = { ...pressure, state: { phase: 'boiling', boilAt: 0, timesLost: 0 } as const };
  expect([kinds(12, venting), kinds(9, venting)]).toEqual([['boil-found'], []]);
  expect([kinds(9, under), kinds(12, under)]).toEqual([['under-pressure'], []]);
  expect(kinds(boilF - 40, { state: { phase: 'boiling', boilAt: 0, timesLost: 0 } })).toEqual(['elsewhere']);
});

const events = (...told: [KitchenEvent['type'], number, object?][]) =>
  told.map(([type, at, more]) => ({ id: `${type} ${at}`, loadId: 'l', type, at: at * MIN, ...more }) as KitchenEvent);

test('a clock that a probe began counts in full, is not begun twice or too soon, and its jars go to no shelf until somebody has looked', () => {
  const begun = events(['load-started', 0, { jars: 7 }], ['boil-reached', 20, { by: 'probe' }]);
  const state = loadState(order, begun);
  expect(state).toMatchObject({ phase: 'boiling', boilAt: 20 * MIN, unseen: true });
  expect(loadState(order, [...begun, ...events(['boil-reached', 25, { by: 'probe', sure: true }])]).boilAt).toBe(
    20 * MIN,
  );
  expect(loadState(order, events(['load-started', 0, { jars: 7 }], ['boil-reached', 1, { by: 'probe' }])).phase).toBe(
    'heating',
  );
  // A tap is later than the probe: the longer process wins, and somebody has looked.
  const tapped = loadState(order, [...begun, { id: 'x', loadId: 'l', type: 'boil-reached', at: 22 * MIN }]);
  expect([tapped.boilAt, tapped.unseen]).toEqual([22 * MIN, undefined]);
  const out = [
    ...begun,
    ...events(['heat-off', 76], ['jars-out', 81]).map((event) => ({ ...event, id: `o${event.at}` })),
  ];
  const seals = (sealed: boolean) =>
    ({
      id: 's',
      loadId: 'l',
      type: 'seal-checked',
      at: 900 * MIN,
      sealed: Array(7).fill(sealed),
      sealedLotId: 'a',
      unsealedLotId: 'b',
    }) as KitchenEvent;
  expect(notForShelf(order, loadState(order, out), undefined)).toEqual({ kind: 'unseen' });
  expect(loadState(order, [...out, seals(true)]).phase).toBe('cooling');
  expect(loadState(order, [...out, seals(false)]).phase).toBe('checked');
  const seen = { id: 'seen', loadId: 'l', type: 'boil-seen', at: 82 * MIN } as KitchenEvent;
  expect(loadState(order, [...out, seen, seals(true)]).phase).toBe('checked');
});

test('each go of the clock is one run: a tap that moves it later is no other, one that was lost is', () => {
  const told = events(
    ['load-started', 0, { jars: 7 }],
    ['boil-reached', 20],
    ['boil-reached', 22],
    ['boil-lost', 40],
    ['boil-reached', 45],
    ['heat-off', 100],
  );
  expect(boilRuns(order, told)).toEqual([
    { from: 22 * MIN, to: 40 * MIN, held: false, byProbe: false },
    { from: 45 * MIN, to: 100 * MIN, held: true, byProbe: false },
  ]);
});

test('a kept curve falls short exactly in the minutes whose mean lies under what is asked, and unread minutes are none', () => {
  const minute = fc.record({
    isRead: fc.boolean(),
    valueF: fc.integer({ min: 2_000, max: 2_100 }).map((tenths) => tenths / 10),
  });
  fc.assert(
    fc.property(fc.array(minute, { minLength: 55, maxLength: 55 }), (minutes) => {
      const record = new CurveRecord({
        id: 'l',
        instrument: 'p',
        measures: 'F',
        startAt: 0,
        wants: boilF,
        readsMoreF: 0,
        points: [],
      });
      minutes.forEach(({ isRead, valueF }, i) => {
        for (let second = 0; isRead && second < 60; second += 5) record.take((20 + i) * MIN + second * 1_000, valueF);
      });
      const verdict = curveVerdict(record.curve, order, { boilAt: 20 * MIN, heatOffAt: 75 * MIN });
      // Two degrees a probe may be off, and the tenth it is kept to.
      const short = minutes.filter(({ isRead, valueF }) => isRead && valueF < boilF - 2 - 0.06).length;
      const atMost = minutes.filter(({ isRead, valueF }) => isRead && valueF < boilF - 2 + 0.06).length;
      expect(verdict?.readMinutes).toBe(minutes.filter(({ isRead }) => isRead).length);
      expect(verdict?.short?.minutes ?? 0).toBeGreaterThanOrEqual(short);
      expect(verdict?.short?.minutes ?? 0).toBeLessThanOrEqual(atMost);
    }),
    { numRuns: 200, seed: 24 },
  );
});

test('what a probe reads too much is learned from three boils that agree within a degree, and from no fewer', () => {
  const curve = (offF: number): { curve: LoadCurve; boilAt: number } => ({
    boilAt: 20 * MIN,
    curve: {
      ...{ id: 'l', instrument: 'p', measures: 'F', startAt: 0, wants: boilF, readsMoreF: 0 },
      points: Array.from({ length: 60 }, (_, i) => [i * 30, Math.round(10 * (boilF + offF))] as const),
    },
  });
  expect(probeFault([curve(1.5), curve(1.6)])).toEqual({ readsMoreF: 0, offF: 2 });
  expect(probeFault([curve(1.5), curve(1.6), curve(1.4)])).toEqual({ readsMoreF: expect.closeTo(1.5, 1), offF: 1 });
  expect(probeFault([curve(1.5), curve(-1), curve(1.4)])).toEqual({ readsMoreF: 0, offF: 2 });
  // Never in the water at all.
  expect(probeFault([curve(-30), curve(-30), curve(-30)])).toEqual({ readsMoreF: 0, offF: 2 });
});

test('a call keeps the moment it began; where somebody looked and knew better, the next loss is called anew, and a bath again after five minutes', () => {
  const since = (
    seconds: number,
    valueF: (second: number) => number,
    method: LoadOrder['method'],
    looked: (second: number) => number | undefined,
  ) => {
    const curve = new HeatCurve();
    const watch = new LoadWatch();
    const { normal } = drawsOf(7);
    const state = { phase: 'boiling', boilAt: 1, timesLost: 0 } as const;
    const calls = new Map<number, number>();
    for (let second = 0; second < seconds; second++) {
      for (let k = 0; k < 10; k++) curve.take(1_000 * second + 100 * k, valueF(second) + 0.5 * normal());
      const lookedAt = looked(second);
      const call = watch.look(curve, {
        ...{ order: { method }, state, pack: 'hot', boilF, aheadMs: 0, ...(lookedAt !== undefined && { lookedAt }) },
      });
      if (call) calls.set(call.since / 1_000, second);
    }
    return [...calls].map(([from, until]) => [Math.round(from), until]);
  };
  // Over 185 F from the 200th second: one call, however often it is looked at; answered at 400 it is quiet until 700.
  const bath = since(
    900,
    (second) => (second < 200 ? 182 : 190),
    'low-temperature-bath',
    (second) => (second < 400 ? undefined : 400_000),
  );
  expect(bath).toEqual([
    [expect.closeTo(213, -1), 399],
    [expect.closeTo(700, -1), 899],
  ]);
  // It dips and comes back, somebody looks at 400; at 700 it is lost in earnest.
  const dip = (second: number) => boilF - Math.max(0, Math.min((second - 250) / 15, (350 - second) / 15));
  const lost = since(
    1_000,
    (second) => (second < 700 ? dip(second) : boilF - (second - 700) / 30),
    'boiling-water',
    (second) => (second < 400 ? undefined : 400_000),
  );
  expect(lost.map(([, until]) => until)).toEqual([399, 999]);
  expect(lost[1]?.[0]).toBeGreaterThan(700);
  expect(lost[1]?.[0]).toBeLessThan(790);
});
