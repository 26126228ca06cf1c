import { type DayTask } from '../day/dayProblem';
import { stepRowNamed } from '../handbook/steps';
import { needsHands, type Progress } from '../day/restOfDay';
import { outputAt } from '../recipe/potOutputs';
import { type StepState } from './dayState';

const MINUTE_MS = 60_000;

/** A pot that thickens is stirred so often. Handbook steps, common practice. */
const STIR_MIN = 10;

/** What is looked at before a step is done, and asked again until it is so. Common practice. */
export type Doneness = 'set' | 'third' | 'half';

/** What has a time within a step, or is asked before it is over. */
export interface StepClock {
  /** Minutes that pass by themselves, from its start; undefined for work that takes as long as it takes. */
  readonly minutes?: number;
  /** Stirred, or turned, every so many minutes. */
  readonly everyMin?: number;
  /** What is done then, where that is not stirring: "Skim". */
  readonly everyWords?: string;
  /** Minutes that are started by a tap within it: a rolling boil. */
  readonly tapMin?: number;
  readonly asks?: Doneness;
  /** Asked again after so many minutes. */
  readonly againMin?: number;
  /** What was really got is entered before anything else is done: {@link measureGate}. */
  readonly gate?: true;
}

/** The clock of a step of the day: handbook steps, common practice. The tested time of a load is no such clock. */
export function stepClock(task: DayTask): StepClock {
  const { step = '', minutes } = task;
  const note = stepRowNamed(step)?.note ?? '';
  const asks: Doneness | undefined =
    step === 'boil-to-set-N'
      ? 'set'
      : step === 'cook-down-third'
        ? 'third'
        : step === 'cook-down-half'
          ? 'half'
          : undefined;
  const waits = !needsHands(task) && task.cannerId === undefined;
  return {
    ...(waits && { minutes: minutes.p50 }),
    ...(waits && note.includes('stir every 10 min') && { everyMin: STIR_MIN }),
    ...(waits && note.includes('stir at half time') && { everyMin: Math.ceil(minutes.p50 / 2) }),
    ...(waits && ownReminder(note)),
    ...(step === 'boil-1-hard' && { tapMin: 1 }),
    ...(waits && asks && { asks, againMin: 5 }),
    ...((note === 'measure gate' || outputAt(step) !== undefined) && { gate: true as const }),
  };
}

/** What a step in own words asks for: "Skim every 1440 min". */
function ownReminder(note: string): Pick<StepClock, 'everyMin' | 'everyWords'> {
  const told = /^([A-Z][\w ]*) every (\d+) min$/.exec(note);
  return told ? { everyWords: told[1], everyMin: Number(told[2]) } : {};
}

/** What a step's clock shows; nothing runs between two readings. */
export interface StepReading {
  readonly sinceMs: number;
  readonly leftMs?: number;
  readonly endsAt?: number;
  readonly timeIsUp: boolean;
}

/**
 * When the clock of a step is up: the one that was started by hand, and else its own wait. What passes by itself is made
 * longer by a clock within it, never shorter; only what is looked at is asked again as soon as the clock says.
 *
 * @param beganAt epoch milliseconds
 */
export function clockEndsAt(
  { minutes, asks }: StepClock,
  state: Pick<StepState, 'clock'> | undefined,
  beganAt: number,
): number | undefined {
  const own = minutes === undefined ? undefined : beganAt + minutes * MINUTE_MS;
  if (!state?.clock) return own;
  const byHand = state.clock.at + state.clock.minutes * MINUTE_MS;
  return own === undefined || asks !== undefined ? byHand : Math.max(own, byHand);
}

/** @returns undefined for a step that does not run */
export function readStep(
  clock: StepClock,
  own: Progress | undefined,
  state: StepState | undefined,
  { startAt, now }: { startAt: number; now: number },
): StepReading | undefined {
  if (own?.kind !== 'running') return undefined;
  const beganAt = startAt + own.startMin * MINUTE_MS;
  const sinceMs = Math.max(0, now - beganAt);
  const endsAt = clockEndsAt(clock, state, beganAt);
  if (endsAt === undefined) return { sinceMs, timeIsUp: false };
  const wholeMs = endsAt - Math.min(endsAt, Math.max(beganAt, state?.clock?.at ?? beganAt));
  const leftMs = Math.min(wholeMs, Math.max(0, endsAt - now));
  return { sinceMs, leftMs, endsAt, timeIsUp: now >= endsAt };
}
