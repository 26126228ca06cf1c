import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Lag, type ScheduleProblem, type SearchTask } from '../../src/scheduling/scheduleProblem';

export interface DaySize {
  readonly loads: number;
  readonly people: number;
  readonly burners: number;
  readonly canners: number;
  readonly pots: number;
  /** Minutes that one step of the clock stands for: 5 keeps an integer program small. */
  readonly grain: number;
}

/**
 * A preserving day as kitchens have them, with invented minutes: each load is washed, peeled over a burner, cooked in a
 * pot, filled and processed in one of the canners; hot food goes into hot jars, and hot jars into the canner within 10 min.
 */
export function simulatedDay(seed: number, { loads, people, burners, canners, pots, grain }: DaySize): ScheduleProblem {
  const random = xoroshiro128plus(seed);
  const minutes = (from: number, to: number) => Math.max(1, Math.round(uniformInt(random, from, to) / grain));
  const lag = (most: number) => Math.max(0, Math.floor(most / grain));
  const tasks: SearchTask[] = [];
  for (let load = 0; load < loads; load++) {
    const canner = `canner ${load % canners}`;
    let before: string | undefined;
    const add = (step: string, from: number, to: number, needs: Record<string, number>, maxLag?: number) => {
      const id = `${step} ${load}`;
      const after: Lag[] = before === undefined ? [] : [{ task: before, ...(maxLag !== undefined && { maxLag }) }];
      tasks.push({ id, minutes: minutes(from, to), needs, after });
      before = id;
    };
    add('wash', 8, 25, { hands: 1 });
    if (uniformInt(random, 0, 1) === 1) add('peel', 15, 40, { hands: 1, burners: 1 });
    if (uniformInt(random, 0, 3) === 0) add('soak', 60, 120, {});
    add('cook', 10, 60, { burners: 1, pots: 1 });
    add('fill', 10, 25, { hands: 1 }, lag(10));
    add('load', 3, 6, { hands: 1, burners: 1, [canner]: 1 }, lag(10));
    add('process', 20, 100, { burners: 1, [canner]: 1 }, 0);
    add('unload', 3, 8, { hands: 1, [canner]: 1 }, lag(20));
  }
  return {
    resources: [
      { id: 'hands', capacity: people },
      { id: 'burners', capacity: burners },
      { id: 'pots', capacity: pots },
      ...Array.from({ length: canners }, (_, k) => ({ id: `canner ${k}`, capacity: 1 })),
    ],
    tasks,
  };
}
