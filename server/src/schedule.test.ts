import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
beforeAll(async () => (server = await startServer()));
afterAll(() => server.stop());

const ask = (body: object) => server.call('POST', '/schedule', body);
const task = (id: string, minutes: number, more: object = {}) => ({ id, minutes, needs: { hands: 1 }, ...more });
const hands = { id: 'hands', capacity: 1 };

test('tasks are laid out so that the last one ends as early as can be, and it is said that this is proven', async () => {
  const { status, body } = await ask(EXAMPLES.schedule);
  expect([status, body]).toEqual([
    200,
    {
      tasks: [
        { id: 'fill', start: 0, end: 14 },
        { id: 'process', start: 14, end: 69 },
      ],
      makespan: 69,
      lowerBound: 69,
      proven: true,
    },
  ]);
});

test('a day goes round a closed time, and parts of minutes stay what they are', async () => {
  const resources = [{ ...hands, closed: [[10, 20]] }];
  const { body } = await ask({ resources, tasks: [task('fill', 4.5), task('unload', 6.25)] });
  expect(body).toMatchObject({ makespan: 24.5, proven: true });
});

test('a load goes into the machine in which it is over first, and the decision is told', async () => {
  const resources = [hands, { id: 'pot', capacity: 1 }, { id: 'pan', capacity: 1 }];
  const run = (id: string) => ({
    ...{ id, minutes: 0, needs: {} },
    modes: [
      { when: `${id} in pot`, minutes: 40, needs: { pot: 1 } },
      { when: `${id} in pan`, minutes: 50, needs: { pan: 1 } },
    ],
  });
  const absent = task('skim', 15, { presence: 'skimmed' });
  const { body } = await ask({ resources, tasks: [run('a'), run('b'), absent], clauses: [['!skimmed']] });
  expect(body).toMatchObject({ makespan: 50, proven: true });
  expect(Object.values(body.decisions).filter(Boolean)).toHaveLength(2);
  expect(body.tasks.map(({ id }: { id: string }) => id).sort()).toEqual(['a', 'b']);
});

test('what is done beside has its time, and the schedule may be over before it', async () => {
  const town = task('town', 80, { release: 120, due: 300, uncounted: true });
  const { status, body } = await ask({ resources: [hands], tasks: [task('fill', 14), town] });
  expect(status).toBe(200);
  expect(body).toMatchObject({ makespan: 14, proven: true });
  expect(body.tasks.find(({ id }: { id: string }) => id === 'town').start).toBeGreaterThanOrEqual(120);
});

test('nothing to do is done at once', async () => {
  const { body } = await ask({ resources: [], tasks: [] });
  expect(body).toEqual({ tasks: [], makespan: 0, lowerBound: 0, proven: true });
});

test.each([
  ['one by itself', [task('jam', 30, { due: 20 })], 'rule-not-met', '"jam" cannot be over by 20 min'],
  [
    'two together',
    [task('jam', 30, { due: 40 }), task('sauce', 30, { due: 45 })],
    'rule-not-met',
    'cannot all be kept',
  ],
])('a rule that cannot be met is a 422 with its name: %s', async (_, tasks, code, words) => {
  const { status, body } = await ask({ resources: [hands], tasks });
  expect([status, body.error.code]).toEqual([422, code]);
  expect(body.error.message).toContain(words);
});

test.each([
  ['a circle', [task('a', 1, { after: [{ task: 'b' }] }), task('b', 1, { after: [{ task: 'a' }] })], 'circle'],
  ['a task that is not there', [task('a', 1, { after: [{ task: 'b' }] })], '"b", which is no task'],
  ['a resource that is not there', [task('a', 1, { needs: { oven: 1 } })], '"oven", which is no resource'],
  ['a name used twice', [task('a', 1), task('a', 1)], 'two tasks'],
  ['minutes below 0', [task('a', -1)], 'must be 0 or more'],
  ['too many tasks', Array.from({ length: 5_001 }, (_, i) => task(`t${i}`, 1)), 'more than 5,000'],
])('what makes no sense is a 400: %s', async (_, tasks, words) => {
  const { status, body } = await ask({ resources: [hands], tasks });
  expect(status).toBe(400);
  expect(body.error.message).toContain(words);
});

test('5,000 tasks are taken, within their time', async () => {
  const tasks = Array.from({ length: 5_000 }, (_, i) => task(`task number ${i}`, 1 + (i % 7)));
  const { status, body } = await ask({ resources: [{ ...hands, capacity: 3 }], tasks, budgetMs: 200 });
  expect(status).toBe(200);
  expect(body.makespan).toBe(body.lowerBound);
});
