import { type Batch, isCanned } from '../day/batch';
import { type Fault } from '../day/fault';
import { type LoadOfBatch } from '../day/sharedLoad';
import { type KitchenEvent } from './kitchenEvent';
import { type LoadCurve } from './loadCurve';
import { loadNow } from './loadNow';
import { loadState } from './loadState';
import { notForShelf } from './notForShelf';

const SHELF_WORDS = {
  unseen: 'A probe began the clock of this load and nobody has said that it boiled: its jars go to no shelf.',
  short: 'The probe read under the boil within the tested time of this load: its jars go to no shelf unasked.',
} as const;

/**
 * What keeps the lids of a load from being told: they are those of jars that came out of it, once; and no sealed jar goes to the
 * shelf of a load whose boil nobody saw, or whose curve fell short and was not looked at.
 *
 * @param told what was told of it before
 * @param curve what was read in its canner, where something was
 */
export function sealCheckFault(
  event: Extract<KitchenEvent, { type: 'seal-checked' }>,
  { batch, load }: LoadOfBatch,
  { batches, told, curve }: { batches: readonly Batch[]; told: readonly KitchenEvent[]; curve?: LoadCurve | undefined },
): Fault | undefined {
  const { order, state } = loadNow(batch, load, batches, told);
  const held = notForShelf(order, state, curve);
  if (held && event.sealed.some(Boolean) && !(held.kind === 'short' && event.curveSeen))
    return { code: `boil-${held.kind}`, sentence: SHELF_WORDS[held.kind] };
  if (loadState(order, [...told, event]).phase === 'checked' && state.phase !== 'checked') return undefined;
  const sentence =
    state.phase === 'cooling'
      ? `${state.jars} jars came out of this load, not ${event.sealed.length}.`
      : 'This load has no jars to check now.';
  return { code: 'seal-check', sentence };
}

/** What keeps jars from being put into the cold: they are there already, or they go into a canner. */
export function keptColdFault(
  { batch, load }: LoadOfBatch,
  batches: readonly Batch[],
  told: readonly KitchenEvent[],
): Fault | undefined {
  if (loadNow(batch, load, batches, told).state.phase === 'planned' && !isCanned(batch)) return undefined;
  return { code: 'kept-cold', sentence: 'These jars are put away already, or they go into a canner.' };
}
