import { type Batch, jarCounts, mainCropOf, massKgOf, type PlannedLoad } from '../day/batch';
import { joinFault } from '../day/joinPots';
import { madeAs } from '../day/madeAs';
import { problemOf } from '../day/questionOfDay';
import { type JarSize } from '../handbook/jars';
import { findProduce } from '../handbook/produce';
import { potForm } from '../recipe/potForm';
import { estimateJars } from '../yields/estimateJars';
import { type LearnedYields } from '../yields/yieldModel';
import { type DayChange, type PotsTold } from './dayChange';
import { gateLoads } from './gateLoads';
import { doneBefore, type OtherProduct } from './otherProducts';
import { type RunningDay } from './progressOf';
import { type RestQuestion } from './solveRest';

/** Where the steps of a day stand. */
type Standing = Pick<RestQuestion['question']['progress'], 'of'>;

/**
 * The entries of a batch's steps that were begun or are over.
 *
 * @param loadId only what was begun for this load, or for all of them at once; undefined for any load
 */
export function begunOf(
  batchId: string,
  { tasks }: Pick<RunningDay, 'tasks'>,
  { of }: Standing,
  loadId?: string,
): string[] {
  const own = tasks.filter(
    (task) => task.batchId === batchId && (loadId === undefined || task.loadId === undefined || task.loadId === loadId),
  );
  return [...new Set(own.flatMap(({ id, entry }) => (entry !== undefined && of.has(id) ? [entry] : [])))];
}

/**
 * The loads of a pot that becomes another product: as many jars of its size as its produce likely fills with that, in full
 * loads; as they are where it fills several sizes, or no yield is published.
 *
 * @param capacity jars that the canner holds
 * @param newId makes an id for each new load
 */
export function loadsAsOther(
  batch: Batch,
  product: Batch['product'],
  capacity: number,
  newId: () => string,
  learned?: LearnedYields,
): readonly PlannedLoad[] {
  const crop = findProduce(mainCropOf(batch) ?? '')?.crop;
  if (!crop || jarCounts(batch).length > 1) return batch.loads;
  const estimate = estimateJars(crop, massKgOf(batch, crop), product, batch.jar, learned);
  if (estimate.kind === 'refusal' || estimate.jars.p50 === 0) return batch.loads;
  const last = Math.max(0, ...batch.loads.map(({ number }) => number));
  return gateLoads(batch.loads, estimate.jars.p50, capacity, last, newId);
}

/**
 * What is told when a pot becomes another product: its card, its loads in the jars there are, and which steps of the new card
 * are over by what was done for the old one.
 *
 * @param loads of the batch from now on
 */
export function asOther(
  batch: Batch,
  { card, minutesOf }: Extract<OtherProduct, { readonly kind: 'other' }>,
  loads: readonly PlannedLoad[],
  { question, cannerOf }: RestQuestion,
  running: Pick<RunningDay, 'tasks'>,
): DayChange {
  const timed = loads.map((load) => (load.size ? { ...load, size: timedSize(load.size.jar, minutesOf, card) } : load));
  const now = { ...madeAs(batch, card), loads: timed };
  const batches = question.batches.map((each) => (each.id === batch.id ? now : each));
  const { tasks } = problemOf({ ...question, batches, progress: undefined }, cannerOf);
  const over = doneBefore(now, tasks, (loadId) => begunOf(batch.id, running, question.progress, loadId));
  const told: PotsTold[] = [
    { type: 'recipe-changed', batchId: batch.id, ...card },
    { type: 'loads-changed', batchId: batch.id, loads: timed, produceUsed: 1 },
  ];
  return { kind: 'pots', told, over };
}

function timedSize(
  jar: JarSize,
  minutesOf: ReadonlyMap<JarSize, number>,
  { pressurePsi, processMinutes }: Pick<Batch, 'processMinutes' | 'pressurePsi'>,
): NonNullable<PlannedLoad['size']> {
  const minutes = minutesOf.get(jar) ?? processMinutes;
  return { jar, processMinutes: minutes, ...(pressurePsi !== undefined && { pressurePsi }) };
}

/**
 * Why one pot cannot be poured into the other just now; undefined where it can. What is done once for a whole pot, a drip or a
 * ladling, must have come as far in both: poured together before, one of them would pass it over.
 */
export function joinFaultNow(
  pot: Batch,
  other: Batch,
  running: Pick<RunningDay, 'tasks'>,
  progress: RestQuestion['question']['progress'],
): string | undefined {
  const fault = joinFault(pot, other);
  if (fault !== undefined) return fault;
  const both = [pot, other];
  if (both.some(({ loads }) => loads.some(({ id }) => progress.cannerOf.has(id))))
    return 'Jars of them are in a canner already.';
  if (both.some(({ id }) => !potForm(begunOf(id, running, progress)))) return 'One of them is in its jars already.';
  const [ofPot, ofOther] = both.map(({ id }) =>
    running.tasks
      .filter((task) => task.batchId === id && task.loadId === undefined && task.kind === 'prepare')
      .map((task) => `${task.entry} ${progress.of.get(task.id)?.kind ?? 'open'}`),
  );
  return JSON.stringify(ofPot) === JSON.stringify(ofOther) ? undefined : 'Bring both to the same step first.';
}
