import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Lag, type Mode, type ScheduleProblem, type SearchTask } from '../../src/scheduling/scheduleProblem';

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

/**
 * A random small problem in which decisions are open: loads that go into one of two machines, which take them at different
 * lengths; steps that are there only under a literal; lags that hang on one, or lie between starts or ends; clauses between them.
 */
export function randomChoices(seed: number, count: number): ScheduleProblem {
  const random = xoroshiro128plus(seed);
  const int = (from: number, to: number) => uniformInt(random, from, to);
  const chance = (percent: number) => int(1, 100) <= percent;
  const tasks: SearchTask[] = [];
  const clauses: string[][] = [];
  const literals: string[] = [];
  const awayFrom = int(2, 12);
  const shutFrom = int(4, 20);
  const resources = [
    { id: 'hands', capacity: 2, taken: [{ from: awayFrom, to: awayFrom + int(4, 15), amount: 1 }] },
    { id: 'a', capacity: 1 },
    { id: 'b', capacity: 1, closed: chance(30) ? [[shutFrom, shutFrom + int(1, 6)] as const] : [] },
    { id: 'burners', capacity: 2 },
  ];
  for (let k = 0; tasks.length < count; k++) {
    const before = tasks.length > 0 ? (tasks[int(0, tasks.length - 1)] as SearchTask).id : undefined;
    const after: Lag[] =
      before !== undefined && chance(60) ? [{ task: before, ...(chance(40) && { maxLag: int(0, 6) }) }] : [];
    const kind = int(1, 4);
    if (kind <= 2 && tasks.length + 2 <= count) {
      const [inA, inB] = [`${k} in a`, `${k} in b`];
      literals.push(inA, inB);
      const modes = [inA, inB].map((when, m): Mode => ({
        ...{ when, minutes: int(2, 6) },
        needs: { [m === 0 ? 'a' : 'b']: 1, ...(m === 0 && chance(50) && { burners: 1 }) },
      }));
      const loading = [inA, inB].map((when, m): Mode => ({ when, minutes: 1, needs: { [m === 0 ? 'a' : 'b']: 1 } }));
      const due = chance(30) && { due: int(5, 14) };
      tasks.push({ id: `load ${k}`, minutes: 0, needs: { hands: 1 }, modes: loading, after });
      tasks.push({ id: `run ${k}`, minutes: 0, needs: {}, modes, after: [{ task: `load ${k}`, maxLag: 0 }], ...due });
    } else {
      const presence = chance(40) ? `step ${k}` : undefined;
      if (presence !== undefined) {
        if (literals.length > 0 && chance(70)) clauses.push([presence, `!${literals[int(0, literals.length - 1)]}`]);
        literals.push(presence);
      }
      const between = (['end-start', 'start-start', 'end-end'] as const)[int(0, 2)];
      const plain = before !== undefined && !tasks.find(({ id }) => id === before)?.modes;
      const lag: Lag | undefined = plain
        ? {
            task: before,
            between,
            minLag: int(0, 3),
            ...(chance(30) && { maxLag: int(3, 9) }),
            ...(literals.length > 0 && chance(40) && { when: literals[int(0, literals.length - 1)] }),
          }
        : after[0];
      tasks.push({
        ...{
          id: `task ${k}`,
          minutes: int(1, 6),
          needs: { ...(chance(70) && { hands: 1 }), ...(chance(40) && { burners: int(1, 2) }) },
        },
        ...(lag && { after: [lag] }),
        ...(presence !== undefined && { presence }),
        ...(chance(15) && { due: int(9, 30) }),
        ...(chance(15) && { release: int(0, 8) }),
      });
    }
  }
  // What is done beside, some time in a window that may well lie after all else; it is there for one of the two pairs of hands.
  if (chance(50)) {
    const [minutes, release] = [int(2, 8), int(0, 30)];
    const after = chance(30) && { after: [{ task: (tasks[0] as SearchTask).id, minLag: int(0, 4) }] };
    const due = release + minutes + int(chance(30) ? 0 : 4, 12);
    const needs = { hands: int(1, 2), ...(chance(30) && { a: 1 }) };
    tasks.push({ id: 'beside', minutes, needs, release, due, uncounted: true, ...after });
  }
  if (literals.length > 2 && chance(50)) {
    clauses.push([literals[int(0, literals.length - 1)] as string, literals[int(0, literals.length - 1)] as string]);
  }
  // Lifted out soon after one of the longer or shorter ways, and not before it is wanted: what is late holds all before it back.
  const runs = tasks.filter(({ id }) => id.startsWith('run '));
  if (runs.length > 0 && chance(60)) {
    const { id } = runs[int(0, runs.length - 1)] as SearchTask;
    const after: Lag[] = [{ task: id, maxLag: int(0, 2) }];
    tasks.push({ id: 'lift', minutes: int(1, 3), needs: { hands: 1 }, release: int(8, 30), after });
  }
  return { resources, tasks, clauses };
}
