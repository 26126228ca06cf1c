import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Lag, type ScheduleProblem, type SearchTask } from '../../src/day/search/scheduleProblem';

/**
 * A random small problem with every kind of rule: several resources, lags with and without a longest, closed times,
 * releases and dues. Some of them have no solution.
 */
export function randomProblem(seed: number, tasks: number): ScheduleProblem {
  const random = xoroshiro128plus(seed);
  const int = (from: number, to: number) => uniformInt(random, from, to);
  const chance = (percent: number) => int(1, 100) <= percent;
  const closed = () => {
    const from = int(0, 30);
    return [from, from + int(1, 8)] as const;
  };
  const resources = [
    { id: 'hands', capacity: int(1, 2), closed: chance(50) ? [closed()] : [] },
    { id: 'pots', capacity: 3, taken: [{ from: int(0, 9), to: int(10, 25), amount: int(1, 3) }] },
    { id: 'burners', capacity: int(2, 4) },
    { id: 'canner', capacity: 1, closed: chance(25) ? [closed(), closed()] : [] },
  ];
  const list: SearchTask[] = [];
  for (let i = 0; i < tasks; i++) {
    const after: Lag[] = [];
    if (i > 0 && chance(70)) {
      const minLag = chance(20) ? int(1, 6) : 0;
      after.push({
        task: `t${int(Math.max(0, i - 3), i - 1)}`,
        minLag,
        ...(chance(40) && { maxLag: minLag + int(0, 5) }),
      });
    }
    const minutes = int(chance(5) ? 0 : 1, 7);
    list.push({
      id: `t${i}`,
      minutes,
      needs: {
        ...(chance(60) && { hands: 1 }),
        ...(chance(40) && { burners: int(1, 2) }),
        ...(chance(30) && { canner: 1 }),
        ...(chance(20) && { pots: int(1, 2) }),
      },
      ...(after.length > 0 && { after }),
      ...(chance(10) && { release: int(0, 10) }),
      ...(chance(5) && { due: int(15, 40) }),
    });
  }
  return { resources, tasks: list };
}
