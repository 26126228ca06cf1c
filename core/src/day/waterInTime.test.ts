import fc from 'fast-check';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { coolDown, type HeatUpQuestion, heatUpMinutes } from '../canner/heatUp';
import { handbookCanner } from '../canner/handbookCanner';
import { waterLitres } from '../canner/waterLitres';
import { CANNERS } from '../handbook/canners';
import { type Batch } from './batch';
import { dayOf } from './dayOf';
import { type ScheduledTask, scheduleProblemOf } from './dayProblem';
import { type KitchenSetup, USUAL_KITCHEN } from './kitchenSetup';
import { planDay } from './planDay';

const pot = handbookCanner(CANNERS[0]!, { id: 'pot' });
const second = { ...pot, id: 'second' };

type Kind = readonly [product: Batch['product'], pack: 'hot' | 'raw', minutes: number];
const KINDS: readonly Kind[] = [
  ['tomatoes-crushed', 'hot', 35],
  ['tomatoes-raw-no-liquid', 'raw', 85],
  ['quick-fresh-pack-dill', 'raw', 10],
  ['peaches', 'raw', 25],
];

const batchOf = ([product, pack, processMinutes]: Kind, loads: number, k: number): Batch => ({
  ...{ id: `b${k}`, product, jar: 'pint', pack, method: 'boiling-water', altitudeFt: 0, processMinutes },
  ...{ cannerId: 'pot', startAt: 0, uses: [{ pickId: 'p', massKg: 5 * loads, softKg: 0 }] },
  loads: Array.from({ length: loads }, (_, i) => ({ id: `b${k} l${i}`, number: i + 1, jars: 8 })),
});

function planned(
  batches: readonly Batch[],
  pots: number,
  startMinute: number,
  more: { setup?: KitchenSetup; watts?: number } = {},
) {
  const { setup = USUAL_KITCHEN, watts = pot.burnerWatts } = more;
  const canners = [pot, second].slice(0, pots).map((each) => ({ ...each, burnerWatts: watts }));
  const question = { batches, canners, setup, startMinute };
  const planner = planDay(question);
  if (planner.kind === 'refusal') throw new Error(JSON.stringify(planner));
  const { plan } = planner.step(1_500);
  if (!plan) return undefined;
  const problem = dayOf(batches, { ...question, cannerOf: plan.cannerOf });
  const placed = plan.tasks.map(({ task, startMin, endMin }) => ({ id: task.id, start: startMin, end: endMin }));
  return { tasks: plan.tasks, broken: brokenRules(scheduleProblemOf(problem), placed) };
}

/** Each canner's day as it is done: water hot, cooled, jars in and out. */
function cannerFaults(tasks: readonly ScheduledTask[], batches: readonly Batch[]): string[] {
  const packOf = (id = '') => batches.find((batch) => batch.id === id)?.pack;
  return ['pot', 'second'].flatMap((canner) => {
    const own = tasks.filter(({ task }) => task.cannerId === canner).sort((a, b) => a.startMin - b.startMin);
    const water = own.find(({ task }) => task.kind === 'preheat');
    const uses = own.filter(({ task }) => task.kind === 'load' || task.kind === 'cool-water');
    const isMixed = own.some(({ task }) => task.kind === 'load' && packOf(task.batchId) === 'hot');
    const early = water && uses[0] ? uses[0].startMin - water.endMin : 0;
    const loads = own.filter(({ task }) => task.kind === 'load');
    const hot = loads.flatMap(({ task, startMin }, k) => {
      // Heated to 140 F for raw jars alone, to 180 F for hot ones among them.
      const isCool = packOf(task.batchId) === 'hot' || (k === 0 && !isMixed);
      const cool = own.find((each) => each.task.kind === 'cool-water' && each.task.loadId === task.loadId);
      const since =
        k === 0
          ? (water?.endMin ?? 0)
          : Math.max(
              ...own
                .filter((each) => each.task.kind === 'unload' && each.endMin <= startMin)
                .map(({ endMin }) => endMin),
            );
      const isCooled =
        cool !== undefined && cool.startMin >= since && startMin >= cool.endMin && startMin - cool.endMin <= 10;
      return isCool || isCooled ? [] : [`${task.id} at ${startMin} into boiling water`];
    });
    return [...(early > 40 ? [`${canner} hot ${early} min before its jars`] : []), ...hot];
  });
}

test('no raw jars go into a canner that has boiled or is hot for others, and no water stands hot over 40 minutes', () => {
  const days = fc.record({
    kinds: fc.array(fc.tuple(fc.constantFrom(...KINDS), fc.integer({ min: 1, max: 2 })), {
      minLength: 1,
      maxLength: 3,
    }),
    pots: fc.constantFrom(1, 2),
    startHour: fc.constantFrom(7, 11, 17),
  });
  let seen = 0;
  fc.assert(
    fc.property(days, ({ kinds, pots, startHour }) => {
      const batches = kinds.map(([kind, loads], k) => batchOf(kind, loads, k));
      const day = planned(batches, pots, 60 * startHour);
      if (!day) return;
      seen++;
      expect(day.broken).toEqual([]);
      expect(cannerFaults(day.tasks, batches)).toEqual([]);
    }),
    { numRuns: 60, seed: 20_260_829 },
  );
  expect(seen).toBeGreaterThan(50);
});

test('no canner heats in the evening for jars of the next morning, however slow its burner: the jars wait for it', () => {
  const cook = { name: 'Cook', fromMin: 6 * 60, toMin: 21 * 60, breaks: [] };
  const juice = batchOf(['grape-juice', 'hot', 5], 1, 0);
  for (const startHour of [14, 15, 16, 17]) {
    const day = planned([juice], 1, startHour * 60, { setup: { ...USUAL_KITCHEN, cooks: [cook] }, watts: 650 });
    expect(day?.broken).toEqual([]);
    expect(cannerFaults(day!.tasks, [juice])).toEqual([]);
  }
});

test('cold water in for hot water out mixes to the heat that the jars want, and a bath is heated to 182 F, not to the boil', () => {
  const question: HeatUpQuestion = {
    ...{ canner: pot, jar: 'pint', jars: 8, pack: 'raw', method: 'boiling-water', processMinutes: 20, altitudeFt: 0 },
  };
  const all = waterLitres(pot, question)!;
  for (const [method, wanted] of [
    ['boiling-water', 140],
    ['low-temperature-bath', 130],
  ] as const) {
    const { litres } = coolDown({ ...question, method });
    // Mixing: the rest at the boil (212 F at sea level) and the cold water at 60 F come to one heat.
    expect(((all - litres) * 212 + litres * 60) / all).toBeCloseTo(wanted, 0);
  }
  const bath = heatUpMinutes({ ...question, method: 'low-temperature-bath' }).p50;
  expect(bath).toBeLessThan(heatUpMinutes(question).p50);
});
