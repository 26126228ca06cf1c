import { type LotChange } from './lotChange';
import { type Pick } from './pick';

const DAY_MS = 24 * 60 * 60_000;
/** What was picked before that was used up, eaten or spoiled: little keeps longer without being written down. Common practice. */
const GONE_DAYS = 14;

/** Picks of a table that were picked before this moment count as used up, epoch milliseconds. */
export function goneBefore(now: number): number {
  return now - GONE_DAYS * DAY_MS;
}

/**
 * Of a pick that is written down long after it came nothing is on hand: it was eaten or put up before. Its changes are known by its
 * own id, so that the same pick gives the same ones.
 *
 * @param pick one whose id is a UUID: its last sign is put in place of by the part
 */
export function usedUp({ id, massKg, softKg, place, pickedAt }: Pick): LotChange[] {
  const parts = [
    ['sound', massKg - softKg, 'a'],
    ['soft', softKg, 'b'],
  ] as const;
  return parts
    .filter(([, kg]) => kg > 0)
    .map(([part, kg, mark]) => ({
      id: `${id.slice(0, -1)}${mark}`,
      pickId: id,
      ...{ part, from: place, kind: 'eaten', to: null, massKg: kg, at: pickedAt },
    }));
}
