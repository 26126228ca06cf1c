import fc from 'fast-check';
import { drawsFrom } from '../../math/draws';
import { usedFrom } from '../../pantry/runOut';
import { learnUse } from '../../pantry/useModel';
import { planSpring } from './planSpring';
import { MIDDLES, type SpringCrop, type SpringGoal, type SpringProblem } from './springProblem';

const NOW = Date.UTC(2027, 1, 10);
const CROP_AT = Date.UTC(2027, 7, 5);
const LB = 0.45359237;

const goal = (change: Partial<SpringGoal> = {}): SpringGoal => ({
  ...{ product: 'tomatoes-crushed', jar: 'quart', want: 42, have: 0, use: learnUse(undefined, 3), cropAt: CROP_AT },
  ...{ usedDays: 0, gift: false },
  shares: [{ crop: 'tomato-paste', kgPerJar: MIDDLES.map(() => (22 / 7) * LB) }],
  ...change,
});
const bed = (change: Partial<SpringCrop> = {}): SpringCrop => ({
  ...{ crop: 'tomato-paste', unit: 'plants', now: 12, logKgEach: Math.log(10 * LB), spread: 0 },
  ...{ seasons: 0, ownFigure: false, freshKg: 0, lostPart: 0 },
  ...change,
});
const of = (goals: readonly SpringGoal[], crops: readonly SpringCrop[]): SpringProblem => ({ now: NOW, goals, crops });
const setOf = (problem: SpringProblem, crop = 'tomato-paste') =>
  planSpring(problem).beds.find((each) => each.crop === crop)?.set ?? 0;

test('22 lb of tomatoes make a canner load of 7 quarts: 42 quarts of plants with 10 lb each are 14', () => {
  // USDA Complete Guide, guide 3: an average of 22 pounds is needed per canner load of 7 quarts. 132 lb, 13.2 plants.
  const { beds, jars } = planSpring(of([goal()], [bed()]));
  expect(beds[0]).toMatchObject({ set: 14, enoughAsNow: 0 });
  expect((beds[0]?.shortKg ?? 0) / LB).toBeCloseTo(12, 6);
  expect(jars[0]?.jars).toEqual({ p50: 42, p80: 42 });
  // 20 lb eaten fresh, and a tenth that spoils: 152 / 0.9 lb.
  expect(setOf(of([goal()], [bed({ freshKg: 20 * LB, lostPart: 0.1 })]))).toBe(17);
  // Row-feet are not measured closer than by five.
  expect(setOf(of([goal()], [bed({ unit: 'row-feet', logKgEach: Math.log(5 * LB) })]))).toBe(30);
});

test('where seasons differ, as many more are set as eight years in ten take: the closed form of a log-normal season', () => {
  const spread = 0.46;
  // The normal curve lies below 0.8416 with chance 0.8 (tables of the normal distribution).
  const exact = (132 / 10) * Math.exp(0.8416 * spread);
  const { beds } = planSpring(of([goal()], [bed({ spread })]), 1, 8_000);
  expect(Math.abs((beds[0]?.set ?? 0) - exact)).toBeLessThan(1);
});

const ANY_GOAL = fc.record({
  want: fc.integer({ min: 5, max: 90 }),
  have: fc.integer({ min: 0, max: 40 }),
  perMonth: fc.integer({ min: 1, max: 8 }),
  kg: fc.double({ min: 0.4, max: 3, noNaN: true }),
  spread: fc.double({ min: 0, max: 0.4, noNaN: true }),
});

test('the plants told are enough in eight of ten years simulated apart, and a tenth fewer are not', () => {
  fc.assert(
    fc.property(
      fc.array(ANY_GOAL, { minLength: 1, maxLength: 3 }),
      fc.double({ min: 0.1, max: 0.6, noNaN: true }),
      fc.integer({ min: 1, max: 1e6 }),
      (rows, spread, seed) => {
        const goals = rows.map((row, i) =>
          goal({
            jar: (['quart', 'pint', 'half-pint'] as const)[i] ?? 'quart',
            want: row.want,
            have: row.have,
            use: learnUse(undefined, row.perMonth),
            // Even: the middles of equal parts of an even spread.
            shares: [
              { crop: 'tomato-paste', kgPerJar: MIDDLES.map((part) => row.kg * (1 + row.spread * (2 * part - 1))) },
            ],
          }),
        );
        const row = bed({ spread, logKgEach: 0 });
        const { beds } = planSpring(of(goals, [row]), 1, 2_000);
        const set = beds[0]?.set ?? 0;
        // Simulated apart: its own draws, its own sum.
        const draws = drawsFrom(seed);
        const years = 2_000;
        const uses = goals.map(({ cropAt }) => usedFrom(NOW, cropAt));
        const needs = Array.from({ length: years }, () => {
          const kg = rows.reduce((sum, each, i) => {
            const left = Math.max(0, each.have - (uses[i]?.(goals[i]!.use, draws) ?? 0));
            return sum + Math.max(0, each.want - left) * each.kg * (1 + each.spread * (2 * draws.unit() - 1));
          }, 0);
          return kg / Math.exp(spread * draws.normal());
        });
        const enough = (plants: number) => needs.filter((kg) => kg <= plants).length / years;
        expect(enough(set)).toBeGreaterThan(0.77);
        if (set > 20) expect(enough(0.9 * set - 1)).toBeLessThan(0.83);
      },
    ),
    { numRuns: 20, seed: 7 },
  );
});

test('more jars wanted never take fewer plants, more on the shelf never more, and another goal leaves other crops alone', () => {
  fc.assert(
    fc.property(ANY_GOAL, fc.integer({ min: 1, max: 30 }), ({ want, have, perMonth }, more) => {
      const row = bed({ spread: 0.4 });
      const with_ = (change: Partial<SpringGoal>) =>
        setOf(of([goal({ want, have, use: learnUse(undefined, perMonth), ...change })], [row]));
      expect(with_({ want: want + more })).toBeGreaterThanOrEqual(with_({}));
      expect(with_({ have: have + more })).toBeLessThanOrEqual(with_({}));
    }),
    { numRuns: 15, seed: 3 },
  );
  const pears = goal({ product: 'pears-halved', shares: [{ crop: 'pear', kgPerJar: MIDDLES.map(() => 1) }] });
  const rows = [bed({ spread: 0.4 }), bed({ crop: 'pear', unit: 'trees', logKgEach: 3, spread: 0.3 })];
  expect(setOf(of([goal(), pears], rows))).toBe(setOf(of([goal()], rows)));
});

test('thin juice of the sauce fills the jars of juice first; nothing has to grow for them', () => {
  const sauce = goal({ product: 'tomato-sauce-thin', want: 20, gives: { kind: 'thin juice', perJar: 0.5 } });
  const juice = (want: number) => goal({ product: 'tomato-juice', want, takes: { kind: 'thin juice', perJar: 1 } });
  const alone = setOf(of([sauce], [bed()]));
  const ten = planSpring(of([sauce, juice(10)], [bed()]));
  expect(ten.beds[0]?.set).toBe(alone);
  expect(ten.jars[1]?.jars.p50).toBe(10);
  // Of 14 quarts four are made of tomatoes of their own.
  expect(setOf(of([sauce, juice(14)], [bed()]))).toBeGreaterThan(alone);
});

test('what a card only adds is bought where nobody grows it, and how many more are missing is told', () => {
  const salsa = goal({
    shares: [
      { crop: 'tomato-paste', kgPerJar: MIDDLES.map(() => 1) },
      { crop: 'onion', kgPerJar: MIDDLES.map(() => 0.2) },
    ],
  });
  const onions = bed({ crop: 'onion', unit: 'row-feet', now: 0, logKgEach: Math.log(0.5) });
  const plan = planSpring(of([salsa], [bed({ logKgEach: 0 }), onions]));
  expect(plan.beds.map(({ crop, set, more }) => [crop, set, more])).toEqual([['tomato-paste', 42, 30]]);
  expect(plan.bought.map(({ crop, needKg }) => [crop, Math.round(10 * needKg.p50)])).toEqual([['onion', 84]]);
  const grown = planSpring(of([salsa], [bed({ logKgEach: 0, now: 50 }), { ...onions, now: 5 }]));
  expect(grown.bought).toEqual([]);
  expect(grown.beds.map(({ crop, more }) => [crop, more])).toEqual([
    ['onion', 15],
    ['tomato-paste', 0],
  ]);
});

test('what grows here and no goal takes is told apart; a full shelf asks for nothing', () => {
  const plan = planSpring(of([goal({ have: 400 })], [bed(), bed({ crop: 'beet', unit: 'row-feet' })]));
  expect(plan.beds).toEqual([]);
  expect(plan.unused.map(({ crop }) => crop)).toEqual(['tomato-paste', 'beet']);
});
