/** What a batch leaves behind that is good for something: none of it is the crop it came from any more, but the last. */
export const LEFT_KINDS = ['peels-and-cores', 'pulp', 'juice', 'brine', 'syrup', 'soft-fruit'] as const;
export type LeftKind = (typeof LEFT_KINDS)[number];

/** The batch that left it behind. */
export interface LeftOf {
  readonly batchId: string;
  readonly kind: LeftKind;
}
