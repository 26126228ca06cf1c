import { type ProduceId } from '../handbook/produce';

export const PLACES = ['counter', 'cool', 'refrigerator'] as const;
export type Place = (typeof PLACES)[number];

/** Produce that came in on one occasion. `softKg` of it is ripe, sound and soft; mouldy or rotting produce is not logged. */
export interface Pick {
  readonly id: string;
  readonly crop: ProduceId;
  readonly massKg: number;
  readonly softKg: number;
  readonly place: Place;
  /** Epoch milliseconds. */
  readonly pickedAt: number;
  /** As it was told: "68 lb", "1/2 bushel". */
  readonly told: string;
}

/** Produce taken from a pick, for a batch. */
export interface PickUse {
  readonly pickId: string;
  readonly massKg: number;
  readonly softKg: number;
}
