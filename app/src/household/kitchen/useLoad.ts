import { groupBy } from '@hoddle/core/handbook/groupBy';
import { type JarCount } from '@hoddle/core/handbook/jars';
import { type Batch, type PlannedLoad } from '@hoddle/core/day/batch';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type LoadOrder, type LoadState } from '@hoddle/core/kitchen/loadState';
import memoizeOne from 'memoize-one';
import { standingLoads } from '@/store/standingLoads';
import { useHousehold } from '@/store/useHousehold';

export interface RunningLoad {
  readonly batch: Batch;
  readonly load: PlannedLoad;
  readonly order: LoadOrder;
  readonly state: LoadState;
  /** Jars of other loads that go in and come out with it. */
  readonly besides: readonly JarCount[];
}

/** Every load of the household with its state, in the order of their batches. */
export function useLoads(): readonly RunningLoad[] {
  const { batches, events } = useHousehold();
  return runningLoads(batches, events);
}

const runningLoads = memoizeOne((batches: readonly Batch[], events: readonly KitchenEvent[]): RunningLoad[] => {
  const loads = standingLoads(batches, events);
  const guests = groupBy(loads, ({ load }) => load.withLoadId);
  return loads.map((each) => ({
    ...each,
    besides: (guests.get(each.load.id) ?? []).map(({ batch, load }) => ({ jar: batch.jar, count: load.jars })),
  }));
});

/** One load, or the one it goes in with; undefined when there is none of this id. */
export function useLoad(loadId: string): RunningLoad | undefined {
  const loads = useLoads();
  const asked = loads.find(({ load }) => load.id === loadId);
  const host = asked?.load.withLoadId;
  return loads.find(({ load }) => host !== undefined && load.id === host) ?? asked;
}
