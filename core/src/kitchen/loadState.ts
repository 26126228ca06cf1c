import { type KitchenEvent } from './kitchenEvent';

export type LoadPhase = 'planned' | 'heating' | 'boiling' | 'resting' | 'cooling' | 'checked';

/** What is to happen to a load: how many jars are meant to go in, how long they are processed, how long they rest. */
export interface LoadOrder {
  readonly jars: number;
  readonly processMinutes: number;
  /** After heat off, before the jars come out. */
  readonly restMinutes: number;
  /** Before this nobody lifts them out, however soon this canner is ready. */
  readonly leastRestMinutes: number;
}

/** Where a load stands. Times are epoch milliseconds, as told by the events. */
export interface LoadState {
  readonly phase: LoadPhase;
  /** Jars that went in; what was planned until then. */
  readonly jars: number;
  /** The canner it stands in, where that was told. */
  readonly cannerId?: string;
  readonly startedAt?: number;
  /** When the full boil, steady steam, the pressure or the bath's heat was last reached; cleared when it is lost. */
  readonly boilAt?: number;
  readonly timesLost: number;
  readonly heatOffAt?: number;
  readonly outAt?: number;
  readonly sealed?: readonly boolean[];
  /** Events that did not fit where the load stood. Nothing is thrown away: the household can be told. */
  readonly outOfPlace: readonly KitchenEvent[];
}

/** When the tested time is over, if the boil holds. */
export function processEndsAt(order: LoadOrder, state: LoadState): number | undefined {
  return state.boilAt === undefined ? undefined : state.boilAt + order.processMinutes * 60_000;
}

/**
 * The state of a load: a fold over its events, in the order of their times, each id once.
 *
 * Two rules keep the jars safe (handbook rule 5). The clock starts when the full boil is reached, and a lost boil starts
 * the whole time again. Where taps disagree, the longer process wins: a second "it boils" moves the start later, and heat
 * turned off before the time is over counts as a lost boil. Steam, pressure and a low-temperature bath go by the same rules.
 */
export function loadState(order: LoadOrder, events: readonly KitchenEvent[]): LoadState {
  const once = [...new Map(events.map((event) => [event.id, event])).values()];
  const inOrder = once.sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const start: LoadState = { phase: 'planned', jars: order.jars, timesLost: 0, outOfPlace: [] };
  return inOrder.reduce((state, event) => step(order, state, event), start);
}

function inCanner({ cannerId }: { readonly cannerId?: string }): Pick<LoadState, 'cannerId'> {
  return cannerId === undefined ? {} : { cannerId };
}

function step(order: LoadOrder, state: LoadState, event: KitchenEvent): LoadState {
  switch (event.type) {
    case 'load-started':
      if (state.phase === 'planned')
        return { ...state, ...inCanner(event), phase: 'heating', jars: event.jars, startedAt: event.at };
      break;
    case 'boil-reached':
      if (state.phase === 'heating' || state.phase === 'boiling')
        return { ...state, phase: 'boiling', boilAt: event.at };
      break;
    case 'boil-lost':
      if (state.phase === 'boiling') return loseBoil(state);
      break;
    case 'heat-off':
      if (state.phase === 'boiling') {
        const endsAt = processEndsAt(order, state);
        const done = endsAt !== undefined && event.at >= endsAt;
        return done ? { ...state, phase: 'resting', heatOffAt: event.at } : loseBoil(state);
      }
      break;
    case 'jars-out':
      if (state.phase === 'resting') return { ...state, phase: 'cooling', outAt: event.at };
      break;
    case 'seal-checked':
      if (state.phase === 'cooling' && event.sealed.length === state.jars) {
        return { ...state, phase: 'checked', sealed: event.sealed };
      }
  }
  return { ...state, outOfPlace: [...state.outOfPlace, event] };
}

function loseBoil(state: LoadState): LoadState {
  return { ...state, phase: 'heating', boilAt: undefined, timesLost: state.timesLost + 1 };
}
