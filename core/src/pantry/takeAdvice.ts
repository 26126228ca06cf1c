import { readyFrom } from './keepsUntil';
import { inTakingOrder, type StockedLot } from './shelf';

export interface TakeAdvice {
  /** The jars that should go first, where the ones in the hand are not they. */
  readonly olderFirst?: StockedLot;
  /** It is at its best only from then on, epoch milliseconds. */
  readonly notReadyUntil?: number;
  /** An opened or unsealed jar past its days in the refrigerator: not to be eaten. */
  readonly pastUse: boolean;
}

/** What is said before a jar is taken: first in, first out, and pickles want weeks. What is set aside is not meant. */
export function takeAdvice(lot: StockedLot, stocked: readonly StockedLot[], now: number): TakeAdvice {
  const first = stocked
    .filter(({ product, jar, placeKind }) => product === lot.product && jar === lot.jar && placeKind !== 'aside')
    .filter((other) => !isPastUse(other, now))
    .sort(inTakingOrder)[0];
  const readyAt = readyFrom(lot);
  return {
    ...(first && first.madeAt !== lot.madeAt && inTakingOrder(first, lot) < 0 && { olderFirst: first }),
    ...(readyAt > now && { notReadyUntil: readyAt }),
    pastUse: isPastUse(lot, now),
  };
}

/** Whether an opened or unsealed jar has been in the refrigerator for longer than its class keeps. */
export function isPastUse({ seal, placeKind, keepsUntil }: StockedLot, now: number): boolean {
  return seal !== 'sealed' && placeKind === 'refrigerator' && keepsUntil < now;
}
