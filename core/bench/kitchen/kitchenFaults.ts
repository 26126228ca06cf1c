import { type DayTask } from '../../src/day/dayProblem';
import { passedOver } from '../../src/kitchen/passedOver';
import { progressOf } from '../../src/kitchen/progressOf';
import { type HastyDay, printedMinutes, type Tap } from './hastyHands';

const MIN = 60_000;

/**
 * What each product is not safe without, named apart from the rules of the kitchen: heat and acid, and the soaks of pickles that
 * need them. From the published cards; jars are boiled where the time is under 10 minutes (handbook rule 4).
 */
const HEAT: Readonly<Record<string, readonly string[]>> = {
  'tomatoes-crushed': ['crush-heat', 'boil-5', 'acid'],
  'dilled-beans': ['sterile-jars', 'hot-brine'],
  'bread-and-butter-pickles': ['boil-10', 'reheat'],
  'grape-juice': ['sterile-jars', 'reheat-boil'],
  'quick-fresh-pack-dill': ['hot-brine'],
  'apple-butter': ['sterile-jars'],
};
const SOAKS = ['salt-ice-3h', 'soak-brine-12h'];
const HEAT_HOLDS_MIN = 60;
const HOT = new RegExp(`^(?:${Object.values(HEAT).flat().join('|')})$`);
const NEEDED = new RegExp(`^(?:${[...Object.values(HEAT).flat(), ...SOAKS].join('|')})$`);

type Needs = 'heat' | 'soak' | undefined;
type OfStep = Extract<Tap['event'], { taskId: string }>;

/**
 * Every rule of a careful kitchen that a day broke, a sentence each. Looks at what was told and at the steps of the day alone; of
 * the kitchen's own answers only at what it says in the end: which steps are over, how long each load ran, which are marked.
 */
export function kitchenFaults(day: HastyDay): string[] {
  return [
    ...day.taps.flatMap((tap, i) => (tap.isLate ? [] : tapFaults(day, tap, day.taps.slice(0, i)))),
    ...waitFaults(day),
    ...minuteFaults(day),
    ...markFaults(day),
  ];
}

function tapFaults(day: HastyDay, { event, tasks }: Tap, before: readonly Tap[]): string[] {
  const known = of(tasks);
  // Told of jars that are in the canner already, it is out of place.
  const told = 'taskId' in event ? known.task(event.taskId) : undefined;
  const own = 'loadId' in event ? event.loadId : told?.loadId;
  const loadIds = own !== undefined ? [own] : told ? loadsOf(day, told) : [];
  const isIn = (id: string) => before.some((tap) => tap.event.type === 'load-started' && tap.event.loadId === id);
  if (loadIds.length > 0 && loadIds.every(isIn)) return [];
  if (event.type === 'load-started') {
    const task = known.task(`load ${event.loadId}`);
    return [...orderFaults(day, known, task, before, event.at), ...coolFaults(known, task, before)];
  }
  if (event.type === 'step-started') {
    // Begun once more is no new beginning for what comes before it.
    const work = told?.after.find(({ maxLag }) => maxLag === 0)?.task ?? '';
    const begun = [told?.id ?? '', ...(told && !isHands(told) ? [work] : [])].some(
      (id) => events(before, id).length > 0,
    );
    if (!told || begun || followed(known, told, before)) return [];
    return [...orderFaults(day, known, told, before, event.at), ...windowFaults(day, known, told, before, event.at)];
  }
  if (event.type === 'done-before' && told && needs(day, told) === 'heat' && isTooOld(event))
    return [`${told.id} told at ${event.at / MIN} of ${event.endedAt / MIN}`];
  if (event.type !== 'step-done') return [];
  if (!told || isHands(told) || asks(told) || followed(known, told, before) || isOver(known, told, before, event.at))
    return [];
  if (event.sure && needs(day, told) === undefined) return [];
  return [`${told.id} ended at ${event.at / MIN}, unasked or needed`];
}

/** What comes before a step, on every path: nothing of it untold, what is needed over. */
function orderFaults(
  day: HastyDay,
  known: Known,
  task: DayTask | undefined,
  before: readonly Tap[],
  at: number,
): string[] {
  if (!task) return [];
  return known.ancestors(task).flatMap((each) => {
    const need = needs(day, each);
    if (need === undefined) {
      if (events(before, each.id).length > 0 || followed(known, each, before)) return [];
      if (isOver(known, each, before, at)) return [];
      return [`${task.id} at ${at / MIN}: nobody told of ${each.id}`];
    }
    return isOver(known, each, before, at) ? [] : [`${task.id} at ${at / MIN}: ${each.id} was needed and not over`];
  });
}

/** No raw jars into a canner that has boiled, unless somebody told that its water is cool. */
function coolFaults(known: Known, task: DayTask | undefined, before: readonly Tap[]): string[] {
  const hasBoiled = before.some(({ event }) => event.type === 'load-started');
  const cool = task?.after.map((lag) => known.task(lag.task)).find((each) => each?.kind === 'cool-water');
  if (!hasBoiled || !cool || events(before, cool.id).length > 0) return [];
  return [`${task?.id}: raw jars into boiling water`];
}

/** Hot is hot for an hour. */
function windowFaults(day: HastyDay, known: Known, task: DayTask, before: readonly Tap[], at: number): string[] {
  if (task.kind !== 'fill') return [];
  return task.after.flatMap(({ task: id, maxLag }) => {
    const own = maxLag === 0 ? undefined : known.task(id);
    if (!own || needs(day, own) !== 'heat') return [];
    const ends = endsOf(known, own, before);
    const begun = events(before, id).some((event) => event.type === 'step-started' && event.again);
    if (ends.length === 0 || begun || Math.max(...ends) >= at - HEAT_HOLDS_MIN * MIN) return [];
    return [`${task.id} at ${at / MIN}: ${id} was over long ago`];
  });
}

/** Ends that were told of a step, but not those of before its own work was over. */
function endsOf(known: Known, task: DayTask, taps: readonly Tap[]): number[] {
  const work = isHands(task) ? undefined : known.task(task.after.find(({ maxLag }) => maxLag === 0)?.task ?? '');
  const workEnds = work
    ? events(taps, work.id).filter(({ type }) => type === 'step-done' || type === 'done-before')
    : [];
  const anew = work
    ? events(taps, work.id).flatMap((event) => ('again' in event && event.again ? [event.at] : []))
    : [];
  const firstEnd = workEnds.length === 0 ? -Infinity : Math.min(...workEnds.map(when));
  const workAt = Math.max(firstEnd, ...anew);
  return events(taps, task.id)
    .filter((event) => event.type === 'done-before' || (event.type === 'step-done' && event.at >= workAt))
    .map(when);
}

/** No wait is over before its time, but where somebody was asked, it was done before, or its jars are in. */
function waitFaults({ taps, running, endAt, ...day }: HastyDay): string[] {
  const progress = progressOf(running, endAt);
  const isIn = (id: string) => running.loads.get(id)?.state.startedAt !== undefined;
  return running.tasks.flatMap((task) => {
    const own = progress.of.get(task.id);
    const told = events(taps, task.id);
    if (task.cannerId !== undefined || isHands(task) || asks(task) || own?.kind !== 'done') return [];
    if (own.endMin - own.startMin >= task.minutes.p50 - 0.01 || told.some(({ type }) => type === 'done-before'))
      return [];
    const sure = told.some((event) => event.type === 'step-done' && event.sure);
    if (sure && needs(day, task) === undefined) return [];
    const mine = task.loadId === undefined ? loadsOf(day, task) : [task.loadId];
    if (mine.every(isIn)) return [];
    // Nothing was known of its beginning: it was told as over, or something after it was.
    if (!told.some(({ type }) => type === 'step-started') && own.startMin === own.endMin) return [];
    return [`${task.id} is over after ${own.endMin - own.startMin} min`];
  });
}

/** No load ran shorter than the table asks at the altitude it boiled at. */
function minuteFaults({ taps, running, batches }: HastyDay): string[] {
  return [...running.loads].flatMap(([id, { state }]) => {
    const { boilAt, heatOffAt } = state;
    if (boilAt === undefined || heatOffAt === undefined) return [];
    const batch = batches.find(({ loads }) => loads.some((load) => load.id === id));
    const tap = taps.find(({ event }) => event.type === 'boil-reached' && event.loadId === id && event.at === boilAt);
    const asked = printedMinutes({ product: batch?.product ?? 'plums' }, tap?.altitudeFt ?? NaN);
    return (heatOffAt - boilAt) / MIN >= asked ? [] : [`${id} ran ${(heatOffAt - boilAt) / MIN} min of ${asked}`];
  });
}

/** Jars that went in without what they need are marked, whoever told it late. */
function markFaults(day: HastyDay): string[] {
  const { taps, running, dayEvents } = day;
  const known = of(running.tasks);
  return [...running.loads].flatMap(([id, { state, order }]) => {
    const task = known.task(`load ${id}`);
    const { startedAt } = state;
    if (startedAt === undefined || !task) return [];
    const missing = known
      .ancestors(task)
      // Jars that run 10 minutes and more need be no more than clean: handbook rule 4.
      .filter(({ entry }) => entry !== 'sterile-jars' || order.processMinutes < 10)
      .filter((each) => needs(day, each) !== undefined && !isOver(known, each, taps, startedAt));
    const isMarked = passedOver(id, running, dayEvents).length > 0;
    return missing.length > 0 && !isMarked
      ? [`${id} went in without ${missing.map((each) => each.id).join(', ')}`]
      : [];
  });
}

interface Known {
  task(id: string): DayTask | undefined;
  /** All steps before it that are no canner's. */
  ancestors(task: DayTask): readonly DayTask[];
  readonly tasks: readonly DayTask[];
}

const knownOf = new WeakMap<readonly DayTask[], Known>();

function of(tasks: readonly DayTask[]): Known {
  const before = knownOf.get(tasks);
  if (before) return before;
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const found = new Map<DayTask, readonly DayTask[]>();
  const ancestors = (task: DayTask): readonly DayTask[] => {
    const own = found.get(task);
    if (own) return own;
    const direct = task.after.flatMap(({ task: id }) => byId.get(id) ?? []);
    const ofKitchen = direct.filter(({ cannerId }) => cannerId === undefined);
    const all = [...new Set(ofKitchen.flatMap((each) => [each, ...ancestors(each)]))];
    found.set(task, all);
    return all;
  };
  const known: Known = { tasks, task: (id) => byId.get(id), ancestors };
  knownOf.set(tasks, known);
  return known;
}

const isHands = ({ needs: held }: DayTask) => (held.hands ?? 0) > 0;
/** Ended by a look at the pot, not by the clock. */
const asks = ({ entry = '' }: DayTask) => /^(?:cook-down|boil-to-set)/.test(entry);

function needs({ batches }: Pick<HastyDay, 'batches'>, { entry = '', batchId }: DayTask): Needs {
  const product = batches.find(({ id }) => id === batchId)?.product ?? '';
  if (HEAT[product]?.includes(entry)) return 'heat';
  return SOAKS.includes(entry) ? 'soak' : undefined;
}

function loadsOf({ batches }: Pick<HastyDay, 'batches'>, { batchId }: DayTask): string[] {
  return (batches.find(({ id }) => id === batchId)?.loads ?? []).map(({ id }) => id);
}

function events(taps: readonly Tap[], taskId: string): OfStep[] {
  return taps.flatMap(({ event }) =>
    'taskId' in event && event.taskId === taskId && /^(?:step-|done-before|clock-)/.test(event.type) ? [event] : [],
  );
}

const when = (event: OfStep) => (event.type === 'done-before' ? event.endedAt : event.at);

const isTooOld = (event: OfStep) => event.type === 'done-before' && event.at - event.endedAt > HEAT_HOLDS_MIN * MIN;

/** Whether anything after a step was told: what it was needed for, or its jars in the canner. */
function followed(known: Known, task: DayTask, taps: readonly Tap[]): boolean {
  return known.tasks.some((each) => {
    if (!known.ancestors(each).includes(task)) return false;
    if (events(taps, each.id).length > 0) return true;
    return taps.some(({ event }) => event.type === 'load-started' && each.id === `load ${event.loadId}`);
  });
}

/** Whether what was told can mean that a step was over by then; never too strict. */
function isOver(known: Known, task: DayTask, taps: readonly Tap[], at: number): boolean {
  const told = events(taps, task.id).filter((event) => when(event) <= at);
  const isHot = HOT.test(task.entry ?? '');
  if (told.some((event) => event.type === 'done-before' && !(isHot && isTooOld(event)))) return true;
  if (isHands(task)) return told.length > 0 || followedByWait(known, task, taps, at);
  const lastStart = Math.max(-Infinity, ...told.filter(({ type }) => type === 'step-started').map(when));
  const work = known.task(task.after.find(({ maxLag }) => maxLag === 0)?.task ?? '');
  const workTold = work
    ? events(taps, work.id)
        .map(when)
        .filter((each) => each <= at)
    : [];
  // A clock within it begins it where nobody has, and never cuts it short.
  const clocks = told.filter(({ type }) => type === 'clock-started').map(when);
  const began = lastStart > -Infinity ? lastStart : Math.min(Infinity, ...workTold, ...clocks);
  if (at >= began + task.minutes.p50 * MIN) return true;
  return told.some((event) => {
    if (event.type !== 'step-done') return false;
    if (event.sure && !NEEDED.test(task.entry ?? '')) return true;
    const starts = told.filter((each) => each.type === 'step-started' && each.at <= event.at).map(when);
    const from = starts.length > 0 ? Math.max(...starts) : Math.min(Infinity, ...workTold, ...clocks);
    return from === Infinity || event.at >= from + task.minutes.p50 * MIN;
  });
}

/** Its own wait was told: then its work was done. */
function followedByWait(known: Known, task: DayTask, taps: readonly Tap[], at: number): boolean {
  return known.tasks.some(
    (each) =>
      each.after.some(({ task: id, maxLag }) => id === task.id && maxLag === 0) &&
      events(taps, each.id).some((event) => when(event) <= at),
  );
}
