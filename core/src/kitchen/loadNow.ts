import { type Batch, type PlannedLoad } from '../day/batch';
import { minutesOf } from '../day/sharedLoad';
import { inOrderOnce, type KitchenEvent } from './kitchenEvent';
import { loadOrder } from './loadOrder';
import { type LoadOrder, type LoadPhase, loadState, type LoadState } from './loadState';

/** A load with what is asked of it, and where it stands. */
export interface OrderedLoad {
  readonly order: LoadOrder;
  readonly state: LoadState;
}

/** Phases of a load whose time is over. */
export const RAN: readonly LoadPhase[] = ['resting', 'cooling', 'checked'];

/**
 * Where a load stands, and by which minutes. Until its clock starts it goes by the table as it is now; what has run is held
 * against the minutes that were asked of it when it reached the boil; at the boil the longer of the two stands.
 *
 * @param told what was told of it and of the load it goes in with
 */
export function loadNow(
  batch: Batch,
  load: PlannedLoad,
  batches: readonly Batch[],
  told: readonly KitchenEvent[],
): OrderedLoad {
  const table = loadOrder(batch, load, batches);
  const planned = minutesOf(batch, load, batches, (each) => each.planned?.processMinutes ?? each.processMinutes);
  const asked = inOrderOnce(told).reduce(
    (most, event) => ('tested' in event && event.tested !== undefined ? Math.max(most ?? 0, event.tested) : most),
    undefined as number | undefined,
  );
  const ran = { ...table, processMinutes: asked ?? planned };
  const state = loadState(ran, told);
  if (RAN.includes(state.phase)) return { order: ran, state };
  if (state.phase !== 'boiling' || table.processMinutes <= ran.processMinutes) {
    return { order: state.phase === 'boiling' ? ran : table, state };
  }
  return { order: table, state: loadState(table, told) };
}
