import { type Place } from './pick';

/** How produce leaves the household's hands other than into a jar. */
export const LOT_ENDS = ['eaten', 'given-away', 'fed', 'composted', 'lost'] as const;
export type LotEnd = (typeof LOT_ENDS)[number];

export const LOT_CHANGE_KINDS = [...LOT_ENDS, 'moved', 'softened'] as const;

/** Which part of a pick is meant: what came in soft or went soft since, or the rest. */
export type LotPart = 'sound' | 'soft';

/**
 * What happened to part of a lot: it ended, it was carried to another place, or it was sorted out as soft. A pick is never
 * edited by it; what is on hand is worked out from picks, changes and batches.
 */
export interface LotChange {
  readonly id: string;
  readonly pickId: string;
  readonly part: LotPart;
  readonly from: Place;
  readonly kind: (typeof LOT_CHANGE_KINDS)[number];
  /** Where it was carried to; null for every other kind. */
  readonly to: Place | null;
  readonly massKg: number;
  /** Epoch milliseconds. */
  readonly at: number;
}
