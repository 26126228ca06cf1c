import * as v from 'valibot';
import { timedUses } from '@hoddle/core/day/timedUses';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type ProductId } from '@hoddle/core/handbook/products';
import { onHand, overdrawnKg } from '@hoddle/core/harvest/onHand';
import { loadOrder } from '@hoddle/core/kitchen/loadOrder';
import { loadState } from '@hoddle/core/kitchen/loadState';
import { jarCounts } from '@hoddle/core/pantry/jarLot';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type Batch } from '@hoddle/core/day/batch';
import { BackupData } from '@hoddle/contract/backup';
import { checkHouseholdSource } from '@hoddle/core/process/checkHouseholdSource';
import { checkRecord } from '@hoddle/core/yields/checkRecord';
import { learnYields } from '@hoddle/core/yields/yieldModel';
import { yieldRange } from '@hoddle/core/yields/yieldRange';
import { demoStart, fennickHollow } from './fennickHollow';

const LB = 0.45359237;

test.each([
  [2026, 29],
  [2024, 31],
  [2025, 30],
])('in %d the demo begins on 29, 30 or 31 August, a Saturday, at 7:40', (year, day) => {
  const start = demoStart(new Date(year, 2, 3));
  expect([start.getMonth(), start.getDate(), start.getDay(), start.getHours(), start.getMinutes()]).toEqual([
    7,
    day,
    6,
    7,
    40,
  ]);
});

test('the demo household is one that the API would take, with the produce it is to have on hand', () => {
  const { demoNow: _, ...household } = fennickHollow(new Date(2026, 2, 3));
  const { picks, lotChanges, sources } = v.parse(BackupData, { demoOffsetMs: 0, ...household });
  const batches = household.batches as Batch[];
  for (const source of sources) expect(checkHouseholdSource(source)).toEqual({ kind: 'accepted' });
  expect(overdrawnKg(picks, timedUses(batches), lotChanges)).toBeCloseTo(0, 6);
  const pounds = onHand(picks, timedUses(batches), lotChanges).map((lot) => [
    lot.crop,
    lot.ripeness,
    Math.round(lot.massKg / LB),
  ]);
  expect(pounds.sort()).toEqual([
    ['bean-snap', 'ripe', 9],
    ['damson', 'ripe', 11],
    ['damson', 'ripe', 19],
    ['tomato-paste', 'ripe', 56],
    ['tomato-paste', 'soft', 12],
    ['tomato-slicing', 'ripe', 40],
  ]);
});

test('its records are ones that can be: sauce about 15 % fewer jars than printed, damson jam about 8 % more', () => {
  const { demoNow, batchRecords } = fennickHollow(new Date(2026, 2, 3));
  const learned = learnYields(batchRecords, demoNow);
  for (const record of batchRecords) expect(checkRecord(record)).toEqual({ kind: 'likely' });
  const jarsAgainstPrint = (product: ProductId, crop: ProduceId) => {
    const { basis, lbPerQuart } = yieldRange(product, crop, learned)!;
    return basis.printedLbPerQuart / lbPerQuart.p50;
  };
  expect(jarsAgainstPrint('tomato-sauce-thin', 'tomato-paste')).toBeCloseTo(0.85, 1);
  expect(jarsAgainstPrint('jam-with-pectin', 'damson')).toBeGreaterThan(1.02);
});

test('its history breaks no rule: every load fully boiled, no lot below none, no movement in the future', () => {
  const { demoNow, lots, movements, ...rest } = fennickHollow(new Date(2026, 2, 3));
  const [batches, events] = [rest.batches as Batch[], rest.events as KitchenEvent[]];
  for (const batch of batches) {
    for (const load of batch.loads) {
      const own = events.filter((event) => event.loadId === load.id);
      expect(loadState(loadOrder(batch, load, batches), own)).toMatchObject({
        phase: own.some(({ type }) => type === 'seal-checked') ? 'checked' : 'cooling',
        outOfPlace: [],
      });
    }
  }
  const jars = jarCounts(lots, movements);
  expect([...jars.values()].every((count) => count >= 0)).toBe(true);
  expect(Math.max(...movements.map(({ at }) => at))).toBeLessThanOrEqual(demoNow);
  expect(lots.filter((lot) => lot.keepsUntil < demoNow).reduce((sum, lot) => sum + (jars.get(lot.id) ?? 0), 0)).toBe(3);
});
