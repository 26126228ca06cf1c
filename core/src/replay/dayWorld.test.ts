import { chanceFrom } from '../../bench/chance';
import { randomDay } from '../../bench/day/randomDay';
import { isCannerResource } from '../day/dayProblem';
import { planDay } from '../day/planDay';
import { problemOf } from '../day/questionOfDay';
import { drawsFrom } from '../math/draws';
import { drawLuck } from './dayLuck';
import { groundOf } from './dayGround';
import { liveThrough, replayDay } from './replayDay';

const DAYS = 25;

// Read off what was lived alone: when each step began and ended, what it needs, what it waits for.
test('a day that is lived breaks no rule: nothing before what it waits for, nothing beyond what there is, one load in a canner', () => {
  const chance = chanceFrom(7);
  let steps = 0;
  for (let k = 0; k < DAYS; k++) {
    const question = randomDay(chance);
    const planner = planDay(question);
    const plan = planner.kind === 'planner' ? planner.step(20).plan : undefined;
    if (!plan) throw new Error('no plan');
    const problem = problemOf(question, plan.cannerOf);
    const ground = groundOf(problem, plan.tasks);
    const { began, ended } = liveThrough(ground, drawLuck(ground.tasks, drawsFrom(k + 1)));
    const spans = problem.tasks.map((task, i) => ({ task, from: began[i] as number, to: ended[i] as number }));
    const of = new Map(spans.map((span) => [span.task.id, span]));
    for (const { task, from, to } of spans) {
      steps += 1;
      expect([task.id, Number.isFinite(to), to >= from]).toEqual([task.id, true, true]);
      for (const { task: id, minLag = 0, between = 'end-start' } of task.after) {
        const before = of.get(id);
        if (!before) continue;
        const [earliest, is] =
          between === 'end-end'
            ? [before.to + minLag, to]
            : [(between === 'start-start' ? before.from : before.to) + minLag, from];
        expect([k, task.id, id, is >= earliest - 1e-6]).toEqual([k, task.id, id, true]);
      }
      // What goes on by itself asks nobody: all else finds room when it begins.
      const isTied = task.after.some(({ maxLag }) => maxLag === 0) && !['prepare', 'fill'].includes(task.kind);
      for (const { id, capacity } of isTied ? [] : problem.resources.filter((each) => !isCannerResource(each.id))) {
        if ((task.needs[id] ?? 0) === 0) continue;
        const held = spans
          .filter((other) => other.from <= from && other.to > from)
          .reduce((sum, other) => sum + (other.task.needs[id] ?? 0), 0);
        const tied = spans
          .filter(
            (other) => other.from <= from && other.to > from && other.task.after.some(({ maxLag }) => maxLag === 0),
          )
          .reduce((sum, other) => sum + (other.task.needs[id] ?? 0), 0);
        expect([k, task.id, id, held <= capacity + tied]).toEqual([k, task.id, id, true]);
      }
    }
    const inside = spans.filter(({ task }) => task.kind === 'process');
    for (const a of inside)
      for (const b of inside)
        if (a !== b && a.task.cannerId === b.task.cannerId) expect(a.to <= b.from || b.to <= a.from).toBe(true);
    const { lateMin, latest } = replayDay(problem, plan.tasks, 1, 40);
    expect(lateMin).toBeGreaterThan(0);
    if (latest) expect(problem.tasks.map(({ id }) => id)).toContain(latest.taskId);
  }
  expect(steps).toBeGreaterThan(500);
});
