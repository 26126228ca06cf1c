import { type Batch, type PlannedLoad } from '@hoddle/core/day/batch';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadOrder } from '@hoddle/core/kitchen/loadOrder';
import { type LoadOrder, type LoadPhase, loadState, type LoadState } from '@hoddle/core/kitchen/loadState';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';

export interface RunningLoad {
  readonly batch: Batch;
  readonly load: PlannedLoad;
  readonly order: LoadOrder;
  readonly state: LoadState;
}

/** Where a load stands, from everything told of it. */
export function stateOf(batch: Batch, load: PlannedLoad, events: readonly KitchenEvent[]): LoadState {
  return loadState(
    loadOrder(batch, load),
    events.filter(({ loadId }) => loadId === load.id),
  );
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
          order: loadOrder(batch, load),
          state: stateOf(batch, load, events),
        })),
      ),
    [batches, events],
  );
}

/** One load, or undefined when there is none of this id. */
export function useLoad(loadId: string): RunningLoad | undefined {
  return useLoads().find(({ load }) => load.id === loadId);
}

/** Phases in which a load occupies its canner. */
export const IN_CANNER: readonly LoadPhase[] = ['heating', 'boiling', 'resting'];
