import { type Batch, type PlannedLoad } from '@hoddle/core/day/batch';
import { guestsOf } from '@hoddle/core/day/sharedLoad';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadOrder } from '@hoddle/core/kitchen/loadOrder';
import { type LoadOrder, loadState, type LoadState } from '@hoddle/core/kitchen/loadState';
import { toldOf } from '@hoddle/core/kitchen/toldOf';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

export interface RunningLoad {
  readonly batch: Batch;
  readonly load: PlannedLoad;
  readonly order: LoadOrder;
  readonly state: LoadState;
  /** Jars of other batches that go in and come out with it. */
  readonly besides: number;
}

/** Where a load stands, from everything told of it and of the one it goes in with. */
export function stateOf(
  batch: Batch,
  load: PlannedLoad,
  batches: readonly Batch[],
  events: readonly KitchenEvent[],
): LoadState {
  return loadState(loadOrder(batch, load, batches), toldOf(load, batches, events));
}

/** Every load of the household with its state, in the order of their batches. */
export function useLoads(): RunningLoad[] {
  const { batches, events } = useHousehold();
  return useMemo(
    () =>
      batches.flatMap((batch) =>
        batch.loads.map((load) => ({
          batch,
          load,
          order: loadOrder(batch, load, batches),
          state: stateOf(batch, load, batches, events),
          besides: guestsOf(load.id, batches).reduce((sum, guest) => sum + guest.load.jars, 0),
        })),
      ),
    [batches, events],
  );
}

/** One load, or the one it goes in with; undefined when there is none of this id. */
export function useLoad(loadId: string): RunningLoad | undefined {
  const loads = useLoads();
  const asked = loads.find(({ load }) => load.id === loadId);
  const host = asked?.load.withLoadId;
  return loads.find(({ load }) => host !== undefined && load.id === host) ?? asked;
}
