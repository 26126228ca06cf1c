import { type Canner } from '../canner/canner';
import { preheatMinutes } from '../canner/heatUp';
import { READY_JARS } from '../handbook/steps';
import { outputRule, type PotOutput } from '../recipe/potOutputs';
import { type Batch, isCanned, jarsOf, jarsWords, ofLoad, shareOf } from './batch';
import { COOL_WATER_STEP, withCooling } from './coolWater';
import { stepsOfBatch } from './daySequence';
import { cannerResource, type DayProblem, type DayTask, HANDS, WATCH } from './dayProblem';
import { dayResources } from './dayResources';
import { errandTasks } from './errandTasks';
import { inItsCanner, type LoadInCanner } from './inTheCanner';
import { inParts } from './madeOnce';
import { guestsOf, hostOf, type LoadOfBatch, minutesOf, wordsInCanner } from './sharedLoad';
import { STERILE_HOLD_MIN, sterileJars } from './sterileJars';
import { cannerFor, type DayKitchen, daysLater, type Later, paceOf, waterId } from './dayKitchen';
import { plus, range, times, whole } from './minutes';
import { CUT_HOLD_MIN, JARS_HOLD_MIN, numbered, toolsOf } from './stepWork';
import { Chain, questionOf, stoveFor } from './taskChain';

/** What the pace of washing jars is learned by. */
export const READY_JARS_STEP = 'ready-jars';

/**
 * The tasks of a preserving day: jars made ready, canners heated, each load prepared, filled and processed, with what
 * each needs and how soon one must follow the other.
 *
 * Hands-on minutes grow with the pounds of each load, waits do not. Source of the minutes: the handbook's steps, common
 * practice; heating up by an energy balance or as really taken; the process time is the batch's tested one.
 *
 * @param batches all in the same kitchen
 * @throws RangeError for a load in a canner that the kitchen does not have
 */
export function dayOf(batches: readonly Batch[], kitchen: DayKitchen): DayProblem {
  const loads = batches
    .filter(isCanned)
    .flatMap((batch) =>
      batch.loads
        .filter((load) => !hostOf(load, batches))
        .map((load) => inItsCanner(batch, load, batches, cannerFor(batch, load, kitchen))),
    );
  const used = [...new Set(loads.map(({ canner }) => canner))];
  const waters = used.flatMap((canner) => {
    const own = loads.filter((other) => other.canner === canner);
    const days = [...new Set(own.map(({ batch }) => daysLater(batch.id, kitchen)))].sort((a, b) => a - b);
    return days.map((day) => ({ canner, day, own: own.filter(({ batch }) => daysLater(batch.id, kitchen) === day) }));
  });
  const tasks = [
    ...waters.map(({ canner, day, own }) => preheat(canner, own, kitchen, day)),
    ...batches.flatMap((batch) => notBefore(batchTasks(batch, batches, kitchen), kitchen.later?.get(batch.id))),
    ...errandTasks(kitchen),
  ];
  return {
    resources: dayResources(
      kitchen,
      used.map(({ id }) => id),
      toolsNamedBy(batches),
    ),
    tasks: waters.reduce<DayTask[]>((all, { canner, day, own }) => {
      const asked = own.map(({ batch, load }) => ({
        batch,
        load,
        question: questionOf({ batch, load, canner }, kitchen),
      }));
      const hands = { pace: paceOf(COOL_WATER_STEP, kitchen), units: kitchen.setup.units };
      return withCooling(all, { id: canner.id, water: waterId(canner.id, day) }, asked, hands);
    }, tasks),
  };
}

/** The water of a canner, heated for these loads. */
export function preheat(canner: Canner, loads: readonly LoadInCanner[], kitchen: DayKitchen, day = 0): DayTask {
  // The load that wants the most heat rules: its water has to be hot whichever goes first.
  const ranges = loads.map((load) => preheatMinutes(questionOf(load, kitchen)));
  const longest = ranges.reduce((a, b) => (b.p50 > a.p50 ? b : a));
  return {
    id: waterId(canner.id, day),
    kind: 'preheat',
    words: 'Water on',
    minutes: whole(longest),
    needs: { [cannerResource(canner.id)]: 1, [WATCH]: 1, ...stoveFor(canner) },
    after: [],
    late: true,
    cannerId: canner.id,
    ...(day > 0 && { releaseMin: Math.min(...loads.map(({ batch }) => kitchen.later?.get(batch.id)?.fromMin ?? 0)) }),
  };
}

/** Nothing of a batch is begun before its own day. */
function notBefore(tasks: DayTask[], later: Later | undefined): DayTask[] {
  return later ? tasks.map((task) => ({ ...task, releaseMin: Math.max(task.releaseMin ?? 0, later.fromMin) })) : tasks;
}

function batchTasks(batch: Batch, batches: readonly Batch[], kitchen: DayKitchen): DayTask[] {
  const { once, eachLoad, intoJars } = inParts(batch, numbered(batch));
  const made = new Chain(kitchen, { batchId: batch.id });
  for (const own of once) made.add(own, { kind: 'prepare', key: batch.id, share: 1, jars: 0, batch });
  made.join();
  const ready = readyJars(batch, kitchen);
  const due = (tasks: readonly DayTask[]) => savedBy(tasks, kitchen.useBy?.get(batch.id));
  return [
    ready,
    ...due(made.tasks),
    ...batch.loads.flatMap((load) => {
      const own = new Chain(kitchen, { batchId: batch.id, loadId: load.id }, made);
      const sized = ofLoad(batch, load);
      const part = { key: load.id, share: shareOf(batch, load), jars: load.jars, batch: sized };
      const pot = takenFrom(batch, batches);
      // Juice stands two hours and no longer, what waits for a second load is kept hot. Handbook steps.
      if (pot !== undefined) own.require({ task: pot, ...(load === batch.loads[0] && { maxLag: CUT_HOLD_MIN }) });
      for (const step of eachLoad) own.add(step, { ...part, kind: 'prepare' });
      own.join();
      own.require({ task: ready.id });
      const sterile = sterileJars(sized, load, ready, minutesOf(batch, load, batches), kitchen.setup);
      for (const { id } of sterile.slice(-1)) own.require({ task: id, maxLag: STERILE_HOLD_MIN });
      for (const step of intoJars) own.add(step, { ...part, kind: 'fill' });
      if (!isCanned(batch)) own.keepCold(sized, load);
      else if (!hostOf(load, batches)) {
        // Whoever goes in with it is filled by then, and waits no longer than its own jars.
        for (const guest of guestsOf(load.id, batches)) own.require({ task: filledId(guest), maxLag: JARS_HOLD_MIN });
        const words = wordsInCanner(batch, load, batches);
        own.can(inItsCanner(batch, load, batches, cannerFor(batch, load, kitchen)), kitchen, words);
      }
      return [...sterile, ...(made.tasks.length > 0 ? own.tasks : due(own.tasks))];
    }),
  ];
}

/** The step at which the pot that a batch begins with is taken off; undefined where that is no part of this day. */
function takenFrom({ from }: Batch, batches: readonly Batch[]): string | undefined {
  const pot = from && batches.find(({ id }) => id === from.batchId);
  return pot && stepTakenOff(pot, from.kind);
}

/** The id of the task at which a batch gives something off: once for all its loads. */
export function stepTakenOff(batch: Batch, kind: PotOutput): string | undefined {
  const { step } = outputRule(kind);
  return stepsOfBatch(batch).some(({ entry }) => entry === step) ? `${step} ${batch.id}` : undefined;
}

/** Tools that the steps of all batches name. */
function toolsNamedBy(batches: readonly Batch[]): string[] {
  return [...new Set(batches.flatMap((batch) => stepsOfBatch(batch)).flatMap(({ step }) => toolsOf(step)))];
}

/** The last step before the canner: lids are on. */
function filledId({ batch, load }: LoadOfBatch): string {
  return `${numbered(batch).at(-1)?.id} ${load.id}`;
}

/** The first step takes the produce in hand; from then on it is food in the making, with its own limits. */
function savedBy(tasks: readonly DayTask[], dueMin: number | undefined): DayTask[] {
  return tasks.map((task, i) => (i === 0 && dueMin !== undefined ? { ...task, dueMin } : task));
}

function readyJars(batch: Batch, kitchen: DayKitchen): DayTask {
  const jars = jarsOf(batch);
  const minutes = plus(times(READY_JARS.handsPerJar, jars), READY_JARS.fixedMinutes);
  return {
    id: `jars ${batch.id}`,
    kind: 'ready-jars',
    step: READY_JARS_STEP,
    words: `Wash ${jarsWords(batch)}`,
    minutes: range(times(minutes, paceOf(READY_JARS_STEP, kitchen))),
    needs: { [HANDS]: 1 },
    after: [],
    batchId: batch.id,
  };
}
