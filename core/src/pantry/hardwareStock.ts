import { type Hardware, HARDWARE_WAYS, hardwareKey, type HardwareMove, usualMouth } from '../supplies/hardware';
import { type JarLot, type Movement, standingMovements } from './jarLot';
import { type ShelfGoal } from './shelfGoal';

export type Lids = 'single-use' | 'reusable';

/** How many of a thing there are, empty and ready. */
export interface HardwareCount extends Hardware {
  readonly count: number;
}

interface Change extends Hardware {
  readonly by: number;
}

/**
 * What a movement takes from the drawer or brings back: a filled jar takes a jar and a lid, an emptied one comes back, its
 * reusable lid with it; one that is given away, broken or spoiled does not. Bands go off the shelf's jars at once.
 */
export function hardwareChanges(
  movement: Movement,
  lot: JarLot | undefined,
  lids: Lids,
  moves: readonly HardwareMove[],
): Change[] {
  if (!lot) return [];
  const mouth = usualMouth(lot.jar, moves);
  const jar = { kind: 'jar', size: lot.jar, mouth } as const;
  const { kind, jars } = movement;
  if (kind === 'stored' && lot.loadId !== undefined) {
    return [
      { ...jar, by: -jars },
      { kind: lids === 'reusable' ? 'reusable-lid' : 'lid', mouth, by: -jars },
    ];
  }
  if (kind !== 'taken' && kind !== 'returned') return [];
  const back = kind === 'taken' ? jars : -jars;
  return [{ ...jar, by: back }, ...(lids === 'reusable' ? [{ kind: 'reusable-lid', mouth, by: back } as const] : [])];
}

/**
 * Jars, lids and bands in the drawer: what the household told, and what its shelf has used and given back since it first
 * told of that thing. What it never told of is not counted.
 */
export function hardwareStock(
  moves: readonly HardwareMove[],
  lotOf: (id: string) => JarLot | undefined,
  movements: Iterable<Movement>,
  lidsOf: (lot: JarLot) => Lids,
): HardwareCount[] {
  const counts = new Map<string, HardwareCount & { since: number }>();
  for (const { kind, size, mouth, way, count, at } of moves) {
    const thing = { kind, ...(size !== undefined && { size }), mouth };
    const known = counts.get(hardwareKey(thing)) ?? { ...thing, count: 0, since: at };
    const told = known.count + HARDWARE_WAYS[way] * count;
    counts.set(hardwareKey(thing), { ...known, count: told, since: Math.min(known.since, at) });
  }
  if (counts.size === 0) return [];
  for (const movement of standingMovements([...movements])) {
    const lot = lotOf(movement.lotId);
    for (const { by, ...thing } of hardwareChanges(movement, lot, lot ? lidsOf(lot) : 'single-use', moves)) {
      const known = counts.get(hardwareKey(thing));
      if (known && movement.at >= known.since) counts.set(hardwareKey(thing), { ...known, count: known.count + by });
    }
  }
  return [...counts.values()].map(({ since: _, ...thing }) => thing);
}

/** The counts after some changes; what is not counted stays uncounted. */
export function withChanges(counts: readonly HardwareCount[], changes: readonly Change[]): HardwareCount[] {
  return counts.map((thing) => {
    const by = changes.filter((change) => hardwareKey(change) === hardwareKey(thing));
    return by.length === 0 ? thing : { ...thing, count: by.reduce((sum, change) => sum + change.by, thing.count) };
  });
}

/** Jars and lids that the goals still need. */
export interface HardwareNeed extends Hardware {
  readonly needed: number;
  /** Not counted here: unknown. */
  readonly here: number | undefined;
  readonly short: number;
  /** When the first of them can be needed, epoch milliseconds. */
  readonly from?: number;
}

/** What the drawer must hold until the goals are met, and what it lacks: told before the season asks for it. */
export function hardwareNeeds(
  goals: readonly ShelfGoal[],
  jarsOf: (goal: ShelfGoal) => number,
  nextCropOf: (goal: ShelfGoal) => number | undefined,
  counts: readonly HardwareCount[],
  moves: readonly HardwareMove[],
): HardwareNeed[] {
  const reusable = counts.some(({ kind, count }) => kind === 'reusable-lid' && count > 0);
  const needs = new Map<string, HardwareNeed>();
  const need = (thing: Hardware, jars: number, from: number | undefined) => {
    const key = hardwareKey(thing);
    const here = counts.find((count) => hardwareKey(count) === key)?.count;
    const known = needs.get(key);
    const needed = (known?.needed ?? 0) + jars;
    const first = Math.min(known?.from ?? Infinity, from ?? Infinity);
    needs.set(key, {
      ...thing,
      needed,
      here,
      short: here === undefined ? 0 : Math.max(0, needed - here),
      ...(first < Infinity && { from: first }),
    });
  };
  for (const goal of goals) {
    const missing = Math.max(0, (goal.jars ?? 0) - jarsOf(goal));
    if (missing === 0) continue;
    const mouth = usualMouth(goal.jar, moves);
    const from = nextCropOf(goal);
    need({ kind: 'jar', size: goal.jar, mouth }, missing, from);
    need({ kind: reusable ? 'reusable-lid' : 'lid', mouth }, missing, from);
  }
  return [...needs.values()];
}
