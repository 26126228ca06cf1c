import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { type Lids } from './hardwareStock';
import { type JarLot } from './jarLot';

/** The lids each lot was closed with, as was told when its load went in; single-use ones where nothing was. */
export function lidsByLoad(events: readonly KitchenEvent[]): (lot: JarLot) => Lids {
  const lids = new Map<string, Lids>();
  for (const event of events) {
    if (event.type === 'load-started' && event.lids !== undefined) lids.set(event.loadId, event.lids);
  }
  return ({ loadId }) => (loadId === undefined ? undefined : lids.get(loadId)) ?? 'single-use';
}
