import fc from 'fast-check';
import { type DayTask, HANDS } from '../day/dayProblem';
import { atTheLoad, agoChoices } from './atTheLoad';
import { type DayEvent } from './dayEvent';
import { dayState } from './dayState';
import { type LoadOrder, loadState } from './loadState';
import { openBefore } from './openBefore';
import { canBeToldStill, passedOver } from './passedOver';
import { progressOf, type RunningDay } from './progressOf';

const MIN = 60_000;
const ORDER: LoadOrder = { method: 'boiling-water', jars: 8, processMinutes: 5, restMinutes: 5, leastRestMinutes: 5 };

const task = (
  id: string,
  entry: string,
  min: number,
  after: readonly string[],
  more: Partial<DayTask> = {},
): DayTask => ({
  ...{ id, kind: 'prepare', words: id, entry, minutes: { p10: min, p50: min, p90: min }, needs: {}, batchId: 'b' },
  after: after.map((each) => ({ task: each })),
  ...more,
});
const hands = { needs: { [HANDS]: 1 } };

/** @param inAt when each load went in, minutes */
function day(
  tasks: readonly DayTask[],
  events: readonly DayEvent[],
  inAt: Readonly<Record<string, number>> = {},
): RunningDay {
  const ids = tasks.flatMap(({ kind, loadId }) => (kind === 'load' && loadId !== undefined ? [loadId] : []));
  const loads = ids.map((id) => {
    const at = inAt[id];
    const told =
      at === undefined ? [] : [{ id: `in ${id}`, loadId: id, at: at * MIN, type: 'load-started', jars: 8 } as const];
    return [id, { order: ORDER, state: loadState(ORDER, told), cannerId: 'c' }] as const;
  });
  return { tasks, day: dayState(events), loads: new Map(loads), startAt: 0 };
}
const told = (type: 'step-started' | 'step-done', taskId: string, at: number): DayEvent => ({
  id: `${type} ${taskId} ${at}`,
  day: 'd',
  at: at * MIN,
  type,
  taskId,
});

test('whatever hangs together in whatever way, what is open before a step is all of it, and nothing else, in an order it can be done in', () => {
  // Each step may wait for any of those before it: every acyclic graph of so many.
  const graph = fc.array(fc.array(fc.nat(), { maxLength: 3 }), { minLength: 2, maxLength: 9 });
  fc.assert(
    fc.property(graph, (links) => {
      const ids = links.map((_, i) => `s${i}`);
      const tasks = links.map((own, i) =>
        task(ids[i]!, 'simmer-20', 20, i === 0 ? [] : [...new Set(own.map((k) => ids[k % i]!))]),
      );
      // Reachability by S. Warshall, "A theorem on Boolean matrices", 1962.
      const reach = tasks.map((each) => ids.map((id) => each.after.some((lag) => lag.task === id)));
      for (const [k] of tasks.entries())
        for (const [i] of tasks.entries())
          for (const [j] of tasks.entries()) reach[i]![j] ||= reach[i]![k]! && reach[k]![j]!;
      for (const [i, each] of tasks.entries()) {
        const open = openBefore(each, day(tasks, []), 0).map((step) => step.task.id);
        expect([...open].sort()).toEqual(ids.filter((_, j) => reach[i]![j]).sort());
        for (const [k, id] of open.entries()) {
          const own = tasks.find((other) => other.id === id)!;
          expect(own.after.every((lag) => open.indexOf(lag.task) < k)).toBe(true);
        }
      }
    }),
  );
});

const WAYS = [
  task('wash', 'wash', 10, [], hands),
  task('jars', 'ready-jars', 10, [], { ...hands, kind: 'ready-jars' }),
  task('soak', 'soak-12h', 720, ['wash']),
  task('drain', 'drain', 5, ['soak'], hands),
  task('sterile', 'sterile-jars', 10, ['jars'], { loadId: 'host' }),
  task('fill', 'fill', 10, ['drain', 'sterile'], { ...hands, kind: 'fill', loadId: 'host' }),
  task('acid guest', 'acid', 3, ['drain'], { ...hands, kind: 'fill', loadId: 'guest' }),
  task('fill guest', 'fill', 5, ['acid guest'], { ...hands, kind: 'fill', loadId: 'guest' }),
  task('load host', 'load', 4, ['fill', 'fill guest'], { kind: 'load', loadId: 'host', cannerId: 'c' }),
];

test('at the load what was tested, the waits and the filling are asked, the rest is told with them; what still runs holds it', () => {
  const load = WAYS.at(-1)!;
  const nothing = atTheLoad(openBefore(load, day(WAYS, []), 0));
  expect(nothing.held).toBeUndefined();
  expect(nothing.untold).toHaveLength(WAYS.length - 1);
  expect(nothing.asked.map(({ id }) => id).sort()).toEqual(['acid guest', 'fill', 'fill guest', 'soak', 'sterile']);
  const soaking = [told('step-done', 'wash', 10), told('step-started', 'soak', 10)];
  const held = atTheLoad(openBefore(load, day(WAYS, soaking), 100 * MIN));
  expect(held.held).toMatchObject({ task: { id: 'soak' }, why: 'runs', leftMin: 630, part: 'soak' });
  // Hot and sour within the hour, a soak by the hour.
  expect(agoChoices(WAYS.find(({ id }) => id === 'acid guest')!)).toEqual([0, 15, 30]);
  expect(agoChoices(WAYS.find(({ id }) => id === 'soak')!)).toEqual([0, 60, 180, 480, 720]);
});

test('jars that went in without what they need are marked, guests with their host; said within the hour it is made good', () => {
  const late = day(WAYS, [told('step-done', 'wash', 0)], { host: 30 });
  const marks = passedOver('host', late, [told('step-done', 'wash', 0)]);
  expect(marks.map((step) => step.task.id).sort()).toEqual(['acid guest', 'soak', 'sterile']);
  // Nothing of what is in the canner is to be done any more, the guest's neither.
  const { of } = progressOf(late, 31 * MIN);
  expect(WAYS.filter(({ id }) => of.get(id)?.kind !== 'done').map(({ id }) => id)).toEqual([]);
  const acid = marks.find((step) => step.task.id === 'acid guest')!;
  const soak = marks.find((step) => step.task.id === 'soak')!;
  expect([40, 95].map((now) => canBeToldStill(acid, 30 * MIN, now * MIN))).toEqual([true, false]);
  expect(canBeToldStill(soak, 30 * MIN, 900 * MIN)).toBe(true);
  const said: DayEvent = {
    id: 'x',
    day: 'd',
    at: 40 * MIN,
    type: 'done-before',
    taskId: 'acid guest',
    endedAt: 30 * MIN,
  };
  expect(passedOver('host', late, [said]).map((step) => step.task.id)).not.toContain('acid guest');
  const tooLate = { ...said, at: 95 * MIN };
  expect(passedOver('host', late, [tooLate]).map((step) => step.task.id)).toContain('acid guest');
  // Ten minutes and more in the canner: clean jars do. Handbook rule 4.
  const host = late.loads.get('host')!;
  const longer = new Map([['host', { ...host, order: { ...ORDER, processMinutes: 10 } }]]);
  expect(passedOver('host', { ...late, loads: longer }, []).map((step) => step.task.id)).not.toContain('sterile');
});
