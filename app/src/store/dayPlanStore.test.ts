import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import { type DayAnswer } from '@/workers/dayPlanAnswer';
import { useDayPlanStore } from './dayPlanStore';

class FakeWorker {
  static all: FakeWorker[] = [];
  onerror: (() => void) | undefined;
  onmessage: ((event: { data: DayAnswer }) => void) | undefined;
  asked: unknown[] = [];
  isGone = false;

  constructor() {
    FakeWorker.all.push(this);
  }
  postMessage(question: unknown) {
    this.asked.push(question);
  }
  terminate() {
    this.isGone = true;
  }
  says(data: DayAnswer) {
    this.onmessage?.({ data });
  }
}

const question = { batches: [], canners: [], setup: {}, startMinute: 480 } as unknown as DayQuestion;
const plan = (makespanMin: number, over: boolean): DayAnswer => ({
  kind: 'plan',
  over,
  plan: {
    ...{ tasks: [], makespanMin, lowerBoundMin: 0, proven: false, isWaterInTime: true, unsaved: [] },
    ...{ lateMin: makespanMin, cannerOf: {} },
  },
});
const ask = (key: string) => useDayPlanStore.getState().ask(key, question);

beforeAll(() => {
  Object.assign(globalThis, {
    Worker: FakeWorker,
    navigator: { hardwareConcurrency: 1 },
    location: new URL('http://localhost/plan'),
  });
});
afterEach(() => useDayPlanStore.getState().stop());

test('whoever has answered is asked again; whoever still searches is left, and nothing that it says is heard', () => {
  ask('one');
  const [first] = FakeWorker.all as [FakeWorker];
  first.says(plan(500, false));
  first.says(plan(480, true));
  expect(useDayPlanStore.getState()).toMatchObject({ key: 'one', status: 'over', plan: { makespanMin: 480 } });
  ask('two');
  expect([FakeWorker.all.length, first.asked.length, first.isGone]).toEqual([1, 2, false]);
  expect(useDayPlanStore.getState()).toMatchObject({ key: 'two', status: 'searching', plan: undefined });
  first.says(plan(300, false));
  // Another question before it is over.
  ask('three');
  const [, second] = FakeWorker.all as [FakeWorker, FakeWorker];
  expect([FakeWorker.all.length, first.isGone, second.asked.length]).toEqual([2, true, 1]);
  first.says(plan(200, true));
  expect(useDayPlanStore.getState().plan).toBeUndefined();
  second.says({ kind: 'refused', tasks: [], waysOut: [] });
  expect(useDayPlanStore.getState()).toMatchObject({ key: 'three', status: 'refused' });
  ask('four');
  expect([FakeWorker.all.length, second.isGone, second.asked.length]).toEqual([2, false, 2]);
  second.says(plan(100, true));
  expect(useDayPlanStore.getState().plan?.makespanMin).toBe(100);
  // What broke while it waited is not asked.
  second.onerror?.();
  ask('five');
  expect([FakeWorker.all.length, second.asked.length]).toEqual([3, 2]);
});
