import { type DayQuestion } from './questionOfDay';
import { type Wish } from './wish';

const MINUTE_MS = 60_000;

type Pin = Extract<Wish, { kind: 'pin' }>;

/** What is wished of a day, as it is kept: with moments for minutes, epoch milliseconds. */
export type DayWish =
  | Exclude<Wish, Pin>
  | (Omit<Pin, 'atMin'> & { readonly at: number })
  /** All is over by then. */
  | { readonly kind: 'ready-by'; readonly at: number }
  /** Nothing is begun before. */
  | { readonly kind: 'not-before'; readonly at: number };

/** Of wishes with one key the last one holds: a load has one time, a day one end. */
export function wishKey(wish: DayWish): string {
  switch (wish.kind) {
    case 'pin':
    case 'canner':
      return `${wish.kind} ${wish.loadId}`;
    case 'way':
      return `way ${wish.batchId}`;
    case 'before':
    case 'apart':
      return `${wish.kind} ${[wish.loadId, wish.otherId].sort().join(' ')}`;
    case 'ready-by':
    case 'not-before':
      return wish.kind;
  }
}

/** When a day begins: at its planned time, or as late as it is wished. */
export function beginOf(wishes: readonly DayWish[], plannedAt: number): number {
  return wishes.reduce((at, wish) => (wish.kind === 'not-before' ? Math.max(at, wish.at) : at), plannedAt);
}

/** The wishes of a day as its search takes them. @param startAt where minute 0 of the plan is */
export function askedOf(wishes: readonly DayWish[], startAt: number): Pick<DayQuestion, 'wishes' | 'overByMin'> {
  const minuteOf = (at: number) => Math.round((at - startAt) / MINUTE_MS);
  const asked = wishes.flatMap((wish): Wish[] => {
    if (wish.kind === 'ready-by' || wish.kind === 'not-before') return [];
    if (wish.kind !== 'pin') return [wish];
    return [{ kind: 'pin', loadId: wish.loadId, atMin: minuteOf(wish.at) }];
  });
  const ends = wishes.flatMap((wish) => (wish.kind === 'ready-by' ? [minuteOf(wish.at)] : []));
  return { ...(asked.length > 0 && { wishes: asked }), ...(ends.length > 0 && { overByMin: Math.min(...ends) }) };
}
