import { type Movement, type MovementKind } from './jarLot';
import { inTakingOrder, type StockedLot } from './shelf';

/** Why there are fewer than written down, and what is then written. */
export const FEWER_REASONS = ['taken', 'given', 'broken', 'missing'] as const satisfies readonly MovementKind[];
export type FewerReason = (typeof FEWER_REASONS)[number];

/**
 * The corrections that make the lots of one product in one place come to what was counted there. Jars that are gone went
 * from the front, since that is where one takes from; jars too many are of the newest lot, the one last carried in.
 *
 * @param lots of that product and size in that place; not empty
 * @param counted whole, 0 or more
 * @returns none where it is as written
 */
export function corrections(
  lots: readonly StockedLot[],
  counted: number,
  reason: FewerReason,
  { at, note, newId }: { at: number; note: string; newId: () => string },
): Movement[] {
  const inOrder = [...lots].sort(inTakingOrder);
  let gone = inOrder.reduce((sum, { jars }) => sum + jars, 0) - counted;
  const newest = inOrder.at(-1);
  if (gone < 0 && newest) return [{ id: newId(), lotId: newest.id, kind: 'found', jars: -gone, at, note }];
  return inOrder.flatMap((lot) => {
    const jars = Math.min(lot.jars, gone);
    gone -= jars;
    return jars > 0 ? [{ id: newId(), lotId: lot.id, kind: reason, jars, at, note }] : [];
  });
}
