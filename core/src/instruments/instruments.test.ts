import { boilingPointF } from '../process/boilingPoint';
import { findBoil } from './findBoil';
import { HeatCurve } from './heatCurve';
import { heldHeat } from './heldHeat';
import { lostBoil } from './lostBoil';
import { dealtDraws } from './simulated/dealtDraws';
import { HeatUp, readSecond, watchHeatUp } from './simulated/heatUp';
import { SimulatedPot } from './simulated/simulatedPot';
import { SimulatedProbe } from './simulated/simulatedProbe';
import { SimulatedScale } from './simulated/simulatedScale';
import { StillWeight } from './stillWeight';

const dealt = dealtDraws(24);

test('of 1,000 heat-ups none is told to boil before it does, and 95 of 100 that boil are found within a minute', () => {
  const seen = Array.from({ length: 1_000 }, (_, run) => watchHeatUp(dealt(9_000 + run)));
  const early = seen.filter(({ told, boiled, underF }) => told < Infinity && (boiled > told || underF > 0));
  expect(early).toEqual([]);
  expect(seen.filter(({ isPlateau, boiled }) => isPlateau && boiled === Infinity).length).toBeGreaterThan(250);
  const boiled = seen.filter((each) => each.boiled < Infinity);
  expect(boiled.length).toBeGreaterThan(600);
  const soon = boiled.filter((each) => each.told - each.boiled <= 60);
  expect(soon.length / boiled.length).toBeGreaterThanOrEqual(0.95);
});

test('a stuck probe, one in another pot and one that reads far too much are no boil; a learned fault is', () => {
  const verdicts = ({ sticks = false, offF = 0 }, elsewhereF = 0, readsMoreF = 0) => {
    const draws = dealt(4);
    const heatUp = new HeatUp(draws, 208, 14);
    const probe = new SimulatedProbe({ noiseF: 1, offF, driftFPerHour: 0 }, draws);
    const kinds = new Set<string>();
    for (let after = 0; after < 400; after += heatUp.pot.boils ? 1 : 0) {
      // Stuck where the gate is open already.
      if (sticks && heatUp.pot.waterF > 206.5) probe.stick();
      heatUp.goOn(elsewhereF === 0 ? probe : elsewhere(probe, elsewhereF));
      kinds.add(findBoil(heatUp.curve, { boilF: 208, readsMoreF }).kind);
    }
    return [...kinds];
  };
  const elsewhere = (probe: SimulatedProbe, warmF: number) => ({
    read: (_: number, second: number) => probe.read(warmF, second),
  });
  expect(verdicts({})).toContain('boil');
  expect(verdicts({ sticks: true })).toEqual(['silent']);
  expect(verdicts({}, 72)).toEqual(['silent']);
  expect(verdicts({}, 208)).toEqual(['silent']);
  expect(verdicts({ offF: 6 })).toEqual(['silent']);
  expect(verdicts({ offF: 6 }, 0, 6)).toContain('boil');
});

test('of 200 loads at the boil at most one is called lost that is not; a lost one is called within a minute in 99 of 100', () => {
  let [wrong, soon] = [0, 0];
  for (let run = 0; run < 200; run++) {
    const draws = dealt(300 + run);
    const boilF = boilingPointF(9_000 * draws.unit());
    const litres = 8 + 14 * draws.unit();
    const pot = new SimulatedPot({ litres, startF: boilF, roomF: 60 + 20 * draws.unit(), boilF, watts: 2_500 });
    const faults = { noiseF: 1, offF: 4 * draws.unit() - 2, driftFPerHour: 4 * draws.unit() - 2, lost: 0.02 };
    const probe = new SimulatedProbe(faults, draws);
    const curve = new HeatCurve();
    const minutes = 10 + 75 * draws.unit();
    const offAt = Math.round(60 * minutes);
    let calledAt: number | undefined;
    for (let second = 0; second < offAt + 120 && calledAt === undefined; second++) {
      // Somebody turns the burner off, or it goes out; the lid is lifted as one does then.
      if (second === offAt) [pot.watts, pot.isLidOn] = [0, draws.unit() < 0.5];
      readSecond({ pot, probe, curve }, second);
      if (lostBoil(curve, 0) !== undefined) calledAt = second;
    }
    if (calledAt !== undefined && calledAt < offAt) wrong += 1;
    else if (calledAt !== undefined && calledAt <= offAt + 60) soon += 1;
  }
  expect(wrong).toBeLessThanOrEqual(1);
  expect(soon).toBeGreaterThanOrEqual(0.99 * (200 - wrong));
});

// Handbook rule 8: a low-temperature bath is held at 180 to 185 F.
test('a bath under 180 F or over 185 F is called, either way; within, or a splash, is not', () => {
  const called = (warmF: (second: number) => number) => {
    const curve = new HeatCurve();
    const draws = dealt(12);
    const calls = new Set<string>();
    for (let i = 0; i < 1_200 * 2; i++) {
      curve.take(i * 500, warmF(i / 2) + draws.normal());
      const call = heldHeat(curve, { lowF: 180, highF: 185 });
      if (call) calls.add(call);
    }
    return [...calls];
  };
  expect(called((second) => 182.5 + 2 * Math.sin(second / 60))).toEqual([]);
  expect(called((second) => (Math.abs(second - 300) < 2 ? 160 : 182))).toEqual([]);
  expect(called((second) => (second < 300 ? 182 : 178))).toEqual(['low']);
  expect(called((second) => (second < 300 ? 182 : 187))).toEqual(['high']);
});

test('of 500 series none is weighed while it moves; what lies still is taken within a step and two seconds', () => {
  let [taken, moving, late, off] = [0, 0, 0, 0];
  for (let run = 0; run < 500; run++) {
    const draws = dealt(run);
    const stepGrams = [1, 5, 10, 20, 50][run % 5] as number;
    const scale = new SimulatedScale(stepGrams, draws);
    const weight = new StillWeight(stepGrams);
    let found: number | undefined;
    const stillFrom = scale.stillFromMs;
    for (let at = 0; at < stillFrom + 4_000 && found === undefined; at += 100) {
      const grams = weight.take(at, scale.read(at));
      if (grams === undefined) continue;
      found = at;
      taken += 1;
      if (scale.moves(at)) moving += 1;
      if (at - stillFrom > 2_000) late += 1;
      if (Math.abs(grams - scale.restsAtGrams) > stepGrams) off += 1;
    }
  }
  expect({ moving, off, late }).toEqual({ moving: 0, off: 0, late: 0 });
  expect(taken).toBe(500);
});
