import { type Batch } from '../../src/day/batch';
import { type DayKitchen } from '../../src/day/dayKitchen';
import { planDay } from '../../src/day/planDay';
import { batchesNow } from '../../src/kitchen/batchesNow';
import { type DayEvent } from '../../src/kitchen/dayEvent';
import { dayState } from '../../src/kitchen/dayState';
import { heldBack } from '../../src/kitchen/heldBack';
import { type KitchenEvent } from '../../src/kitchen/kitchenEvent';
import { runningDay } from '../../src/kitchen/runningDay';
import { type DayQuestion } from '../../src/day/questionOfDay';
import { type MishapKind } from '../../src/rehearsal/mishap';
import { RehearsedDay } from '../../src/rehearsal/rehearsedDay';
import { nextTap } from '../../src/rehearsal/simulatedCook';
import { type HastyDay, type Tap } from './hastyHands';

const MIN = 60_000;
const LONGEST_MIN = 3 * 24 * 60;

export interface RehearsedRun extends HastyDay {
  readonly rehearsed: RehearsedDay;
  /** Minutes from its start when its last jars came out. */
  readonly endMin: number;
}

interface Wish {
  readonly seed: number;
  readonly altitudeFt: number;
  readonly mishaps: readonly MishapKind[] | 'chance';
  readonly looksIntoPots?: boolean;
}

/** A planned day rehearsed to its end by the simulated cook, tap by tap through the kitchen's own fold, minute by minute. */
export function rehearsedRun(
  question: DayQuestion,
  { seed, altitudeFt, mishaps, looksIntoPots = true }: Wish,
): RehearsedRun {
  const planner = planDay(question);
  const plan = planner.kind === 'planner' ? planner.step(60).plan : undefined;
  if (!plan) throw new Error('no plan');
  const kitchen: Pick<DayKitchen, 'setup' | 'canners' | 'ownJars'> = {
    setup: question.setup,
    canners: question.canners,
  };
  const planned: Batch[] = question.batches.map((batch) => ({
    ...batch,
    loads: batch.loads.map((load) => ({ ...load, cannerId: plan.cannerOf.get(load.id) ?? batch.cannerId })),
  }));
  const dayEvents: DayEvent[] = [
    {
      ...{ id: 'start', day: 'd', at: 0, type: 'day-started' },
      order: {
        startAt: Object.fromEntries(plan.tasks.map(({ task, startMin }) => [task.id, startMin * MIN])),
        cannerOf: Object.fromEntries(plan.cannerOf),
        endAt: plan.makespanMin * MIN,
      },
      aim: { jars: 0, pounds: 0, handsMin: 0, endAt: 0 },
    },
  ];
  const events: KitchenEvent[] = [];
  const taps: Tap[] = [];
  const batches = () => batchesNow(planned, dayEvents, events, { altitudeFt, pages: {} });
  const dayAt = () => runningDay(batches(), kitchen, events, dayEvents, 0);
  let running = dayAt();
  const rehearsed = new RehearsedDay(running.tasks, [...running.loads.keys()], seed, mishaps);
  let now = 0;
  const isOut = () => [...running.loads.values()].every(({ state }) => state.phase === 'cooling');
  for (; now < LONGEST_MIN * MIN && !isOut(); now += MIN) {
    for (let k = 0; k < 60; k++) {
      const tap = nextTap(rehearsed, { running, events, now }, { looksIntoPots });
      if (!tap) break;
      const id = `e${String(taps.length).padStart(4, '0')}`;
      const own = planned.find(({ loads }) => tap.of === 'load' && loads.some((load) => load.id === tap.loadId));
      const tested = { tested: own?.processMinutes ?? 0 };
      const event =
        tap.of === 'day'
          ? ({ id, day: 'd', at: now, ...tap.told } as DayEvent)
          : ({ id, loadId: tap.loadId, at: now, ...tap.told, ...tested } as KitchenEvent);
      if (heldBack(event, running)) throw new Error(`the cook was held back: ${JSON.stringify(event)}`);
      taps.push({ event, isLate: false, altitudeFt, tasks: running.tasks });
      // Steps told leave the loads as they are.
      if ('day' in event) {
        dayEvents.push(event);
        running = { ...running, day: dayState(dayEvents) };
      } else {
        events.push(event);
        running = dayAt();
      }
    }
  }
  return { batches: batches(), taps, endAt: now, running, dayEvents, events, rehearsed, endMin: now / MIN };
}
