import { type Batch } from '../day/batch';
import { type Fault } from '../day/fault';
import { type LoadOfBatch } from '../day/sharedLoad';
import { coldLot } from './coldLot';
import { type JarLot, type Movement } from './jarLot';
import { sealCheck } from './sealCheck';
import { type OwnRecipe } from '../process/ownRecipe';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { type LoadCurve } from '../kitchen/loadCurve';
import { keptColdFault, sealCheckFault } from '../kitchen/sealCheckFault';
import { loadNow } from '../kitchen/loadNow';
import { toldOf } from '../kitchen/toldOf';

/** What an event brings to the shelf and the refrigerator, or why it may not. */
export type JarsStored =
  | { readonly kind: 'stored'; readonly lots: readonly JarLot[]; readonly movements: readonly Movement[] }
  | { readonly kind: 'fault'; readonly fault: Fault };

type Storing = Extract<KitchenEvent, { type: 'seal-checked' | 'kept-cold' }>;

/** Whether an event says where jars stand from now on. */
export function movesJars(event: KitchenEvent): event is Storing {
  return event.type === 'seal-checked' || event.type === 'kept-cold';
}

/**
 * The jars of a load whose lids were pressed, or that is kept cold: where they go. The one place where page and server get it
 * from, so that neither shows a jar that the other does not have.
 *
 * @param ground.events all that was told of loads, this event among them or not
 * @param ground.curve what was read in the load's canner, where something was
 * @returns undefined for an event that moves no jars
 */
export function jarsStored(
  event: KitchenEvent,
  own: LoadOfBatch,
  ground: {
    readonly batches: readonly Batch[];
    readonly events: readonly KitchenEvent[];
    readonly curve?: LoadCurve | undefined;
    readonly recipes: readonly OwnRecipe[];
  },
): JarsStored | undefined {
  if (!movesJars(event)) return undefined;
  const { batch, load } = own;
  const { batches, recipes, curve } = ground;
  const told = toldOf(load, batches, ground.events).filter(({ id }) => id !== event.id);
  const isCheck = event.type === 'seal-checked';
  const fault = isCheck ? sealCheckFault(event, own, { batches, told, curve }) : keptColdFault(own, batches, told);
  if (fault) return { kind: 'fault', fault };
  const { lots, movements } = isCheck
    ? sealCheck(batch, loadNow(batch, load, batches, told).state, event)
    : coldLot(batch, load, event, recipes);
  return { kind: 'stored', lots, movements };
}
