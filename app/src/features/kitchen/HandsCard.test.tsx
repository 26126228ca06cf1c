import { type DayTask, HANDS } from '@hoddle/core/day/dayProblem';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { type Day, type LiveDay } from '@/features/day/useDay';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { HandsCard } from './HandsCard';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }));

const task = (id: string, hands: boolean, after: string[]) =>
  ({
    ...{ id, kind: 'prepare', words: id, minutes: { p10: 1, p50: 5, p90: 9 }, needs: hands ? { [HANDS]: 1 } : {} },
    after: after.map((each) => ({ task: each })),
  }) as unknown as DayTask;
const TASKS = [
  task('soak', false, []),
  task('drain', true, ['soak']),
  task('brine', false, []),
  task('fill', true, ['brine']),
  { ...task('reheat', false, []), entry: 'reheat' },
  { ...task('fill hot', true, ['reheat', 'brine']), words: 'fill' },
];

// The clock of a card looks whether its page is seen; there is no page here.
const page = { addEventListener: () => undefined, removeEventListener: () => undefined };
beforeAll(() => Object.assign(globalThis, { document: page }));
afterAll(() => Reflect.deleteProperty(globalThis, 'document'));

beforeEach(() => {
  useHouseholdStore.setState({
    server: EMPTY_HOUSEHOLD,
    state: EMPTY_HOUSEHOLD,
    waiting: [],
    sync: async () => undefined,
  });
});

/** The card of a cook whose next step is this one, in a kitchen where only the soak runs. */
function card(id: string) {
  const of = new Map([['soak', { kind: 'running', startMin: 0, endMin: 720 }]]);
  const day = {
    id: 'd',
    startAt: Date.now(),
    batches: [],
    loads: [],
    tasks: [],
    state: { steps: new Map() },
  } as unknown as Day;
  const live = { running: { tasks: TASKS }, progress: { of, nowMin: 1 } } as unknown as LiveDay;
  const entry = { task: TASKS.find((each) => each.id === id)!, startMin: 0, endMin: 5 };
  return <HandsCard day={day} live={live} hands={{ cook: 'Cook', now: { entry, running: false } }} isNamed={false} />;
}
const told = () => useHouseholdStore.getState().waiting.length;

test('what was tested is neither cut short nor passed over: only it can be started', () => {
  render(card('fill hot'));
  fireEvent.press(screen.getByRole('button', { name: 'Start' }));
  expect(screen.getByRole('alert')).toHaveTextContent(/reheat.* part of what was tested/);
  expect(screen.queryByRole('button', { name: /That is done|Cut it short/ })).toBeNull();
  fireEvent.press(screen.getByRole('button', { name: 'Start “reheat”' }));
  expect(useHouseholdStore.getState().waiting.map(({ write }) => write)).toMatchObject([
    { event: { type: 'step-started', taskId: 'reheat' } },
  ]);
});

test('what waits for a soak or a step that nobody told of asks first, each step for itself', () => {
  const { rerender } = render(card('drain'));
  fireEvent.press(screen.getByRole('button', { name: 'Start' }));
  expect(screen.getByRole('alert')).toHaveTextContent(/its time is part of the recipe/);
  expect(screen.getByRole('button', { name: 'Cut it short and start' })).toBeTruthy();
  expect(told()).toBe(0);
  // Asked about one step, nothing is said of the next: it asks anew.
  rerender(card('fill'));
  expect(screen.queryByRole('alert')).toBeNull();
  fireEvent.press(screen.getByRole('button', { name: 'Start' }));
  expect(screen.getByRole('alert')).toHaveTextContent(/brine.* comes before it/);
  expect(told()).toBe(0);
});
