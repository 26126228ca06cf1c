import { type Step } from '../handbook/steps';
import { type Lag } from '../scheduling/scheduleProblem';

type StepRow = Step['row'];

/**
 * Work that food passes through piece by piece, so that what is done is out of hand before the last of it is begun: by the pound
 * and with hands alone. Not what comes out of a pot all at once, nor what is measured when it is over. Scalding goes by the basket.
 */
function handsOn(row: StepRow): boolean {
  if (row.step === 'scald-peel') return true;
  const byHand = row.handsPerLb[1] > 0 && row.resources.every((resource) => resource === 'hands');
  return byHand && row.note !== 'measure gate' && row.holding !== 'hot' && row.longestPauseAfter === undefined;
}

/** Work that takes food as it comes: a pot is fed as it sinks, fruit is crushed a layer at a time. Handbook steps. */
function takesAsItComes(row: StepRow): boolean {
  return handsOn(row) || row.step === 'crush-heat' || row.step === 'crush-measure';
}

/** A basinful or a blanching basket, in pounds: what one hands to the other at once. Common practice. */
const PORTION_LB = 5;

/** Hands' work of one step. */
export interface Piecework {
  readonly task: string;
  readonly row: StepRow;
  /** The crops it works on; all where none are named. */
  readonly of?: readonly string[];
  readonly pounds: number;
  readonly minutes: number;
  /** Of these, before the first pound. */
  readonly fixedMinutes: number;
}

/** Weights that are the same food but for what fell to the chickens. */
const SAME_PART = 0.9;

/** In how many portions one step hands its food to the next; undefined where it is handed over all at once. */
function portionsOf(before: Piecework, own: Piecework): number | undefined {
  if (!handsOn(before.row) || !takesAsItComes(own.row)) return undefined;
  const isSameCrop = !before.of || !own.of || before.of.some((crop) => own.of?.includes(crop));
  const [less, more] = [Math.min(before.pounds, own.pounds), Math.max(before.pounds, own.pounds)];
  if (!isSameCrop || less < SAME_PART * more) return undefined;
  const portions = Math.floor(less / PORTION_LB);
  return portions < 2 ? undefined : portions;
}

/**
 * How a step waits for the one that feeds it in portions: it begins once the first is there, and the last goes through it
 * after it has come. In between it never waits, since both go on evenly; food stands no longer than before.
 *
 * Transfer batches: Potts and Baker 1989; as start-to-start and finish-to-finish lags: Elmaghraby and Kamburowski 1992.
 *
 * @param maxLag the longest pause from the end of the one to the start of the other
 * @returns undefined where all must be there first
 */
export function fedInPortions(before: Piecework, own: Piecework, maxLag: number | undefined): Lag[] | undefined {
  const portions = portionsOf(before, own);
  if (portions === undefined) return undefined;
  const task = before.task;
  const first = before.fixedMinutes + (before.minutes - before.fixedMinutes) / portions;
  const last = (own.minutes - own.fixedMinutes) / portions;
  return [
    { task, between: 'start-start', minLag: whole(first) },
    {
      task,
      between: 'end-end',
      minLag: whole(last),
      ...(maxLag !== undefined && { maxLag: maxLag + own.minutes }),
    },
  ];
}

/** Whether a lag is one of a step that is fed in portions. */
export function isPortionLag({ between = 'end-start' }: Lag): boolean {
  return between !== 'end-start';
}

/** Whole minutes, and up: a portion is there when all of it is. */
function whole(minutes: number): number {
  return Math.max(1, Math.ceil(minutes - 1e-9));
}
