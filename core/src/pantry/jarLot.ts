import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';

/** Jars of one product and size, made in one load and kept in one place. */
export interface JarLot {
  readonly id: string;
  readonly loadId?: string;
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly place: 'shelf' | 'refrigerator';
  /** Epoch milliseconds. */
  readonly madeAt: number;
  /** Best by on the shelf, use by in the refrigerator. */
  readonly keepsUntil: number;
}

export const MOVEMENT_KINDS = ['stored', 'taken', 'returned', 'discarded'] as const;

/** Jars in or out of a lot. How many are there is the sum of these; it is never edited in place. */
export interface Movement {
  readonly id: string;
  readonly lotId: string;
  readonly kind: (typeof MOVEMENT_KINDS)[number];
  /** Whole, above 0; the kind says in which direction. */
  readonly jars: number;
  readonly at: number;
}

/** Jars in a lot after its movements; those of other lots do not count. */
export function jarsInLot(lotId: string, movements: readonly Movement[]): number {
  return movements.reduce((sum, movement) => {
    if (movement.lotId !== lotId) return sum;
    return movement.kind === 'stored' || movement.kind === 'returned' ? sum + movement.jars : sum - movement.jars;
  }, 0);
}
