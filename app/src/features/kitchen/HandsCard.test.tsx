import { dayState } from '@hoddle/core/kitchen/dayState';
import { type DayTask, HANDS } from '@hoddle/core/day/dayProblem';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { HandsCard, stepWords } from './HandsCard';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }));

const task = (id: string, hands: boolean, after: string[]) =>
  ({
    ...{ id, kind: 'prepare', words: id, minutes: { p10: 1, p50: 5, p90: 9 }, needs: hands ? { [HANDS]: 1 } : {} },
    after: after.map((each) => ({ task: each })),
  }) as unknown as DayTask;
const TASKS = [
  { ...task('soak-12h', false, []), entry: 'soak-12h', minutes: { p10: 720, p50: 720, p90: 720 } },
  task('drain', true, ['soak-12h']),
  { ...task('drip', false, []), minutes: { p10: 240, p50: 240, p90: 240 } },
  task('strain', true, ['drip']),
  task('peel', true, []),
  task('pack', true, ['peel']),
  task('brine', false, []),
  task('fill', true, ['brine']),
  { ...task('reheat', false, []), entry: 'reheat' },
  { ...task('fill hot', true, ['reheat', 'brine']), words: 'fill' },
];

// The clock of a card looks whether its page is seen; there is no page here.
const page = { addEventListener: () => undefined, removeEventListener: () => undefined };
beforeAll(() => Object.assign(globalThis, { document: page }));
afterAll(() => Reflect.deleteProperty(globalThis, 'document'));

beforeEach(async () => {
  for (const row of useHouseholdStore.getState().rows) await useHouseholdStore.getState().giveUp(row);
  useHouseholdStore.setState({
    server: EMPTY_HOUSEHOLD,
    state: EMPTY_HOUSEHOLD,
    waiting: [],
    sync: async () => undefined,
  });
});

/** The card of a cook whose next step is this one, in a kitchen where only the soak runs, and the drip beside it. */
function card(id: string) {
  const of = new Map(
    ['soak-12h', 'drip'].map((running) => [running, { kind: 'running', startMin: 0, endMin: 720 }] as const),
  );
  const day = { id: 'd', startAt: Date.now(), batches: [], loads: [], tasks: [] } as unknown as Day;
  const state = dayState([]);
  const running = { tasks: TASKS, day: state, loads: new Map(), startAt: day.startAt };
  const live = { running, progress: { of, nowMin: 1 } } as unknown as LiveDay;
  const entry = { task: TASKS.find((each) => each.id === id)!, startMin: 0, endMin: 5 };
  const own = { ...day, state } as Day;
  return <HandsCard day={own} live={live} hands={{ cook: 'Cook', now: { entry, running: false } }} isNamed={false} />;
}
const told = () => useHouseholdStore.getState().waiting.map(({ write }) => write);
const key = (name: string | RegExp) => screen.queryByRole('button', { name });

test('what was tested is neither cut short nor passed over: it can be started, or was done within the hour', () => {
  render(card('fill hot'));
  expect(key('Start')).toBeNull();
  expect(screen.getByRole('alert')).toHaveTextContent(/reheat.* part of what was tested/);
  expect(key(/That is done|End|Cut/)).toBeNull();
  fireEvent.press(key('It was done before')!);
  expect(key('3 h ago')).toBeNull();
  fireEvent.press(key('15 min ago')!);
  fireEvent.press(key('Start “reheat”')!);
  expect(told()).toMatchObject([
    { event: { type: 'done-before', taskId: 'reheat' } },
    { event: { type: 'step-started', taskId: 'reheat' } },
  ]);
});

test('a soak that its formula needs has no key to end it, a drip has one that asks first, and says what is left', () => {
  const { rerender } = render(card('drain'));
  expect(screen.getByRole('alert')).toHaveTextContent(
    /soak.* is not over, 12 h left: its time is part of what was tested/,
  );
  expect(screen.queryAllByRole('button')).toEqual([]);
  rerender(card('strain'));
  fireEvent.press(key('Start early')!);
  expect(told()).toEqual([]);
  fireEvent.press(key('End “drip” now and start')!);
  expect(told()).toMatchObject([
    { event: { type: 'step-done', taskId: 'drip', sure: true } },
    { event: { type: 'step-started', taskId: 'strain' } },
  ]);
});

test('work that nobody told of is told as done by the same tap, and each step asks for itself', () => {
  const { rerender } = render(card('fill'));
  expect(screen.getByRole('alert')).toHaveTextContent(/brine.* comes before it/);
  rerender(card('pack'));
  fireEvent.press(key('That is done: start')!);
  expect(told()).toMatchObject([
    { event: { type: 'done-before', taskId: 'peel' } },
    { event: { type: 'step-started', taskId: 'pack' } },
  ]);
});

test('as many jars are lifted out as stand in the canner, whatever was planned', () => {
  const batch = { id: 'b', product: 'plums', jar: 'pint', uses: [], loads: [{ id: 'l', number: 1, jars: 8 }] };
  const day = { batches: [batch], loads: [{ id: 'l', jars: 9 }] } as unknown as Day;
  const lift = { ...task('unload l', true, []), kind: 'unload', words: 'Lift out 8 pints', batchId: 'b', loadId: 'l' };
  const entry = { task: lift as unknown as DayTask, startMin: 0, endMin: 5 };
  expect(stepWords(entry, day)).toMatch(/^Lift out 9 pints, /);
});
