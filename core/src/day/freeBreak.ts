import { type Break, type Cook } from './kitchenSetup';

const HALF_HOUR = 30;

/**
 * A break where it was wished, or as soon after as no other one is in the way.
 *
 * @returns undefined where it stands already, or the hours of the cook are full
 */
export function freeBreak({ toMin, breaks }: Pick<Cook, 'toMin' | 'breaks'>, wished: Break): Break | undefined {
  if (breaks.some((own) => own.fromMin === wished.fromMin && own.toMin === wished.toMin)) return undefined;
  const minutes = wished.toMin - wished.fromMin;
  for (let fromMin = wished.fromMin; fromMin + minutes <= toMin; fromMin += HALF_HOUR) {
    const own = { ...wished, fromMin, toMin: fromMin + minutes };
    if (breaks.every((other) => other.toMin <= own.fromMin || other.fromMin >= own.toMin)) return own;
  }
  return undefined;
}
