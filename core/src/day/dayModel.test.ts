import fc from 'fast-check';
import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { decisionsNear } from '../scheduling/decisions';
import { compileProblem } from '../scheduling/compileProblem';
import { type ScheduleProblem } from '../scheduling/scheduleProblem';
import { startSearch } from '../scheduling/searchSchedule';
import { ableCanners } from './ableCanners';
import { type Batch } from './batch';
import { dayModel } from './dayModel';
import { scheduleProblemOf } from './dayProblem';
import { DAY_MIN, USUAL_KITCHEN } from './kitchenSetup';
import { planDay } from './planDay';
import { type DayQuestion, problemOf } from './questionOfDay';
import { type DayProgress } from './restOfDay';

const pots = [
  handbookCanner(CANNERS[0]!, { id: 'common' }),
  handbookCanner(CANNERS[1]!, { id: 'large' }),
  { ...handbookCanner(CANNERS[0]!, { id: 'plugged in' }), electric: true, burnerWatts: 1_400 },
  { ...handbookCanner(CANNERS[4]!, { id: 'steam pan' }), testFits: [{ jar: 'pint', jars: 12 }] },
] as const;

const KINDS = [
  ['tomatoes-crushed', 'hot', 35],
  ['tomatoes-raw-no-liquid', 'raw', 85],
  ['quick-fresh-pack-dill', 'raw', 10],
  ['peaches', 'raw', 25],
] as const;

const madeOf = (
  k: number,
  [product, pack, processMinutes]: (typeof KINDS)[number],
  jars: readonly number[],
): Batch => ({
  ...{ id: `b${k}`, product, jar: 'pint', pack, method: 'boiling-water', altitudeFt: 0, processMinutes },
  ...{ cannerId: 'common', startAt: 0, uses: [{ pickId: 'p', massKg: 5 * jars.length, softKg: 0 }] },
  ...(processMinutes <= 45 && { sameHeat: [{ jar: 'pint', method: 'steam' }] }),
  loads: jars.map((each, i) => ({ id: `b${k} l${i}`, number: i + 1, jars: each })),
});

const days = (most: number) =>
  fc
    .record({
      kinds: fc.array(
        fc.tuple(fc.constantFrom(...KINDS), fc.array(fc.constantFrom(7, 8, 12), { minLength: 1, maxLength: 2 })),
        { minLength: 1, maxLength: most },
      ),
      canners: fc.constantFrom(
        ...[
          [0, 1],
          [0, 2],
          [0, 3],
          [0, 1, 2],
          [0, 1, 3],
        ].map((own) => own.map((c) => pots[c]!)),
      ),
      startMinute: fc.constantFrom(7 * 60, 11 * 60, 17 * 60),
      tomorrow: fc.boolean(),
    })
    .map(({ kinds, canners, startMinute, tomorrow }): DayQuestion => {
      const batches = kinds.map(([kind, jars], k) => madeOf(k, kind, jars));
      // The last one belongs to the next day, from 8 in the morning on.
      const fromMin = DAY_MIN - startMinute + 8 * 60;
      const later = new Map(batches.slice(-1).map(({ id }) => [id, { days: 1, fromMin }] as const));
      return { batches, canners, setup: USUAL_KITCHEN, startMinute, ...(tomorrow && { later }) };
    })
    .filter((question) => [...ableCanners(question).values()].every((able) => able.length > 0));

/** What there is to do where some decisions are made, a line each: minutes, needs, when at the soonest, and what it waits for. */
function linesOf({ tasks }: ScheduleProblem, holds: (literal: string) => boolean): string[] {
  const isThere = new Map(tasks.map(({ id, presence }) => [id, presence === undefined || holds(presence)]));
  return tasks
    .filter(({ id }) => isThere.get(id) && id !== 'begin')
    .map(({ id, minutes, needs, modes, after = [], release = 0, due = Infinity }) => {
      const mode = modes?.find(({ when }) => holds(when));
      const length = mode?.minutes ?? minutes;
      const held = Object.entries({ ...needs, ...mode?.needs }).filter(([, amount]) => amount > 0);
      const open = after.filter((lag) => isThere.get(lag.task) && (lag.when === undefined || holds(lag.when)));
      const fromBegin = open.filter(({ task }) => task === 'begin');
      const latest = Math.min(due, ...fromBegin.map(({ maxLag = Infinity }) => maxLag + length));
      // What comes after another load comes after the water that load went into; how long water stands is told beside the day.
      const isAfterJars = open.some(({ task }) => task.startsWith('unload '));
      const soonest = isAfterJars ? 0 : Math.max(release, ...fromBegin.map(({ minLag = 0 }) => minLag));
      const lags = open
        .filter(({ task }) => task !== 'begin')
        .filter(({ task, maxLag }) => !(task.startsWith('preheat ') && (isAfterJars || maxLag !== undefined)))
        .map(({ task, minLag = 0, maxLag = Infinity }) => `${task} ${minLag} ${maxLag}`);
      return [id, length, held.map(String).sort(), [...new Set(lags)].sort(), soonest, latest].join(' | ');
    })
    .sort();
}

/** How far a day has come at a part of it, with its loads in these canners. */
function progressAt(question: DayQuestion, into: ReadonlyMap<string, string>, part: number): DayProgress {
  const search = startSearch(scheduleProblemOf(problemOf(question, into)));
  const { tasks = [], makespan = 0 } = search.kind === 'search' ? search.step(1) : {};
  const nowMin = Math.round(part * makespan);
  const begun = tasks.filter(({ start }) => start < nowMin);
  const isIn = (load: string) => begun.some(({ id }) => id === `load ${load}`);
  return {
    nowMin,
    of: new Map(
      begun.map(({ id, start, end }) => [
        id,
        { kind: end <= nowMin ? 'done' : 'running', startMin: start, endMin: end } as const,
      ]),
    ),
    cannerOf: new Map([...into].filter(([load]) => isIn(load))),
    cannersOut: [],
  };
}

/** How far the day has come: not begun in two of three. */
const parts = fc.oneof(
  { weight: 2, arbitrary: fc.constant(0) },
  { weight: 1, arbitrary: fc.double({ min: 0.05, max: 0.95, noNaN: true }) },
);

test('whichever canners the loads are put into, and however far the day has come, the model is that day, task for task', () => {
  let cooled = 0;
  fc.assert(
    fc.property(days(3), fc.integer({ min: 0, max: 10_000 }), fc.boolean(), parts, (asked, draw, isTied, part) => {
      const into = new Map([...ableCanners(asked)].map(([load, ids], k) => [load, ids[(draw >> k) % ids.length]!]));
      const question = part === 0 ? asked : { ...asked, progress: progressAt(asked, into, part) };
      const able = ableCanners(question);
      const { problem, cannerOf } = dayModel(question, able, { isTied });
      const read = compileProblem(problem);
      if ('kind' in read) throw new Error(read.sentence);
      const told = (name: string) => [...into].some(([load, canner]) => name === `${load} in ${canner}`);
      const first = read.literals.flatMap((name, k) => (told(name) ? [k + 1] : []));
      const wished = read.literals.map((name) => name.includes('is first of raw jars'));
      const made = decisionsNear(wished, read.clauses, first);
      const decisions = new Map(read.literals.map((name, k) => [name, made?.[k] === true]));
      const holds = (literal: string) =>
        literal.startsWith('!') ? decisions.get(literal.slice(1)) !== true : decisions.get(literal) === true;
      expect(new Map([...cannerOf(decisions)])).toEqual(into);
      const day = scheduleProblemOf(problemOf(question, into));
      expect(linesOf(problem, holds)).toEqual(linesOf(day, () => true));
      cooled += day.tasks.filter(({ id }) => id.startsWith('cool-water')).length;
    }),
    { numRuns: 300, seed: 20_261_130 },
  );
  expect(cooled).toBeGreaterThan(100);
});

/** Every way to put the loads into canners. */
function waysOf(able: ReadonlyMap<string, readonly string[]>): Map<string, string>[] {
  return [...able].reduce<Map<string, string>[]>(
    (ways, [load, ids]) => ways.flatMap((way) => ids.map((id) => new Map([...way, [load, id]]))),
    [new Map()],
  );
}

test('the plan is proven over before no way to share the loads could be, and as early as the best of them with its water in time', () => {
  let compared = 0;
  fc.assert(
    fc.property(days(2), (question) => {
      const planner = planDay(question);
      if (planner.kind === 'refusal') return;
      const { plan } = planner.step(6_000);
      if (!plan?.proven) return;
      const ends = waysOf(ableCanners(question)).map((way) => {
        const search = startSearch(scheduleProblemOf(problemOf(question, way)));
        if (search.kind === 'ruleNotMet') return { bound: Infinity, inTime: Infinity };
        const { tasks = [], makespan = Infinity, lowerBound } = search.step(3_000);
        const at = new Map(tasks.map((placed) => [placed.id, placed]));
        const inTime = question.canners.every(({ id }) => {
          const water = at.get(`preheat ${id}`);
          const uses = [...way].filter(([, canner]) => canner === id).map(([load]) => at.get(`load ${load}`)?.start);
          // Water can be put on later as long as nothing else wants its burner: here it is looked at as it was laid.
          return !water || Math.min(...uses.map((start) => start ?? 0)) - water.end <= 40;
        });
        return { bound: lowerBound, inTime: inTime ? makespan : Infinity };
      });
      expect(plan.makespanMin).toBeGreaterThanOrEqual(Math.min(...ends.map(({ bound }) => bound)));
      expect(plan.makespanMin).toBeLessThanOrEqual(Math.min(...ends.map(({ inTime }) => inTime)));
      compared++;
    }),
    { numRuns: 12, seed: 20_261_130 },
  );
  expect(compared).toBeGreaterThan(8);
});
