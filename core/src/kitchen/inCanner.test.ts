import { type Batch } from '../day/batch';
import { isAnyInCanner } from './inCanner';
import { type KitchenEvent } from './kitchenEvent';

const HOUR = 60 * 60_000;
const batch = (n: number, withLoadId?: string) =>
  ({
    ...{ id: `b${n}`, product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water' },
    ...{ altitudeFt: 500, processMinutes: 45, cannerId: 'c', startAt: 0, uses: [] },
    loads: [{ id: `l${n}`, number: 1, jars: 7, ...(withLoadId !== undefined && { withLoadId }) }],
  }) as unknown as Batch;
const told = (type: string, atHours: number, loadId = 'l1') =>
  ({ id: `${type} ${atHours}`, loadId, type, at: atHours * HOUR, jars: 7 }) as unknown as KitchenEvent;

test('from the first heat until the jars are out; one that was forgotten for a day puts nothing in the way', () => {
  const way = [told('load-started', 1), told('boil-reached', 1.5), told('heat-off', 2.5), told('jars-out', 2.6)];
  const after = (steps: number, hours: number) =>
    isAnyInCanner([batch(0), batch(1)], way.slice(0, steps), hours * HOUR);
  expect([0, 1, 2, 3, 4].map((steps) => after(steps, 3))).toEqual([false, true, true, true, false]);
  expect(after(2, 25)).toBe(true);
  expect(after(2, 26)).toBe(false);
  expect(isAnyInCanner([batch(0, 'l1'), batch(1)], way.slice(0, 1), 2 * HOUR)).toBe(true);
});
