import { type OrderChange } from '@hoddle/core/kitchen/orderChange';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { clockTimeFrom } from '@/ui/clockWords';

const MINUTE_MS = 60_000;

/** What another order changes, in one line: the end, and the load that moves most. */
export function orderWords(change: OrderChange, day: Day, cannerName: (id: string) => string): string {
  const at = (minute: number) => clockTimeFrom(day.startAt + minute * MINUTE_MS, day.startAt);
  const { endBeforeMin, endAfterMin } = change;
  const end =
    at(endAfterMin) === at(endBeforeMin)
      ? `Done ${at(endAfterMin)} as before`
      : `Done ${at(endAfterMin)} instead of ${at(endBeforeMin)}`;
  const moved = change.loads[0];
  if (!moved) return `${end}.`;
  const number = day.loads.findIndex(({ id }) => id === moved.loadId) + 1;
  const which = number > 0 ? `load ${number}` : 'a new load';
  const where = moved.cannerId === undefined ? '' : ` in ${cannerName(moved.cannerId)}`;
  const before = moved.fromMin === undefined ? '' : ` instead of ${at(moved.fromMin)}`;
  const others =
    change.loads.length > 1
      ? `; ${change.loads.length - 1} more ${change.loads.length === 2 ? 'load moves' : 'loads move'}`
      : '';
  return `${end}: ${which} goes in at ${at(moved.toMin)}${before}${where}${others}.`;
}
