import { type Batch } from '../../src/day/batch';
import { type DayTask } from '../../src/day/dayProblem';
import { USUAL_KITCHEN } from '../../src/day/kitchenSetup';
import { batchesNow } from '../../src/kitchen/batchesNow';
import { type DayEvent } from '../../src/kitchen/dayEvent';
import { heldBack } from '../../src/kitchen/heldBack';
import { isHeldToTheTable, type KitchenEvent } from '../../src/kitchen/kitchenEvent';
import { dayState } from '../../src/kitchen/dayState';
import { progressOf, type RunningDay } from '../../src/kitchen/progressOf';
import { runningDay } from '../../src/kitchen/runningDay';
import { type Chance } from '../chance';

const MIN = 60_000;

/** Minutes of the tested tables to 1,000, 3,000, 6,000 ft and above. USDA Complete Guide 2015, as recalled. */
interface Kind {
  readonly product: Batch['product'];
  readonly jar: Batch['jar'];
  readonly pack: Batch['pack'];
  readonly printed: readonly [number, number, number, number];
}
const KINDS: readonly Kind[] = [
  { product: 'tomatoes-crushed', jar: 'pint', pack: 'hot', printed: [35, 40, 45, 50] },
  { product: 'dilled-beans', jar: 'pint', pack: 'raw', printed: [5, 10, 10, 15] },
  { product: 'bread-and-butter-pickles', jar: 'pint', pack: 'hot', printed: [10, 15, 15, 20] },
  { product: 'grape-juice', jar: 'pint', pack: 'hot', printed: [5, 10, 10, 15] },
  { product: 'quick-fresh-pack-dill', jar: 'pint', pack: 'raw', printed: [10, 15, 15, 20] },
  { product: 'apple-butter', jar: 'half-pint', pack: 'hot', printed: [5, 10, 10, 15] },
];
const ALTITUDES = [500, 2_500, 5_000, 7_000] as const;

export function printedMinutes({ product }: Pick<Batch, 'product'>, altitudeFt: number): number {
  const band = altitudeFt <= 1_000 ? 0 : altitudeFt <= 3_000 ? 1 : altitudeFt <= 6_000 ? 2 : 3;
  return KINDS.find((kind) => kind.product === product)?.printed[band] ?? NaN;
}

/** Something told, and how: of now, as the server takes it, or hours later by a phone without signal. */
export interface Tap {
  readonly event: DayEvent | KitchenEvent;
  readonly isLate: boolean;
  /** Of the kitchen when it was told. */
  readonly altitudeFt: number;
  /** The steps of the day as they stood then. */
  readonly tasks: readonly DayTask[];
}

export interface HastyDay {
  readonly batches: readonly Batch[];
  readonly taps: readonly Tap[];
  readonly endAt: number;
  /** The day as it stands after all taps. */
  readonly running: RunningDay;
  readonly dayEvents: readonly DayEvent[];
  readonly events: readonly KitchenEvent[];
}

const isOfDay = (event: DayEvent | KitchenEvent): event is DayEvent => 'day' in event;

/**
 * A day of one or two batches in hasty hands: steps begun and ended in any order, waits cut, boils lost, loads put in unfilled,
 * the altitude changed, a second screen that tells late. What is told of now goes through {@link heldBack} and is stamped
 * with the table, as the server does both; what is told late is kept as it is.
 */
export function hastyDay(chance: Chance, taps = 40): HastyDay {
  const count = chance.uniform(0, 1) < 0.7 ? 1 : 2;
  const planned = Array.from({ length: count }, (_, k): Batch => {
    const { product, jar, pack, printed } = chance.oneOf(KINDS);
    const loads = Array.from({ length: chance.uniform(0, 1) < 0.6 ? 1 : 2 }, (__, i) => i);
    return {
      ...{ id: `b${k}`, product, jar, pack, method: 'boiling-water', altitudeFt: 500, processMinutes: printed[0] },
      ...{ cannerId: 'pot', startAt: 0, uses: [{ pickId: 'p', massKg: 6, softKg: 0 }] },
      loads: loads.map((i) => ({ id: `l${k}${i}`, number: i + 1, jars: 7 })),
    };
  });
  const dayEvents: DayEvent[] = [];
  const events: KitchenEvent[] = [];
  const told: Tap[] = [];
  let altitudeFt: number = chance.oneOf(ALTITUDES);
  let now = 0;
  const kitchen = { setup: USUAL_KITCHEN, canners: [] };
  const batchesAt = () => batchesNow(planned, dayEvents, events, { altitudeFt, pages: {} });
  const dayAt = () => runningDay(batchesAt(), kitchen, events, dayEvents, 0);
  let running = dayAt();
  /** Steps told leave the loads as they are. */
  const withSteps = () => ({ ...running, day: dayState(dayEvents) });
  const keep = (event: DayEvent | KitchenEvent, isLate: boolean) => {
    if (isOfDay(event)) dayEvents.push(event);
    else if (isHeldToTheTable(event)) {
      const own = batchesAt().find(({ loads }) => loads.some(({ id }) => id === event.loadId));
      events.push({ ...event, tested: own?.processMinutes } as KitchenEvent);
    } else events.push(event);
    told.push({ event, isLate, altitudeFt, tasks: running.tasks });
    running = isOfDay(event) ? withSteps() : dayAt();
  };
  for (let k = 0; k < taps; k++) {
    now += Math.round(chance.oneOf([0.5, 2, 6, 15, 40, 90, 400])) * MIN;
    const isLate = chance.uniform(0, 1) < 0.08;
    const at = isLate ? Math.max(0, now - chance.oneOf([15, 60, 180]) * MIN) : now;
    const id = `e${String(k).padStart(3, '0')}`;
    if (chance.uniform(0, 1) < 0.06) {
      altitudeFt = chance.oneOf(ALTITUDES);
      running = dayAt();
    }
    const event = oneTap(chance, running, { id, at });
    if (isLate) keep(event, true);
    else if (!heldBack(event, running)) keep(event, false);
  }
  return { batches: batchesAt(), taps: told, endAt: now, running, dayEvents, events };
}

/** Mostly the next thing that can be done, often something else. */
function oneTap(
  chance: Chance,
  running: RunningDay,
  { id, at }: { readonly id: string; readonly at: number },
): DayEvent | KitchenEvent {
  const { tasks, loads } = running;
  const steps = tasks.filter(({ cannerId, kind }) => cannerId === undefined || kind === 'cool-water');
  const loadId = chance.oneOf([...loads.keys()]);
  const { phase } = loads.get(loadId)?.state ?? {};
  if (phase !== 'planned' && chance.uniform(0, 1) < 0.6) {
    const next = phase === 'heating' ? 'boil-reached' : phase === 'boiling' ? 'heat-off' : 'jars-out';
    const type = chance.uniform(0, 1) < 0.8 ? next : chance.oneOf(['boil-lost', 'heat-off', 'boil-reached'] as const);
    return { id, loadId, at, type };
  }
  if (chance.uniform(0, 1) < 0.1) return { id, loadId, at, type: 'load-started', jars: 7 };
  const { of } = progressOf(running, at);
  const next = steps.find((task) => of.get(task.id)?.kind !== 'done');
  const isSensible = chance.uniform(0, 1) < 0.6;
  if (isSensible && !next) return { id, loadId, at, type: 'load-started', jars: 7 };
  const task = isSensible && next ? next : chance.oneOf(steps);
  const common = { id, day: 'd', at, taskId: task.id };
  const dice = chance.uniform(0, 1);
  const isBegun = of.has(task.id);
  if (isSensible ? !isBegun && dice < 0.6 : dice < 0.4)
    return { ...common, type: 'step-started', ...(chance.uniform(0, 1) < 0.1 && { again: true }) };
  if (isSensible ? isBegun : dice < 0.75)
    return { ...common, type: 'step-done', ...(chance.uniform(0, 1) < 0.3 && { sure: true }) };
  if (!isSensible && dice > 0.95) return { ...common, type: 'clock-started', minutes: chance.oneOf([1, 5, 30]) };
  return { ...common, type: 'done-before', endedAt: at - chance.oneOf([0, 10, 50, 90, 600]) * MIN };
}
