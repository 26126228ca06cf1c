import { type ProduceId } from '../handbook/produce';
import { type LeftOf } from './leftOf';

/** Where produce waits for its jars. Iced water is for cucumbers that are to stay crisp. */
export const PLACES = ['counter', 'cool', 'refrigerator', 'iced', 'freezer'] as const;
export type Place = (typeof PLACES)[number];

/** Green: picked unripe, for what is made of green fruit. */
export const RIPENESSES = ['firm', 'ripe', 'green'] as const;
export type Ripeness = (typeof RIPENESSES)[number];

export const PICK_SOURCES = ['garden', 'bought', 'given', 'foraged'] as const;
export type PickSource = (typeof PICK_SOURCES)[number];

/** Letters of an amount as it was told: more is not one amount. */
export const MOST_TOLD = 80;

/** Produce that came in on one occasion. `softKg` of it is ripe, sound and soft; mouldy or rotting produce is not logged. */
export interface Pick {
  readonly id: string;
  readonly crop: ProduceId;
  readonly massKg: number;
  readonly softKg: number;
  /** Of what is not soft. */
  readonly ripeness: Ripeness;
  /** Where it was put at first. */
  readonly place: Place;
  /** Epoch milliseconds. */
  readonly pickedAt: number;
  /** As it was told: "68 lb", "1/2 bushel". */
  readonly told: string;
  readonly source: PickSource;
  /** The bed or tree it was picked from, where that is known. */
  readonly plantingId: string | null;
  /** What a batch left behind, and no harvest. */
  readonly of?: LeftOf;
}

/** Produce taken from a pick, for a batch, at the time the batch begins. */
export interface PickUse {
  readonly pickId: string;
  /** Of the pick; undefined for one that was planned before batches told. */
  readonly crop?: ProduceId;
  readonly massKg: number;
  readonly softKg: number;
  /** What of it lay in the freezer when it was taken: it is thawed, and was washed before. */
  readonly frozenKg?: number;
}
