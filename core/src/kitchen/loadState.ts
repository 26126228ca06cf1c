import { isPressure } from '../canner/canner';
import { isCold, type Way } from '../process/method';
import { inOrderOnce, type KitchenEvent, type Lids } from './kitchenEvent';

export type LoadPhase = 'planned' | 'heating' | 'venting' | 'boiling' | 'resting' | 'cooling' | 'checked';

const MINUTE_MS = 60_000;

/** A full boil cannot be back so soon after jars went in, hot or cold. Common practice. */
export const SOONEST_BOIL_MS = 2 * MINUTE_MS;

/** A pressure canner vents so long before its weight goes on. Handbook rule 5. */
export const VENT_MS = 10 * MINUTE_MS;

/** A slip of the finger is taken back within this time, or not at all where that would shorten a process. */
export const TAKE_BACK_MS = 20_000;

/** What is to happen to a load: how many jars are meant to go in, how long they are processed, how long they rest. */
export interface LoadOrder {
  readonly method: Way;
  readonly jars: number;
  readonly processMinutes: number;
  /** After heat off, before the jars come out. */
  readonly restMinutes: number;
  /** Before this nobody lifts them out, however soon this canner is ready; under pressure, from 0 psi on. */
  readonly leastRestMinutes: number;
  /** Why no clock may start: nothing is tested for it any more. */
  readonly untested?: string;
}

/** Where a load stands. Times are epoch milliseconds, as told by the events. */
export interface LoadState {
  readonly phase: LoadPhase;
  /** Jars that are in it; what was planned until they went in. */
  readonly jars: number;
  /** Jars that broke on the way. */
  readonly broken: number;
  /** The canner it stands in, where that was told. */
  readonly cannerId?: string;
  readonly lids: Lids;
  readonly startedAt?: number;
  readonly ventAt?: number;
  /** When the full boil, steady steam, the pressure or the bath's heat was last reached; cleared when it is lost. */
  readonly boilAt?: number;
  /** Its clock was begun by a probe, and nobody has said since that it boils: such jars do not go to the shelf. */
  readonly unseen?: true;
  /** Minutes a canner that times itself said it would run. */
  readonly machineMinutes?: number;
  readonly timesLost: number;
  readonly lostAt?: number;
  readonly heatOffAt?: number;
  readonly zeroAt?: number;
  readonly outAt?: number;
  readonly sealed?: readonly boolean[];
  /** "It boils" that came sooner than can be, and the cook was sure. */
  readonly soonBoils: readonly KitchenEvent[];
  /** Events that did not fit where the load stood. Nothing is thrown away: the household can be told. */
  readonly outOfPlace: readonly KitchenEvent[];
}

/** When the tested time is over, if the boil holds. */
export function processEndsAt(order: LoadOrder, state: LoadState): number | undefined {
  return state.boilAt === undefined ? undefined : state.boilAt + order.processMinutes * MINUTE_MS;
}

/**
 * The state of a load: a fold over its events, in the order of their times, each id once. Nothing in it reads a clock.
 *
 * Two rules keep the jars safe (handbook rule 5). The clock starts when the full boil is reached, and a lost boil starts
 * the whole time again. Where taps disagree, the longer process wins: a second "it boils" moves the start later, heat
 * turned off before the time is over counts as a lost boil, a boil sooner than can be does not count unless the cook was
 * asked, and nothing is taken back that would shorten a process, but for a slip at "lost" that is told at once and for
 * sure. Steam, pressure and a low-temperature bath go by the same rules. A clock that a probe began is no shorter and no more
 * sure than one that was tapped, and its jars go to no shelf until somebody has said that it boils.
 */
export function loadState(order: LoadOrder, events: readonly KitchenEvent[]): LoadState {
  const start: LoadState = {
    phase: 'planned',
    jars: order.jars,
    broken: 0,
    lids: 'single-use',
    timesLost: 0,
    soonBoils: [],
    outOfPlace: [],
  };
  let told: Told = { state: start, steps: [] };
  for (const event of inOrderOnce(events)) told = tell(order, told, event);
  return told.state;
}

/** The state, and the steps that led to it: what may be taken back. */
interface Told {
  readonly state: LoadState;
  readonly steps: readonly { readonly event: KitchenEvent; readonly before: LoadState }[];
}

function tell(order: LoadOrder, { state, steps }: Told, event: KitchenEvent): Told {
  const outOfPlace = { state: { ...state, outOfPlace: [...state.outOfPlace, event] }, steps };
  if (event.type === 'taken-back') {
    const last = steps.at(-1);
    if (!last || last.event.id !== event.eventId || !mayTakeBack(last, state, event)) return outOfPlace;
    return { state: { ...last.before, outOfPlace: state.outOfPlace }, steps: steps.slice(0, -1) };
  }
  const next = step(order, state, event);
  return next ? { state: next, steps: [...steps, { event, before: state }] } : outOfPlace;
}

/** Whether a tap may be undone: never where the process would be shorter by it, but for a slip that is told at once. */
function mayTakeBack(
  { event, before }: Told['steps'][number],
  state: LoadState,
  { at, sure }: Extract<KitchenEvent, { type: 'taken-back' }>,
): boolean {
  if (event.type === 'seal-checked' || event.type === 'kept-cold') return false;
  if (state.timesLost > before.timesLost) return sure === true && at - event.at <= TAKE_BACK_MS;
  // A second "it boils" has moved the start later; the first one would end sooner.
  return !(event.type === 'boil-reached' && before.phase === 'boiling');
}

/** @returns undefined where the event does not fit */
function step(order: LoadOrder, state: LoadState, event: KitchenEvent): LoadState | undefined {
  const { phase } = state;
  switch (event.type) {
    case 'load-started': {
      if (phase !== 'planned' || isCold(order.method)) return undefined;
      const { jars, cannerId, lids = 'single-use', at } = event;
      return { ...state, ...(cannerId !== undefined && { cannerId }), lids, phase: 'heating', jars, startedAt: at };
    }
    case 'machine-started': {
      if (phase !== 'heating' || event.minutes < order.processMinutes) return undefined;
      // It brings itself to the boil first: the tested time is the last part of what it shows.
      const boilAt = event.at + (event.minutes - order.processMinutes) * MINUTE_MS;
      return { ...state, phase: 'boiling', boilAt, machineMinutes: event.minutes };
    }
    case 'venting-started':
      return isPressure(order.method) && phase === 'heating'
        ? { ...state, phase: 'venting', ventAt: event.at }
        : undefined;
    case 'boil-reached':
      return reachBoil(order, state, event);
    case 'boil-seen':
      return state.unseen ? { ...state, unseen: undefined } : undefined;
    case 'boil-lost':
      return phase === 'boiling' ? loseBoil(state, event.at) : undefined;
    case 'heat-off': {
      if (phase !== 'boiling') return undefined;
      const endsAt = processEndsAt(order, state);
      const done = endsAt !== undefined && event.at >= endsAt;
      return done ? { ...state, phase: 'resting', heatOffAt: event.at } : loseBoil(state, event.at);
    }
    case 'pressure-down':
      return isPressure(order.method) && phase === 'resting' ? { ...state, zeroAt: event.at } : undefined;
    case 'jars-out':
      return phase === 'resting' ? { ...state, phase: 'cooling', outAt: event.at } : undefined;
    case 'jars-left':
      if (phase === 'planned' || phase === 'checked' || event.jars >= state.jars) return undefined;
      return { ...state, jars: event.jars, broken: state.broken + state.jars - event.jars };
    case 'seal-checked':
      if (phase !== 'cooling' || event.sealed.length !== state.jars) return undefined;
      if (state.unseen && event.sealed.some(Boolean)) return undefined;
      return { ...state, phase: 'checked', sealed: event.sealed };
    case 'kept-cold':
      if (phase !== 'planned' || !isCold(order.method)) return undefined;
      return { ...state, phase: 'checked', jars: event.jars, outAt: event.at };
    case 'taken-back':
      return undefined;
  }
}

function reachBoil(
  order: LoadOrder,
  state: LoadState,
  event: Extract<KitchenEvent, { type: 'boil-reached' }>,
): LoadState | undefined {
  if (!['heating', 'venting', 'boiling'].includes(state.phase)) return undefined;
  // A tap moves a start later; a probe that sees what was tapped already tells nothing new.
  if (event.by === 'probe' && (state.phase === 'boiling' || event.sure)) return undefined;
  const soon = boilIsTooSoon(order, state, event.at);
  if (soon && !event.sure) return undefined;
  return {
    ...state,
    phase: 'boiling',
    boilAt: event.at,
    unseen: event.by === 'probe' ? true : undefined,
    machineMinutes: undefined,
    soonBoils: soon ? [...state.soonBoils, event] : state.soonBoils,
  };
}

/**
 * Whether "it boils" told at a time comes sooner than can be: just after the jars went in, or under pressure before ten
 * minutes of venting. The cook is asked then.
 */
export function boilIsTooSoon(order: LoadOrder, state: LoadState, at: number): boolean {
  if (state.timesLost > 0 || state.phase === 'boiling') return false;
  if (at - (state.startedAt ?? at) < SOONEST_BOIL_MS) return true;
  return isPressure(order.method) && (state.ventAt === undefined || at - state.ventAt < VENT_MS);
}

function loseBoil(state: LoadState, at: number): LoadState {
  return {
    ...state,
    phase: 'heating',
    boilAt: undefined,
    unseen: undefined,
    machineMinutes: undefined,
    timesLost: state.timesLost + 1,
    lostAt: at,
  };
}
