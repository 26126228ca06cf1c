import fc from 'fast-check';
import { HARVEST_YIELDS } from '../handbook/harvestYields';
import { PRODUCE } from '../handbook/produce';
import { forecastHarvest, type GardenBook } from './forecastHarvest';
import { harvestShape } from './harvestShape';
import { type Pick } from './pick';
import { picksOfPlanting } from './picksOfPlanting';
import { type GardenLook, pickingSeason, type Planting, seasonYear, usualKg, WEEK_MS } from './planting';

const DAY = 24 * 60 * 60_000;
const YEAR = 2026;
const bed: Planting = {
  id: 'bed',
  name: 'South bed',
  crop: 'tomato-paste',
  count: 60,
  unit: 'plants',
  firstWeek: 31,
  peakWeek: 35,
  lastWeek: 40,
  usualKg: 200,
};
const season = pickingSeason(bed, YEAR);
const pick = (at: number, massKg: number, more: Partial<Pick> = {}): Pick => ({
  id: `${at} ${massKg}`,
  crop: 'tomato-paste',
  massKg,
  softKg: 0,
  ripeness: 'ripe',
  place: 'cool',
  pickedAt: at,
  told: '',
  source: 'garden',
  plantingId: 'bed',
  ...more,
});

/** Picked every four days along the usual curve, moved and scaled, until `until`. */
function picked(until: number, { later = 0, times = 1 } = {}): Pick[] {
  const shape = harvestShape(season, later * WEEK_MS);
  const picks: Pick[] = [];
  for (let at = season.startAt - 2 * WEEK_MS; at <= until; at += 4 * DAY) {
    const massKg = times * 200 * (shape(at) - shape(at - 4 * DAY));
    if (massKg > 0.5) picks.push(pick(at, massKg));
  }
  return picks;
}

const forecast = (now: number, book: Partial<GardenBook> = {}) =>
  forecastHarvest(bed, { plantings: [bed], picks: [], looks: [], ...book }, YEAR, now);

test('every crop has a usual yield, and a planting goes by its own figure where it has one', () => {
  expect(HARVEST_YIELDS.map(({ crop }) => crop).sort()).toEqual(PRODUCE.map(({ crop }) => crop).sort());
  expect(usualKg(bed)).toBe(200);
  expect(usualKg({ ...bed, usualKg: null })).toBeCloseTo(60 * 10 * 0.45359237, 6);
});

test('a harvest comes in once, most at its peak, whatever the weeks', () => {
  const week = fc.integer({ min: 1, max: 52 });
  fc.assert(
    fc.property(
      week,
      fc.nat(12),
      fc.nat(12),
      fc.double({ min: -4, max: 4, noNaN: true }),
      (firstWeek, rise, fall, later) => {
        const peakWeek = ((firstWeek + rise - 1) % 52) + 1;
        const lastWeek = ((firstWeek + rise + fall - 1) % 52) + 1;
        const own = pickingSeason({ ...bed, firstWeek, peakWeek, lastWeek }, YEAR);
        expect(own.weeks).toBe(rise + fall + 1);
        const shape = harvestShape(own, later * WEEK_MS);
        const times = Array.from({ length: 120 }, (_, i) => own.startAt + (i - 40) * WEEK_MS);
        const parts = times.map(shape);
        expect(parts.every((part, i) => part >= (parts[i - 1] ?? 0) && part <= 1)).toBe(true);
        expect(shape(own.endAt + 60 * WEEK_MS)).toBeCloseTo(1, 9);
        const peak = own.peakAt + later * WEEK_MS;
        const at = (day: number) => shape(peak + (day + 0.5) * DAY) - shape(peak + (day - 0.5) * DAY);
        expect(at(0)).toBeGreaterThan(at(9));
        expect(at(0)).toBeGreaterThan(at(-9));
      },
    ),
  );
});

test('before the first pick it is the usual harvest, with a range on both sides', () => {
  const { remainingKg, weeks, pickedKg } = forecast(season.startAt - 10 * WEEK_MS);
  expect([remainingKg.p10 < 150, remainingKg.p50 > 180 && remainingKg.p50 < 220, remainingKg.p90 > 270]).toEqual([
    true,
    true,
    true,
  ]);
  expect(pickedKg).toBe(0);
  const likely = weeks.map(({ expectedKg }) => expectedKg.p50);
  expect(weeks[likely.indexOf(Math.max(...likely))]!.startAt).toBeLessThanOrEqual(season.peakAt);
  for (const { expectedKg } of weeks)
    expect(expectedKg.p10 <= expectedKg.p50 && expectedKg.p50 <= expectedKg.p90).toBe(true);
});

test('a week in which nothing was written down is no sign; that nothing was ripe is one', () => {
  const now = season.startAt + 3 * WEEK_MS;
  const silent = forecast(now);
  const before = forecast(season.startAt - 10 * WEEK_MS);
  expect(silent.size.p50).toBeCloseTo(before.size.p50, 6);
  expect(silent.laterWeeks).toEqual(before.laterWeeks);
  const looks: GardenLook[] = [14, 18].map((days) => ({
    id: String(days),
    plantingId: 'bed',
    kind: 'nothing-ripe',
    at: season.startAt + days * DAY,
  }));
  const told = forecast(now, { looks });
  expect(told.laterWeeks.p50).toBeGreaterThan(silent.laterWeeks.p50 + 0.9);
  expect(told.weeks.find(({ startAt }) => startAt > now)!.expectedKg.p50).toBeLessThan(
    silent.weeks.find(({ startAt }) => startAt > now)!.expectedKg.p50,
  );
});

test.each([
  ['late', { later: 2 }, { later: [0.9, 3], size: [0.6, 1.3] }],
  ['early', { later: -2 }, { later: [-3, -0.9], size: [0.6, 1.4] }],
  ['heavy', { times: 2 }, { later: [-1, 1], size: [1.5, 2.3] }],
  ['failing', { times: 0.35 }, { later: [-1, 1.5], size: [0.25, 0.75] }],
] as const)('a %s crop moves the rest of its curve', (_, course, { later, size }) => {
  const now = season.peakAt + 0.7 * WEEK_MS;
  const told = forecast(now, { picks: picked(now, course) });
  expect(told.laterWeeks.p50).toBeGreaterThan(later[0]);
  expect(told.laterWeeks.p50).toBeLessThan(later[1]);
  expect(told.size.p50).toBeGreaterThan(size[0]);
  expect(told.size.p50).toBeLessThan(size[1]);
});

test('what is done for the year gives no more, and what is bought belongs to no bed', () => {
  const now = season.peakAt;
  const picks = picked(now);
  const looks: GardenLook[] = [{ id: 'l', plantingId: 'bed', kind: 'finished', at: now - DAY }];
  expect(forecast(now, { picks, looks })).toMatchObject({ finished: true, remainingKg: { p90: 0 } });
  const bought = [...picks, pick(now - DAY, 300, { source: 'bought', plantingId: null })];
  expect(forecast(now, { picks: bought })).toEqual(forecast(now, { picks }));
});

test('an earlier season that was picked stands beside the usual figure', () => {
  const lastYear = pickingSeason(bed, YEAR - 1);
  const before = [0, 7, 14, 21].map((days) => pick(lastYear.peakAt - 14 * DAY + days * DAY, 25));
  const told = forecast(season.startAt - 4 * WEEK_MS, { picks: before });
  expect(told.size.p50).toBeLessThan(0.95);
  expect(told.pickedKg).toBe(0);
});

test('a pick that names no bed is shared among the beds of its crop, and none of it is lost', () => {
  const other: Planting = { ...bed, id: 'other', usualKg: 100 };
  const picks = [pick(season.peakAt, 30, { plantingId: null }), pick(season.peakAt + DAY, 12)];
  const of = (planting: Planting) =>
    picksOfPlanting(planting, [bed, other], picks)
      .get(YEAR)
      ?.map(({ massKg }) => massKg);
  expect(of(bed)).toEqual([expect.closeTo(20, 9), 12]);
  expect(of(other)).toEqual([expect.closeTo(10, 9)]);
});

test('a season over the turn of the year belongs to the year it begins in', () => {
  const south: Planting = { ...bed, firstWeek: 50, peakWeek: 4, lastWeek: 10 };
  expect(seasonYear(south, Date.UTC(2027, 1, 1))).toBe(2026);
  expect(seasonYear(south, Date.UTC(2026, 11, 20))).toBe(2026);
  expect(seasonYear(bed, Date.UTC(2026, 9, 20))).toBe(2026);
});
