import { quote } from './notMet';
import { type ScheduleProblem } from './scheduleProblem';

/** As far as a bound may go. */
export const LARGEST = 1_000_000_000;

/** @throws RangeError for a number of a problem that is below 0, too large, or not whole where it must be */
export function checkNumbers({ resources, tasks }: ScheduleProblem): void {
  const check = (value: number, what: string) => {
    if (!(value >= 0) || value > LARGEST) throw new RangeError(`${what} must be 0 or more, got ${value}`);
  };
  for (const { id, capacity, closed = [], taken = [] } of resources) {
    for (const { from, to, amount } of taken) {
      for (const each of [from, to, amount]) check(each, `what is taken of ${quote(id)}`);
      if (to < from) throw new RangeError(`what is taken of ${quote(id)} ends before it begins: ${from} to ${to}`);
    }
    check(capacity, `capacity of ${quote(id)}`);
    for (const [from, to] of closed) {
      check(from, `closed time of ${quote(id)}`);
      check(to, `closed time of ${quote(id)}`);
      if (to < from) throw new RangeError(`a closed time of ${quote(id)} ends before it begins: ${from} to ${to}`);
    }
  }
  for (const { id, minutes, needs, after = [], release = 0, due = 0, modes = [] } of tasks) {
    check(minutes, `minutes of ${quote(id)}`);
    for (const mode of modes) {
      check(mode.minutes, `minutes of ${quote(id)}`);
      for (const [resource, amount] of Object.entries(mode.needs)) {
        check(amount, `need of ${quote(resource)} in ${quote(id)}`);
        if (!Number.isInteger(amount)) throw new RangeError(`need of ${quote(resource)} in ${quote(id)} must be whole`);
      }
    }
    check(release, `release of ${quote(id)}`);
    check(due, `due of ${quote(id)}`);
    for (const [resource, amount] of Object.entries(needs)) {
      check(amount, `need of ${quote(resource)} in ${quote(id)}`);
      if (!Number.isInteger(amount)) throw new RangeError(`need of ${quote(resource)} in ${quote(id)} must be whole`);
    }
    for (const { minLag = 0, maxLag = 0, between = 'end-start' } of after) {
      const sizeOf = (lag: number) => (between === 'end-start' ? lag : Math.abs(lag));
      check(sizeOf(minLag), `minLag of ${quote(id)}`);
      if (maxLag !== Infinity) check(sizeOf(maxLag), `maxLag of ${quote(id)}`);
    }
  }
}
