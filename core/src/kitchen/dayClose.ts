import { type Batch, jarsOf, massKgOf } from '../day/batch';
import { KG_PER_LB } from '../measure/amount';
import { type DayAim } from './dayEvent';
import { type DayState } from './dayState';
import { type LoadState } from './loadState';

const MINUTE_MS = 60_000;

/** Phases in which a load occupies its canner. */
export const IN_CANNER: readonly LoadState['phase'][] = ['heating', 'venting', 'boiling', 'resting'];

/** What a day came to, beside what it was meant to. */
export type DayClose =
  /** A load is in its canner, or waits for one: the day is not over. */
  | { readonly kind: 'open'; readonly inCanner: readonly string[]; readonly notIn: readonly string[] }
  | { readonly kind: 'done'; readonly real: DayAim; readonly broken: number };

/**
 * Planned and real of a day.
 *
 * @param batches of the day, as they stand
 * @param loads of the day by their ids
 * @param handsMin minutes of work that were timed
 */
export function dayClose(
  batches: readonly Batch[],
  loads: ReadonlyMap<string, Pick<LoadState, 'phase' | 'jars' | 'broken' | 'outAt'>>,
  handsMin: number,
): DayClose {
  const all = batches.flatMap((batch) => batch.loads.map(({ id }) => id));
  const phaseOf = (id: string) => loads.get(id)?.phase ?? 'planned';
  const inCanner = all.filter((id) => IN_CANNER.includes(phaseOf(id)));
  const notIn = all.filter((id) => phaseOf(id) === 'planned');
  if (inCanner.length > 0 || notIn.length > 0) return { kind: 'open', inCanner, notIn };
  const states = all.flatMap((id) => loads.get(id) ?? []);
  return {
    kind: 'done',
    real: {
      jars: states.reduce((sum, { jars }) => sum + jars, 0),
      pounds: poundsOf(batches),
      handsMin,
      endAt: Math.max(0, ...states.map(({ outAt = 0 }) => outAt)),
    },
    broken: states.reduce((sum, { broken }) => sum + broken, 0),
  };
}

/** What a day is meant to come to as it begins. */
export function dayAim(batches: readonly Batch[], handsMin: number, endAt: number): DayAim {
  return {
    jars: batches.reduce((sum, batch) => sum + jarsOf(batch), 0),
    pounds: poundsOf(batches),
    handsMin: Math.round(handsMin),
    endAt,
  };
}

/** Minutes of work for hands that were told from start to end. */
export function handsTold(handsTasks: readonly string[], { steps }: Pick<DayState, 'steps'>): number {
  return handsTasks.reduce((sum, id) => {
    const { startedAt, doneAt } = steps.get(id) ?? {};
    return startedAt === undefined || doneAt === undefined ? sum : sum + Math.max(0, doneAt - startedAt) / MINUTE_MS;
  }, 0);
}

function poundsOf(batches: readonly Batch[]): number {
  return batches.reduce((sum, batch) => sum + massKgOf(batch), 0) / KG_PER_LB;
}
