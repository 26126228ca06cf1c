import { demoQuestion } from '../../bench/day/proposedDay';
import { massKgOf } from './batch';
import { otherQuestion } from './otherPlans';
import { type DayPlan, planDay } from './planDay';
import { gasLb, heatCost, planFigures } from './planFigures';
import { type DayQuestion } from './questionOfDay';

const day = demoQuestion();

function planOf(question: DayQuestion): DayPlan {
  const planner = planDay(question);
  const plan = planner.kind === 'planner' ? planner.step(60).plan : undefined;
  if (!plan) throw new Error('no plan');
  return plan;
}

test('what a plan takes is added up minute by minute: hands, burners that are lit, and the food that is saved', () => {
  const plan = planOf(day);
  const figures = planFigures(day, plan);
  const last = Math.max(...plan.tasks.map(({ endMin }) => endMin));
  let [hands, lit] = [0, 0];
  for (let minute = 0; minute < last; minute += 0.5) {
    const now = plan.tasks
      .filter(({ startMin, endMin }) => startMin <= minute && endMin > minute)
      .map(({ task }) => task);
    hands += now.filter(({ needs }) => needs.hands).length / 2;
    // Jars at rest and jars lifted out stand on no flame.
    lit += now.filter(({ kind, needs }) => kind !== 'rest' && kind !== 'unload' && needs.burners).length / 2;
  }
  expect(figures.endMin).toBe(last);
  expect(Math.abs(figures.handsMin - hands)).toBeLessThan(0.02 * hands);
  expect(Math.abs(figures.burnerMin - lit)).toBeLessThan(0.02 * lit);
  expect(figures.savedKg).toBeCloseTo(
    day.batches.reduce((sum, batch) => sum + massKgOf(batch), 0),
    6,
  );
  // No burner gives more than 1,800 W here, and a kept boil two fifths of it.
  const hoursLit = figures.burnerMin / 60;
  expect(figures.kWh).toBeGreaterThanOrEqual(0.4 * 1.8 * hoursLit - 1e-9);
  expect(figures.kWh).toBeLessThanOrEqual(1.8 * hoursLit);
});

// US Energy Information Administration: 91,452 BTU a gallon of propane, of 4.2 lb; 3,412 BTU a kilowatt-hour. By hand: 0.157 lb.
test('a pound of bottled gas gives about 6.4 kilowatt-hours', () => {
  expect(gasLb(1)).toBeCloseTo(0.157, 3);
  expect(gasLb(10)).toBeCloseTo(1.57, 2);
  // Ten of them at 0.18 each; 1.57 lb at 0.90 a pound, which is 1.98 a kilogram.
  expect(heatCost(10, { of: 'kWh', price: 0.18 })).toBeCloseTo(1.8, 9);
  expect(heatCost(10, { of: 'lb', price: 0.9 })).toBeCloseTo(1.41, 2);
  expect(heatCost(10, { of: 'kg', price: 1.984 })).toBeCloseTo(1.41, 2);
});

test('other ways to do a day leave the jars what they are: fewer or more hands, a borrowed canner, loads evened out or full', () => {
  const jars = ({ batches }: DayQuestion) =>
    batches.map(({ loads }) => loads.reduce((sum, load) => sum + load.jars, 0));
  const [first, second] = day.setup.cooks;
  const alone = otherQuestion(day, { kind: 'without', cook: second?.name ?? '' });
  expect(alone?.setup.cooks).toEqual([first]);
  expect(
    otherQuestion(
      { ...day, setup: { ...day.setup, cooks: [first as never] } },
      { kind: 'without', cook: first?.name ?? '' },
    ),
  ).toBeUndefined();
  expect(otherQuestion(day, { kind: 'helper' })?.setup.cooks).toHaveLength(day.setup.cooks.length + 1);
  const like = day.canners[0]?.id ?? '';
  expect(otherQuestion(day, { kind: 'borrow', likeCannerId: like })?.canners).toHaveLength(day.canners.length + 1);
  expect(otherQuestion(day, { kind: 'borrow', likeCannerId: 'nowhere' })).toBeUndefined();
  // Two full loads of a batch and an odd last one: 7, 7, 2 are 6, 5, 5, and back.
  const [batch] = day.batches;
  const loads = [7, 7, 2].map((count, k) => ({ id: `load ${k}`, number: k + 1, jars: count }));
  const odd = { ...day, batches: [{ ...batch!, jar: 'quart' as const, cannerId: like, loads }] };
  const counts = (question: DayQuestion | undefined) => question?.batches[0]?.loads.map((load) => load.jars);
  const even = otherQuestion(odd, { kind: 'loads', style: 'even' });
  expect([counts(even), even && jars(even)]).toEqual([[6, 5, 5], jars(odd)]);
  expect(even && otherQuestion(even, { kind: 'loads', style: 'even' })).toBeUndefined();
  expect(even && counts(otherQuestion(even, { kind: 'loads', style: 'full' }))).toEqual([7, 7, 2]);
  const plain = otherQuestion(day, { kind: 'plain' });
  expect(plain?.setup.cooks.every(({ breaks }) => breaks.length === 0)).toBe(true);
  expect(plain && otherQuestion(plain, { kind: 'plain' })).toBeUndefined();
});
