import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';

/** How much a goal matters: what is eaten every week, what would be liked, and what is given away or sold. */
export const PRIORITIES = ['staple', 'want', 'gift'] as const;
export type Priority = (typeof PRIORITIES)[number];

/** What a household wants of a product in one size of jar. */
export interface ShelfGoal {
  readonly product: ProductId;
  readonly jar: JarSize;
  /** Jars to have for a year; null where none is set. */
  readonly jars: number | null;
  /** Jars a month it says it uses, before anything is learned; null where it said nothing. */
  readonly perMonth: number | null;
  readonly priority: Priority;
}
