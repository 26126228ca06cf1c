import { type Batch, cardOf, mainCropOf, ofLoad } from '../day/batch';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { KEEP_UNSEALED_MS } from '../kitchen/loadClock';
import { type LoadState } from '../kitchen/loadState';
import { type JarLot, type Movement } from './jarLot';
import { bestBy, refrigeratedUseBy } from './keepsUntil';

export interface SealCheckResult {
  readonly lots: JarLot[];
  readonly movements: Movement[];
  readonly sealed: number;
  /** Unsealed jars that are kept in the refrigerator, and those found too late that are thrown away. */
  readonly refrigerated: number;
  readonly discarded: number;
  /** Unsealed jars whose contents go through the canner again. */
  readonly reprocessed: number;
}

/**
 * Where the jars of a checked load go: sealed ones to the shelf, the others to the refrigerator with a use-by, into the
 * canner again where the cook says so, or away when they were found later than 24 h after their process.
 *
 * @param before the load as it stood when its lids were pressed
 * @param event the check, one entry a jar
 */
export function sealCheck(
  batch: Batch,
  before: Pick<LoadState, 'heatOffAt' | 'outAt'>,
  event: Extract<KitchenEvent, { type: 'seal-checked' }>,
): SealCheckResult {
  const madeAt = before.heatOffAt ?? before.outAt ?? event.at;
  const sealed = event.sealed.filter(Boolean).length;
  const unsealed = event.sealed.length - sealed;
  const inTime = mayKeepUnsealed(madeAt, event.at);
  const [recipe, crop] = [cardOf(batch)?.card, mainCropOf(batch)];
  const common = {
    loadId: event.loadId,
    product: batch.product,
    ...(recipe !== undefined && { recipe }),
    ...(crop && { crop }),
    jar: ofLoad(batch, batch.loads.find(({ id }) => id === event.loadId) ?? {}).jar,
    madeAt,
  };
  const again = inTime && event.unsealed === 'reprocess';
  const result = {
    sealed,
    refrigerated: inTime && !again ? unsealed : 0,
    discarded: inTime ? 0 : unsealed,
    reprocessed: again ? unsealed : 0,
  };
  const lots: JarLot[] = [];
  if (sealed > 0)
    lots.push({ ...common, id: event.sealedLotId, place: 'shelf', seal: 'sealed', keepsUntil: bestBy(madeAt) });
  if (result.refrigerated > 0) {
    lots.push({
      ...common,
      id: event.unsealedLotId,
      place: 'refrigerator',
      seal: 'unsealed',
      keepsUntil: refrigeratedUseBy(batch.product, event.at),
    });
  }
  const movements = lots.map((lot): Movement => {
    const jars = lot.seal === 'sealed' ? sealed : unsealed;
    // The first movement of a lot takes the lot's own id, so that a repeated check stores nothing twice.
    return { id: lot.id, lotId: lot.id, kind: 'stored', jars, at: event.at };
  });
  return { ...result, lots, movements };
}

/** Whether an unsealed jar found at `now` may still be refrigerated or processed again. Handbook rule 9. */
export function mayKeepUnsealed(processedAt: number, now: number): boolean {
  return now - processedAt <= KEEP_UNSEALED_MS;
}
