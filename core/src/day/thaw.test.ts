import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { productRow } from '../handbook/products';
import { type Lot } from '../harvest/onHand';
import { takeForBatch } from '../harvest/takeForBatch';
import { batchesNow } from '../kitchen/batchesNow';
import { AS_PLANNED } from '../kitchen/byTheTable';
import { type DayEvent } from '../kitchen/dayEvent';
import { type Batch, frozenPart, massKgOf } from './batch';
import { dayOf } from './dayOf';
import { scheduleProblemOf } from './dayProblem';
import { stepsOfBatch, THAW_COLD } from './daySequence';
import { USUAL_KITCHEN } from './kitchenSetup';
import { type DayPlan, planDay } from './planDay';

const KG_PER_LB = 0.45359237;

const lot = (pickId: string, massKg: number, place: Lot['place']): Lot => ({
  ...{ pickId, crop: 'blackberry', part: 'sound', ripeness: 'ripe', massKg, place, since: 0 },
  ...{ keepsDays: 3, until: place === 'freezer' ? 9 : 1, thawed: false },
});

function jam(lots: readonly Lot[], massKg: number, without: readonly string[] = []): Batch {
  return {
    ...{ id: 'jam', product: 'jam-no-pectin', jar: 'half-pint', pack: 'hot', method: 'refrigerator' },
    ...{ altitudeFt: 800, processMinutes: 0, cannerId: '', startAt: 0, without },
    uses: takeForBatch(lots, massKg),
    loads: [{ id: 'load', number: 1, jars: 5 }],
  };
}
const entries = (batch: Batch) => stepsOfBatch(batch).map(({ entry }) => entry);

test('frozen fruit thaws first and is not washed again; fresh fruit is as before', () => {
  expect(productRow('jam-no-pectin').crops.flat()).toContain('blackberry');
  const frozen = jam([lot('f', 3, 'freezer')], 2);
  expect(frozen.uses).toEqual([expect.objectContaining({ massKg: 2, frozenKg: 2 })]);
  expect(entries(frozen)[0]).toBe('thaw-cold');
  expect(entries(frozen).some((entry) => entry.startsWith('wash'))).toBe(false);
  expect(entries(jam([lot('f', 3, 'freezer')], 2, [THAW_COLD]))[0]).toBe('thaw-counter');
  const fresh = jam([lot('a', 3, 'cool')], 2);
  expect(fresh.uses[0]).not.toHaveProperty('frozenKg');
  expect(entries(fresh).some((entry) => entry.startsWith('thaw'))).toBe(false);
});

test('frozen and fresh mix in one batch: all of it is used once, and only the fresh part is washed', () => {
  const kg = fc.double({ min: 0.2, max: 8, noNaN: true });
  fc.assert(
    fc.property(kg, kg, fc.double({ min: 0.2, max: 16, noNaN: true }), (fresh, frozen, wanted) => {
      const batch = jam([lot('a', fresh, 'cool'), lot('f', frozen, 'freezer')], wanted);
      const used = Math.min(wanted, fresh + frozen);
      expect(massKgOf(batch)).toBeCloseTo(used, 9);
      const frozenKg = Math.max(0, used - fresh);
      expect(frozenPart(batch)).toBeCloseTo(frozenKg / used, 9);
      const { tasks } = dayOf([batch], { setup: USUAL_KITCHEN, canners: [], startMinute: 0 });
      const washed = tasks.find(({ step }) => step === 'wash');
      if (washed) expect(washed.pounds).toBeCloseTo((used - frozenKg) / KG_PER_LB, 6);
      // A crumb thaws in the pot.
      expect(tasks.some(({ step }) => step === 'thaw-cold')).toBe(frozenKg / used > 0.005);
    }),
  );
});

test('begun at nine in the evening it thaws past midnight, and nothing is filled before morning', () => {
  const batch = jam([lot('f', 3, 'freezer')], 2);
  const question = { batches: [batch], setup: USUAL_KITCHEN, canners: [], startMinute: 21 * 60 };
  const planner = planDay(question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  const plan = planner.step(3_000).plan as DayPlan;
  const placed = plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
  expect(brokenRules(scheduleProblemOf(dayOf([batch], question)), placed)).toEqual([]);
  const at = (step: string) => plan.tasks.filter(({ task }) => task.step === step);
  const thawed = Math.max(...at('thaw-cold').map(({ endMin }) => endMin));
  // Eight hours at the least, and cooks sleep until their day begins.
  expect(thawed).toBeGreaterThanOrEqual(8 * 60);
  for (const { startMin } of at('fill')) expect(startMin).toBeGreaterThanOrEqual(thawed);
});

test('what is added at the stove from the freezer asks for no thawing any more', () => {
  const use = { pickId: 'f', crop: 'blackberry', massKg: 1, softKg: 0, frozenKg: 1 } as const;
  const added = { id: 'e', day: 'd', at: 1, type: 'produce-added', batchId: 'jam', use } as DayEvent;
  const [batch] = batchesNow([jam([lot('a', 3, 'cool')], 2)], [added], [], AS_PLANNED);
  expect(massKgOf(batch!)).toBeCloseTo(3, 9);
  expect(entries(batch!).some((entry) => entry.startsWith('thaw'))).toBe(false);
});
