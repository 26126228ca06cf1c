import { type Batch } from '../day/batch';
import { type DayTask } from '../day/dayProblem';
import { LONG_WAIT_MIN } from '../day/longWait';
import { type DayProgress } from '../day/restOfDay';
import { type RunningDay } from './progressOf';
import { stepClock } from './stepClock';

const MINUTE_MS = 60_000;

/** Something that goes on by itself for hours or days, and when somebody has to look after it next. */
export interface SlowThing {
  readonly task: DayTask;
  readonly batch: Batch;
  /** When it is over, epoch milliseconds. */
  readonly endsAt: number;
  /** The next call within it: "Stir". */
  readonly next?: { readonly words: string; readonly at: number };
}

/** The long waits that run now, the next to need somebody first. */
export function slowThings(
  { tasks, startAt }: Pick<RunningDay, 'tasks' | 'startAt'>,
  { of }: Pick<DayProgress, 'of'>,
  batches: readonly Batch[],
  now: number,
): SlowThing[] {
  const things = tasks.flatMap((task): SlowThing[] => {
    const own = of.get(task.id);
    const batch = batches.find(({ id }) => id === task.batchId);
    const { everyMin, everyWords = 'Stir', minutes } = stepClock(task);
    if (own?.kind !== 'running' || !batch || minutes === undefined || minutes < LONG_WAIT_MIN) return [];
    const beganAt = startAt + own.startMin * MINUTE_MS;
    const endsAt = beganAt + minutes * MINUTE_MS;
    const each = (everyMin ?? Infinity) * MINUTE_MS;
    const at = beganAt + (Math.floor(Math.max(0, now - beganAt) / each) + 1) * each;
    return [{ task, batch, endsAt, ...(at < endsAt && { next: { words: everyWords, at } }) }];
  });
  const when = ({ next, endsAt }: SlowThing) => next?.at ?? endsAt;
  return things.sort((a, b) => when(a) - when(b));
}
