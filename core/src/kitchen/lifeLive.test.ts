import fc from 'fast-check';
import { madeQuestion } from '../../bench/day/proposedDay';
import { brokenRules } from '../../bench/scheduling/brokenRules';
import { scheduleProblemOf } from '../day/dayProblem';
import { errandTaskId } from '../day/errandTasks';
import { type DayPlan, planDay } from '../day/planDay';
import { type DayQuestion, problemOf } from '../day/questionOfDay';
import { type DayProgress, type Progress } from '../day/restOfDay';
import { type Wish } from '../day/wish';
import { layOut } from './layOut';
import { whatNow } from './whatNow';

const tasksOf = (question: DayQuestion) => problemOf(question).tasks.length;

interface Life {
  readonly question: DayQuestion;
  readonly plan: DayPlan;
  readonly errands: readonly string[];
}

/** Days with two errands of the first cook and a load kept twenty minutes later than it would go in. */
const LIVES = [4, 7, 11, 12].map((seed): Life => {
  const day = madeQuestion(seed, tasksOf);
  const cook = day.setup.cooks[0]?.name as string;
  const from = day.startMinute;
  const set = [
    { id: 'town', cook, words: 'Town', fromMin: from + 60, toMin: from + 420, minutes: 80, atHome: false },
    { id: 'garden', cook, words: 'Garden', fromMin: from + 30, toMin: from + 500, minutes: 40, atHome: true },
  ];
  const busy = { ...day, errands: { set, struck: [] } };
  const first = planOf(busy);
  const load = day.batches[0]?.loads[0]?.id as string;
  const at = first.tasks.find(({ task }) => task.id === `load ${load}`)?.startMin ?? 0;
  const wishes: Wish[] = [{ kind: 'pin', loadId: load, atMin: Math.ceil(at) + 20 }];
  const question = { ...busy, wishes };
  return { question, plan: planOf(question), errands: set.map(({ id }) => errandTaskId(id, 0)) };
});

function planOf(question: DayQuestion): DayPlan {
  const planner = planDay(question);
  const plan = planner.kind === 'planner' ? planner.step(150).plan : undefined;
  if (!plan) throw new Error('no plan');
  return plan;
}

/** How far a day has come at a minute at which all went by the plan; some steps are told by nobody. */
function progressAt({ plan }: Life, nowMin: number, untold: (id: string) => boolean): DayProgress {
  const of = new Map(
    plan.tasks
      .filter(({ task, startMin }) => startMin < nowMin && !untold(task.id))
      .map(({ task, startMin, endMin }): [string, Progress] => [
        task.id,
        { kind: endMin <= nowMin ? 'done' : 'running', startMin, endMin },
      ]),
  );
  const begun = [...plan.cannerOf].filter(([load]) => of.has(`load ${load}`));
  return { nowMin, of, cannerOf: new Map(begun), cannersOut: [] };
}

test('a day with errands and a pin that goes by its plan stays as it is at every minute; what is left breaks no rule', () => {
  fc.assert(
    fc.property(fc.constantFrom(...LIVES), fc.double({ min: 0, max: 1, noNaN: true }), (life, part) => {
      const { question, plan } = life;
      const nowMin = Math.floor(part * plan.makespanMin);
      const progress = progressAt(life, nowMin, () => false);
      const order = new Map(plan.tasks.map(({ task, startMin }) => [task.id, startMin]));
      const laid = layOut({ ...question, progress }, order, plan.cannerOf);
      expect(laid?.letGo).toBe(false);
      expect(laid?.endMin).toBeLessThanOrEqual(Math.ceil(plan.makespanMin) + 1);
      const rest = problemOf({ ...question, progress }, plan.cannerOf);
      const at = new Map(laid?.tasks.map((entry) => [entry.task.id, entry]));
      const placed = rest.tasks.map(({ id, minutes }) => {
        const start = (at.get(id)?.startMin ?? 0) - nowMin;
        return { id, start, end: start + minutes.p50 };
      });
      expect(brokenRules(scheduleProblemOf(rest), placed)).toEqual([]);
      // Who is out is at the errand, and nobody else is sent.
      const { cooks } = question.setup;
      for (const hands of whatNow(cooks, laid?.tasks ?? [], progress)) {
        const own = [hands.now?.entry.task, hands.then?.task].filter((task) => task?.kind === 'errand');
        expect(own.every((task) => task?.cook === hands.cook)).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});

test('an errand that nobody told of drops out when its time is past, and while it may still come nothing is planned into it', () => {
  for (const life of LIVES) {
    const { question, plan, errands } = life;
    const late = progressAt(life, 440, (id) => errands.includes(id));
    const rest = problemOf({ ...question, progress: late }, plan.cannerOf);
    const ids = rest.tasks.map(({ id }) => id);
    // Town had to be over by minute 420, the garden by 500.
    expect(errands.map((id) => ids.includes(id))).toEqual([false, true]);
    // Its window has 60 minutes left, counted from now.
    expect(rest.tasks.find(({ id }) => id === errands[1])).toMatchObject({ releaseMin: 0, dueMin: 60 });
  }
});

test('while the only cook is out, nothing is lit: what is left waits for the way back', () => {
  for (const { question, plan } of LIVES) {
    const alone = { ...question, wishes: [], setup: { ...question.setup, cooks: question.setup.cooks.slice(0, 1) } };
    const nowMin = 5;
    const progress: DayProgress = {
      nowMin,
      of: new Map([[errandTaskId('town', 0), { kind: 'running', startMin: 0, endMin: 95 }]]),
      cannerOf: new Map(),
      cannersOut: [],
    };
    const planner = planDay({ ...alone, useBy: new Map(), progress });
    const rest = planner.kind === 'planner' ? planner.step(60).plan : undefined;
    expect(rest).toBeDefined();
    for (const { task, startMin } of rest?.tasks ?? []) {
      if (task.needs.watch || task.needs.hands) expect([task.id, startMin >= 90]).toEqual([task.id, true]);
    }
    expect(plan.tasks.length).toBeGreaterThan(10);
  }
});
