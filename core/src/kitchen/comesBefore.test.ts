import fc from 'fast-check';
import { type DayTask, HANDS } from '../day/dayProblem';
import { type DayProgress } from '../day/restOfDay';
import { comesBefore } from './comesBefore';

/** A batch as it is made: soaked for hours, drained by hand, its brine boiled by itself, filled, into the canner. */
const task = (id: string, hands: boolean, after: string[], cannerId?: string): DayTask =>
  ({
    ...{ id, kind: 'prepare', words: id, minutes: { p10: 1, p50: 2, p90: 3 } },
    needs: hands ? { [HANDS]: 1 } : {},
    after: after.map((each) => ({ task: each })),
    ...(cannerId !== undefined && { cannerId }),
  }) as DayTask;
const TASKS = [
  task('slice', true, []),
  task('soak', false, ['slice']),
  task('drain', true, ['soak']),
  task('brine', false, ['drain']),
  task('water on', false, [], 'c'),
  task('jars', true, []),
  task('fill', true, ['brine', 'jars', 'water on']),
];
const byId = (id: string) => TASKS.find((each) => each.id === id)!;
type Kind = 'to come' | 'running' | 'done';
const before = (id: string, kinds: Record<string, Kind>) => {
  const told = Object.entries(kinds).filter(([, kind]) => kind !== 'to come');
  const of = new Map(told.map(([each, kind]) => [each, { kind, startMin: 0, endMin: 1 }])) as DayProgress['of'];
  const found = comesBefore(byId(id), TASKS, { of });
  return found && [found.task.id, found.stands];
};

test('a soak that runs is asked about, a step that nobody told of too, and what hands are at is not', () => {
  expect(before('drain', { slice: 'done', soak: 'running' })).toEqual(['soak', true]);
  expect(before('drain', { slice: 'done' })).toEqual(['soak', false]);
  expect(before('soak', { slice: 'running' })).toBeUndefined();
  // The brine holds all the acid: filling asks for it, begun or not.
  expect(before('fill', { jars: 'done' })).toEqual(['brine', false]);
  expect(before('fill', { jars: 'done', brine: 'running' })).toEqual(['brine', true]);
  expect(before('fill', { jars: 'done', brine: 'done' })).toBeUndefined();
});

test('what was tested is asked about before all else, and a wait whose time is up is over', () => {
  const reheat = { ...task('reheat', false, []), entry: 'reheat' };
  const all = [...TASKS, reheat];
  const fill = task('fill hot', true, ['brine', 'reheat']);
  const ask = (told: DayProgress['of'], isUp?: (each: DayTask) => boolean) =>
    comesBefore(fill, all, { of: told }, isUp);
  const running = new Map([
    ['brine', { kind: 'running', startMin: 0, endMin: 9 }],
    ['reheat', { kind: 'running', startMin: 0, endMin: 9 }],
  ]) as DayProgress['of'];
  expect(ask(new Map())).toMatchObject({ task: { id: 'reheat' }, stands: false, isTested: true });
  expect(ask(running)).toMatchObject({ task: { id: 'reheat' }, stands: true, isTested: true });
  expect(ask(running, ({ id }) => id === 'reheat')).toMatchObject({ task: { id: 'brine' }, isTested: false });
  expect(ask(running, () => true)).toBeUndefined();
});

test('whatever was told, what is asked about is a forerunner that is not done, and none is left unasked', () => {
  const kinds = fc.record(
    Object.fromEntries(TASKS.map(({ id }) => [id, fc.constantFrom<Kind>('to come', 'running', 'done')])),
  );
  fc.assert(
    fc.property(fc.constantFrom(...TASKS), kinds, ({ id, after }, told) => {
      const open = after
        .map((lag) => byId(lag.task))
        .filter(({ id: own, cannerId, needs }) => {
          if (cannerId !== undefined || told[own] === 'done') return false;
          return told[own] === 'to come' || !(HANDS in needs);
        });
      const said = before(id, told);
      expect(said?.[0]).toBe(open[0]?.id);
      if (said) expect(said[1]).toBe(told[said[0] as string] === 'running');
    }),
  );
});
