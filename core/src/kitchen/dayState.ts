import { type DayWish, wishKey } from '../day/dayWish';
import { type ErrandsTold } from '../day/errand';
import { type DayAim, type DayEvent, type DayOrder, standing } from './dayEvent';

/** An end of a step as it was told. Whether it counts is asked of the step itself. */
export interface StepEnd {
  readonly at: number;
  /** The cook was asked about the time that was left, and said yes. */
  readonly sure?: true;
  /** It was done before anybody told: when that was told. */
  readonly toldAt?: number;
}

/** Where a step of the day stands, as far as it was told. */
export interface StepState {
  readonly startedAt?: number;
  /** Begun once more after an end was told: it counts where that end does not. */
  readonly begunAgainAt?: number;
  /** Whose hands are at it, where that was told. */
  readonly cook?: string;
  /** The first end that was told. */
  readonly doneAt?: number;
  /** All of them, in the order they were told. */
  readonly ends?: readonly StepEnd[];
  /** The clock that was last started in it. */
  readonly clock?: { readonly at: number; readonly minutes: number };
}

/** Where a day stands besides its loads. Times are epoch milliseconds. */
export interface DayState {
  readonly startedAt?: number;
  readonly closedAt?: number;
  readonly aim?: DayAim;
  /** The order the kitchen goes by. */
  readonly order?: DayOrder;
  readonly orderAt?: number;
  readonly steps: ReadonlyMap<string, StepState>;
  /** When each call was answered. */
  readonly answered: ReadonlyMap<string, number>;
  /** Gone for the rest of the day. */
  readonly away: readonly string[];
  /** Errands of a cook who comes back. */
  readonly outings: readonly { readonly cook: string; readonly from: number; readonly until: number }[];
  readonly cannersOut: readonly string[];
  /** What was told of errands for these dates alone. */
  readonly errands: ErrandsTold;
  readonly wishes: readonly DayWish[];
  /** The end that was refused, and when. */
  readonly kept?: { readonly endAt: number; readonly at: number };
  readonly lastAt?: number;
}

const NOTHING: DayState = {
  steps: new Map(),
  answered: new Map(),
  away: [],
  outings: [],
  cannersOut: [],
  errands: { set: [], struck: [] },
  wishes: [],
};

/**
 * The state of a day: a fold over its events, in the order of their times, each id once; what was taken back never was.
 * Nothing in it reads a clock. Told twice, by two screens, it counts once; of two starts of one step the later holds, so
 * that a wait is never cut short.
 */
export function dayState(events: readonly DayEvent[]): DayState {
  return standing(events).reduce((state, event) => ({ ...step(state, event), lastAt: event.at }), NOTHING);
}

function step(state: DayState, event: DayEvent): DayState {
  switch (event.type) {
    case 'day-started':
      // Started on two screens at once: the first one counts.
      if (state.startedAt !== undefined) return state;
      return { ...state, startedAt: event.at, aim: event.aim, order: event.order, orderAt: event.at };
    case 'order-taken':
      return { ...state, order: event.order, orderAt: event.at };
    case 'order-kept':
      return { ...state, kept: { endAt: event.endAt, at: event.at } };
    case 'step-started': {
      const { at, cook } = event;
      const by = cook === undefined ? {} : { cook };
      if (event.again) return withStep(state, event.taskId, () => ({ ...NOT_DONE, startedAt: at, ...by }));
      return withStep(state, event.taskId, ({ doneAt }) => ({
        ...(doneAt === undefined ? { startedAt: at } : { begunAgainAt: at }),
        ...by,
      }));
    }
    case 'clock-started': {
      const clock = { at: event.at, minutes: event.minutes };
      return withStep(state, event.taskId, () => ({ clock }));
    }
    case 'step-done':
      return withStep(state, event.taskId, ended({ at: event.at, ...(event.sure && { sure: event.sure }) }));
    case 'done-before':
      return withStep(state, event.taskId, ended({ at: Math.min(event.endedAt, event.at), toldAt: event.at }));
    case 'alarm-answered':
      if (state.answered.has(event.alarmId)) return state;
      return { ...state, answered: new Map(state.answered).set(event.alarmId, event.at) };
    case 'cook-away':
      if (event.until === undefined) return { ...state, away: [...new Set([...state.away, event.cook])] };
      return { ...state, outings: [...state.outings, { cook: event.cook, from: event.at, until: event.until }] };
    case 'cook-back':
      return {
        ...state,
        away: state.away.filter((cook) => cook !== event.cook),
        // Back sooner than was said.
        outings: state.outings.map((outing) =>
          outing.cook === event.cook ? { ...outing, until: Math.min(outing.until, event.at) } : outing,
        ),
      };
    case 'canner-out':
      return { ...state, cannersOut: [...new Set([...state.cannersOut, event.cannerId])] };
    case 'canner-back':
      return { ...state, cannersOut: state.cannersOut.filter((id) => id !== event.cannerId) };
    case 'errand-set': {
      const { errandId, later: day, cook, words, minutes, fromMin, toMin, atHome } = event;
      const own = { id: errandId, cook, words, minutes, fromMin, toMin, atHome, ...(day !== undefined && { day }) };
      const { set, struck } = withoutErrand(state.errands, errandId, day);
      return { ...state, errands: { set: [...set, own], struck } };
    }
    case 'errand-struck': {
      const { errandId: id, later: day } = event;
      const { set, struck } = withoutErrand(state.errands, id, day);
      return { ...state, errands: { set, struck: [...struck, { id, ...(day !== undefined && { day }) }] } };
    }
    case 'wish-made': {
      const key = wishKey(event.wish);
      return { ...state, wishes: [...state.wishes.filter((wish) => wishKey(wish) !== key), event.wish] };
    }
    case 'wish-dropped':
      return { ...state, wishes: state.wishes.filter((wish) => wishKey(wish) !== event.key) };
    case 'day-closed':
      return { ...state, closedAt: event.at };
    // What they say of batches and their loads is read by batchesNow and measuredNow.
    case 'measured':
    case 'output-measured':
    case 'loads-changed':
    case 'produce-added':
    case 'recipe-changed':
    case 'batch-moved':
    case 'pots-joined':
    case 'taken-back':
      return state;
  }
}

/** What was told of an errand before is replaced. */
function withoutErrand({ set, struck }: ErrandsTold, id: string, later = 0): ErrandsTold {
  const isOther = (own: { readonly id: string; readonly day?: number }) => own.id !== id || (own.day ?? 0) !== later;
  return { set: set.filter(isOther), struck: struck.filter(isOther) };
}

const NOT_DONE = { begunAgainAt: undefined, doneAt: undefined, ends: undefined, clock: undefined };

function ended(end: StepEnd): (own: StepState) => StepState {
  return ({ doneAt = end.at, ends = [] }) => ({ doneAt, ends: [...ends, end] });
}

function withStep(state: DayState, taskId: string, change: (own: StepState) => StepState): DayState {
  const own = state.steps.get(taskId) ?? {};
  return { ...state, steps: new Map(state.steps).set(taskId, { ...own, ...change(own) }) };
}
