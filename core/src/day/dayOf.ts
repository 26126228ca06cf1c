import { CANNER_STEPS, READY_JARS, stepOf } from '../handbook/steps';
import { countJars, JARS, type JarSize } from '../handbook/jars';
import { productRow, type ProductRow } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { type Range } from '../measure/range';
import { type Batch, type PlannedLoad } from './batch';
import { BURNERS, type Chain, type DayProblem, type DayTask, HANDS } from './dayProblem';

/** From here on a batch is in its jars: no pause until the jars are in the canner (hot fill: 10 min at most). */
const INTO_JARS = ['acid', 'raw-pack', 'fill'];

type Span = readonly [low: number, high: number];

/**
 * The tasks of a preserving day: jars made ready, the canner heated, each load prepared, filled and processed.
 *
 * Hands-on minutes grow with the pounds of each load, waits do not. Source of the minutes: the handbook's steps, common
 * practice; the process time is the batch's tested one.
 *
 * @param batches in the order they are to be made; all in the same kitchen
 */
export function dayOf(batches: readonly Batch[], burners: number): DayProblem {
  const canners = [...new Set(batches.map((batch) => batch.cannerId))];
  return {
    resources: [
      { id: HANDS, capacity: 1 },
      { id: BURNERS, capacity: burners },
      ...canners.map((id) => ({ id: cannerResource(id), capacity: 1 })),
    ],
    chains: [
      ...canners.map((id): Chain => ({ tasks: [preheat(id)], after: [], late: true })),
      ...batches.flatMap((batch) => [readyJars(batch), ...batch.loads.flatMap((load) => loadChains(batch, load))]),
    ],
  };
}

/** The id of a canner as a resource of the day. */
export function cannerResource(cannerId: string): string {
  return `canner ${cannerId}`;
}

function preheat(cannerId: string): DayTask {
  const needs = { [BURNERS]: 1, [cannerResource(cannerId)]: 1 };
  return { id: `preheat ${cannerId}`, kind: 'preheat', words: 'Water on', minutes: range(CANNER_STEPS.preheat), needs };
}

function readyJars(batch: Batch): Chain {
  const jars = batch.loads.reduce((sum, load) => sum + load.jars, 0);
  const minutes = plus(times(READY_JARS.handsPerJar, jars), READY_JARS.fixedMinutes);
  const words = `Wash ${countJars(jars, batch.jar)}`;
  const task: DayTask = {
    id: `jars ${batch.id}`,
    kind: 'ready-jars',
    words,
    minutes: range(minutes),
    needs: { [HANDS]: 1 },
    batchId: batch.id,
  };
  return { tasks: [task], after: [] };
}

/** The chains of one load: each preparing step by itself, then all from filling to unloading without a gap. */
function loadChains(batch: Batch, load: PlannedLoad): Chain[] {
  const sequence = daySequence(productRow(batch.product));
  const intoJars = sequence.findIndex((entry) => INTO_JARS.includes(entry));
  const chains: Chain[] = [];
  let before = `jars ${batch.id}`;
  for (const entry of sequence.slice(0, intoJars)) {
    const tasks = stepTasks(entry, batch, load, 'prepare');
    chains.push({ tasks, after: [before] });
    before = tasks.at(-1)?.id ?? before;
  }
  const filling = sequence.slice(intoJars).flatMap((entry) => stepTasks(entry, batch, load, 'fill'));
  chains.push({ tasks: [...filling, ...cannerTasks(batch, load)], after: [before, `preheat ${batch.cannerId}`] });
  return chains;
}

/** Steps that begin with looking the produce over. */
const BEGINS_CLEAN = /^(wash|boil|steam|soak|husk|shell|settle|four-day|fourteen-day)/;

/**
 * A product's steps as a day has them: the printed sequence, washed first where it does not say so, and closed after a
 * raw pack is covered. Common practice.
 */
function daySequence({ sequence }: ProductRow): string[] {
  const first = sequence[0] ?? '';
  return [...(BEGINS_CLEAN.test(first) ? [] : ['wash']), ...sequence, ...(sequence.includes('fill') ? [] : ['close'])];
}

/** A step is its hands-on part, then its wait; either may be missing. */
function stepTasks(entry: string, batch: Batch, load: PlannedLoad, kind: 'prepare' | 'fill'): DayTask[] {
  const { row, waitMinutes, words: stepWords, handsPerJar } = stepOf(entry);
  const pounds = poundsOf(batch, load);
  const perJar = handsPerJar?.[jarPace(batch.jar)] ?? [0, 0];
  const hands = plus(plus(times(row.handsPerLb, pounds), row.fixedMinutes), times(perJar, load.jars));
  const words =
    row.step === 'fill'
      ? `${stepWords} ${countJars(load.jars, batch.jar)}`
      : row.handsPerLb[1] > 0
        ? `${stepWords} ${Math.round(pounds)} lb`
        : stepWords;
  const burner: Record<string, number> = row.resources.includes('burner') ? { [BURNERS]: 1 } : {};
  const common = { kind, words, batchId: batch.id, loadId: load.id };
  const tasks: DayTask[] = [];
  if (hands[1] > 0)
    tasks.push({ ...common, id: `${entry} ${load.id}`, minutes: range(hands), needs: { [HANDS]: 1, ...burner } });
  if (waitMinutes[1] > 0)
    tasks.push({ ...common, id: `${entry} wait ${load.id}`, minutes: range(waitMinutes), needs: burner });
  return tasks;
}

function cannerTasks(batch: Batch, load: PlannedLoad): DayTask[] {
  const canner = cannerResource(batch.cannerId);
  const jars = countJars(load.jars, batch.jar);
  const task = (kind: DayTask['kind'], words: string, minutes: Span, needs: Record<string, number>): DayTask => ({
    id: `${kind} ${load.id}`,
    kind,
    words,
    minutes: range(minutes),
    needs: { [canner]: 1, ...needs },
    batchId: batch.id,
    loadId: load.id,
  });
  return [
    task('load', `Load ${jars}`, CANNER_STEPS.load, { [HANDS]: 1, [BURNERS]: 1 }),
    task('heat-up', 'To a full boil', CANNER_STEPS.heatUp, { [BURNERS]: 1 }),
    task('process', `${batch.processMinutes} min boil`, [batch.processMinutes, batch.processMinutes], { [BURNERS]: 1 }),
    task('rest', 'Heat off, lid off', CANNER_STEPS.rest, {}),
    task('unload', `Lift out ${jars}`, CANNER_STEPS.unload, { [HANDS]: 1 }),
  ];
}

/** Small jars are filled faster, large ones slower. */
function jarPace(jar: JarSize): 'halfPint' | 'pint' | 'quart' {
  const { nominalFlOz } = JARS[jar];
  if (nominalFlOz <= JARS['half-pint'].nominalFlOz) return 'halfPint';
  return nominalFlOz <= JARS.pint.nominalFlOz ? 'pint' : 'quart';
}

function poundsOf(batch: Batch, load: PlannedLoad): number {
  const massKg = batch.uses.reduce((sum, use) => sum + use.massKg, 0);
  const jars = batch.loads.reduce((sum, other) => sum + other.jars, 0);
  return (massKg / KG_PER_LB) * (load.jars / jars);
}

function range([low, high]: Span): Range {
  // Whole minutes, so that the clock times of a plan are ones that a kitchen clock shows.
  return { p10: low, p50: Math.round((low + high) / 2), p90: high };
}

function times([low, high]: Span, factor: number): Span {
  return [low * factor, high * factor];
}

function plus(a: Span, b: Span): Span {
  return [a[0] + b[0], a[1] + b[1]];
}
