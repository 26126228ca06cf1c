import { type JarSize } from '../handbook/jars';
import { holdsMixed } from '../canner/holdsMixed';
import { type Canner, type OwnJar } from '../canner/canner';
import { type Batch, type CannedBatch, isCanned } from './batch';
import { hostOf, sizesInCanner, together } from './sharedLoad';

/** More ways than this are thinned out: those that share the work most evenly are kept. */
const MOST_WAYS = 24;

export interface Assignments {
  readonly ways: readonly Assignment[];
  /** None was left out: there are no others. */
  readonly complete: boolean;
}

/** Which canner each load goes into, by load id. */
export type Assignment = ReadonlyMap<string, string>;

/**
 * The ways to share the loads of a day among the canners that can take them. Loads of one batch with as many jars stand
 * for each other, so only how many go where is told apart.
 *
 * @param settled where loads stand already, by load id: that is not asked any more
 * @returns most even first, and no more than can be searched; none when some load fits no canner
 */
export function assignments(
  batches: readonly Batch[],
  canners: readonly Canner[],
  ownJars: readonly OwnJar[] = [],
  settled: ReadonlyMap<string, string> = new Map(),
): Assignments {
  const groups = batches.filter(isCanned).flatMap((batch) => groupsOf(batch, batches, canners, ownJars, settled));
  if (groups.some(({ able }) => able.length === 0)) return { ways: [], complete: true };
  let ways: Way[] = [{ of: new Map(), busy: new Map() }];
  let complete = true;
  for (const group of groups) {
    const longer = ways.flatMap((way) =>
      spreads(group.loads.length, group.able.length).map((spread) => extended(way, group, spread)),
    );
    complete &&= longer.length <= 4 * MOST_WAYS;
    ways = longer.sort((a, b) => mostBusy(a) - mostBusy(b)).slice(0, 4 * MOST_WAYS);
  }
  complete &&= ways.length <= MOST_WAYS;
  return { ways: ways.slice(0, MOST_WAYS).map(({ of }) => of), complete };
}

interface Group {
  readonly loads: readonly string[];
  /** Ids of the canners that take them. */
  readonly able: readonly string[];
  readonly minutes: number;
}

interface Way {
  readonly of: ReadonlyMap<string, string>;
  /** Minutes each canner processes. */
  readonly busy: ReadonlyMap<string, number>;
}

function groupsOf(
  batch: CannedBatch,
  batches: readonly Batch[],
  canners: readonly Canner[],
  ownJars: readonly OwnJar[],
  settled: ReadonlyMap<string, string>,
): Group[] {
  const alike = new Map<string, { jars: number; sizes: JarSize[]; minutes: number; loads: string[]; in?: string }>();
  for (const load of batch.loads) {
    if (hostOf(load, batches)) continue;
    const all = together(batch, load, batches);
    // A load with guests stands for no other.
    const stands = settled.get(load.id);
    const sizes = sizesInCanner(batch, load, batches);
    const key = all.load === load && stands === undefined ? `${load.jars} ${sizes.join()}` : load.id;
    const known = alike.get(key)?.loads ?? [];
    const own = { jars: all.load.jars, sizes, minutes: all.batch.processMinutes, loads: [...known, load.id] };
    alike.set(key, { ...own, ...(stands !== undefined && { in: stands }) });
  }
  return [...alike.values()].map(({ jars, sizes, minutes, loads, in: stands }): Group => {
    if (stands !== undefined) return { loads, able: [stands], minutes };
    const able = canners.filter((canner) => holdsMixed(canner, sizes, jars, { method: batch.method, ownJars }));
    const ids = able.map(({ id }) => id);
    return { loads, able: ids, minutes };
  });
}

/** Every way to part so many among so many: [2, 0], [1, 1], [0, 2]. */
function spreads(count: number, among: number): number[][] {
  if (among === 1) return [[count]];
  return Array.from({ length: count + 1 }, (_, first) =>
    spreads(count - first, among - 1).map((rest) => [first, ...rest]),
  ).flat();
}

function extended({ of, busy }: Way, { loads, able, minutes }: Group, spread: readonly number[]): Way {
  const nextOf = new Map(of);
  const nextBusy = new Map(busy);
  let k = 0;
  for (const [c, count] of spread.entries()) {
    const canner = able[c] as string;
    for (const load of loads.slice(k, k + count)) nextOf.set(load, canner);
    k += count;
    // What surrounds a process takes about half an hour; it only ranks the ways.
    nextBusy.set(canner, (nextBusy.get(canner) ?? 0) + count * (minutes + 30));
  }
  return { of: nextOf, busy: nextBusy };
}

function mostBusy({ busy }: Way): number {
  return Math.max(0, ...busy.values());
}
