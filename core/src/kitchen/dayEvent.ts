import { type PlannedLoad } from '../day/batch';
import { type DayWish } from '../day/dayWish';
import { type Errand } from '../day/errand';
import { type OtherCard } from '../day/madeAs';
import { type PickUse } from '../harvest/pick';
import { type PotOutput } from '../recipe/potOutputs';
import { inOrderOnce } from './kitchenEvent';

/** The order in which a day is to be done: what both screens of a kitchen go by. Times are epoch milliseconds. */
export interface DayOrder {
  /** When each step is to begin, by the id of its task. */
  readonly startAt: Readonly<Record<string, number>>;
  /** Which canner each load goes into. */
  readonly cannerOf: Readonly<Record<string, string>>;
  readonly endAt: number;
}

/** What a day was meant to come to, when it began. */
export interface DayAim {
  readonly jars: number;
  readonly pounds: number;
  /** Minutes of work for hands. */
  readonly handsMin: number;
  readonly endAt: number;
}

/** What was really there at a batch's gate. */
export interface Measured {
  /** The loads it was measured for, the one at whose gate it was first; undefined where it was measured once for all. */
  readonly loadIds?: readonly string[];
  /** Cups or pounds, as its card measures. */
  readonly amount: number;
  /** What did not go in, as picked: it is on hand again. */
  readonly left?: readonly PickUse[];
}

/** How much of it came off. */
export interface OutputMeasured {
  readonly kind: PotOutput;
  readonly volumeMl: number;
}

/** What happened on a preserving day besides its loads. `day` is the date of its first batch: "2026-08-29". */
export type DayEvent = { readonly id: string; readonly day: string; readonly at: number } & (
  | { readonly type: 'day-started'; readonly order: DayOrder; readonly aim: DayAim }
  /** `again`: what it had come to before is gone, jars boiled an hour ago are boiled anew. `cook`: whose hands are at it, where that is told. */
  | { readonly type: 'step-started'; readonly taskId: string; readonly again?: true; readonly cook?: string }
  /** A clock of so many minutes within a step: the hard boil, five minutes more until it sets, jars sterilised. */
  | { readonly type: 'clock-started'; readonly taskId: string; readonly minutes: number }
  /** `sure`: the cook was asked about the time that was left, and said yes. */
  | { readonly type: 'step-done'; readonly taskId: string; readonly sure?: true }
  /** It was over before anybody told: a soak of last night, a boil that nobody tapped. */
  | { readonly type: 'done-before'; readonly taskId: string; readonly endedAt: number }
  /** A call that no other tap answers: stirred, looked at the thermometer. */
  | { readonly type: 'alarm-answered'; readonly alarmId: string }
  | ({ readonly type: 'measured'; readonly batchId: string; readonly taskId: string } & Measured)
  /** What was taken off the pot of a batch, in millilitres; 0 where there was none worth taking. */
  | ({ readonly type: 'output-measured'; readonly batchId: string; readonly taskId: string } & OutputMeasured)
  | {
      readonly type: 'loads-changed';
      readonly batchId: string;
      /** As they are to be from now on. Loads that went in stay whatever this says. */
      readonly loads: readonly PlannedLoad[];
      /** Part of the batch's produce that goes into them, 0 to 1; the rest is on hand again. */
      readonly produceUsed: number;
    }
  /** More fruit was taken when too little was measured, for one load or for all that have not gone in. */
  | { readonly type: 'produce-added'; readonly batchId: string; readonly loadId?: string; readonly use: PickUse }
  /** It is made by another card after all, with that card's own tested time. */
  | ({ readonly type: 'recipe-changed'; readonly batchId: string } & OtherCard)
  /** It is begun at another time, or on another day, with all that was not begun of it. */
  | { readonly type: 'batch-moved'; readonly batchId: string; readonly startAt: number }
  /** The pot of another batch is poured into this one's: from now on they are one. */
  | { readonly type: 'pots-joined'; readonly batchId: string; readonly withId: string }
  | { readonly type: 'order-taken'; readonly order: DayOrder }
  /** A better order was shown and refused: not shown again until something else has changed. */
  | { readonly type: 'order-kept'; readonly endAt: number }
  /** `until`: for an errand, and back then; without it for the rest of the day. */
  | { readonly type: 'cook-away'; readonly cook: string; readonly until?: number }
  | { readonly type: 'cook-back'; readonly cook: string }
  | { readonly type: 'canner-out' | 'canner-back'; readonly cannerId: string }
  /** Something else to do on a day of this plan, or another time for what is repeated. `later`: days after the first one. */
  | ({ readonly type: 'errand-set'; readonly errandId: string; readonly later?: number } & Omit<Errand, 'id'>)
  | { readonly type: 'errand-struck'; readonly errandId: string; readonly later?: number }
  | { readonly type: 'wish-made'; readonly wish: DayWish }
  | { readonly type: 'wish-dropped'; readonly key: string }
  | { readonly type: 'day-closed' }
  | { readonly type: 'taken-back'; readonly eventId: string }
);

type Told<Event> = Event extends DayEvent ? Omit<Event, 'id' | 'day' | 'at'> : never;

/** What is told of a day, beside its id and its time. */
export type DayTold = Told<DayEvent>;

/** Events in the order of their times, each id once, without those that were taken back: they never were. */
export function standing(events: readonly DayEvent[]): DayEvent[] {
  const struck = new Set(events.flatMap((event) => (event.type === 'taken-back' ? [event.eventId] : [])));
  return inOrderOnce(events).filter(({ id }) => !struck.has(id));
}
