import { type Batch, cardOf, cardOfLoad, mainCropOf, ofLoad, type PlannedLoad } from '../day/batch';
import { type Card } from '../handbook/cards/card';
import { type JarSize } from '../handbook/jars';
import { recipeIdOf } from '../handbook/ownIds';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { type OwnRecipe } from '../process/ownRecipe';
import { foodClass } from '../recipe/own/foodClass';
import { type Minutes } from '../recipe/own/recipePage';
import { type JarLot, type Movement } from './jarLot';
import { frozenBestBy } from './keepsUntil';

const DAY_MS = 24 * 60 * 60_000;

/** Cut vegetables are ready in a day to three, whole ones in about a week. Common practice. */
export const READY_DAYS = { cut: [1, 3], whole: [7, 7] } as const satisfies Record<string, Minutes>;

/** What is kept cold instead of being canned, by its class: the shorter end. Handbook rule 10. */
export function coldUseBy(card: Pick<Card, 'ingredients' | 'steps'>, since: number): number {
  return since + foodClass(card).coldDays[0] * DAY_MS;
}

/** The days until a card is ready: of a filling its own, as its page says. */
export function readyDaysOf(card: Card, recipes: readonly OwnRecipe[]): Minutes {
  const [, rest = ''] = card.card.split('@');
  const [revision, filling] = rest.split('/');
  const page = recipes.find(({ id, revision: own }) => id === recipeIdOf(card.card) && String(own) === revision);
  return page?.fillings.find(({ id }) => id === filling)?.readyDays ?? page?.readyDays ?? [0, 0];
}

/** What no card says more of keeps so long in the refrigerator. Common practice. */
const LEAST_COLD_DAYS = 3;

/**
 * Jars of a batch that went into no canner, a part jar or another size: in the refrigerator, and eaten by its days.
 *
 * @param id of the lot
 */
export function besideLot(batch: Batch, jar: JarSize, id: string): JarLot {
  const card = cardOf(batch);
  const crop = mainCropOf(batch);
  return {
    id,
    product: batch.product,
    ...(card && { recipe: card.card }),
    ...(crop && { crop }),
    ...{ jar, place: 'refrigerator', seal: 'cold', madeAt: batch.startAt },
    keepsUntil: card ? coldUseBy(card, batch.startAt) : batch.startAt + LEAST_COLD_DAYS * DAY_MS,
  };
}

/** The jars of a load that is kept cold: where they stand, from when they are ready and by when they are eaten. */
export function coldLot(
  batch: Batch,
  load: PlannedLoad,
  event: Extract<KitchenEvent, { type: 'kept-cold' }>,
  recipes: readonly OwnRecipe[],
): { readonly lots: JarLot[]; readonly movements: Movement[] } {
  const card = cardOfLoad(batch, load);
  const crop = load.recipe === undefined ? mainCropOf(batch) : undefined;
  const { at, jars, lotId, loadId } = event;
  const isFrozen = batch.method === 'freezer';
  const readyDays = card && !isFrozen ? readyDaysOf(card, recipes)[0] : 0;
  const lot: JarLot = {
    id: lotId,
    loadId,
    product: batch.product,
    ...(card && { recipe: card.card }),
    ...(crop && { crop }),
    jar: ofLoad(batch, load).jar,
    place: isFrozen ? 'freezer' : 'refrigerator',
    seal: 'cold',
    madeAt: at,
    ...(readyDays > 0 && { readyAt: at + readyDays * DAY_MS }),
    // What no card says is taken for what keeps least.
    keepsUntil: isFrozen ? frozenBestBy(at) : card ? coldUseBy(card, at) : at + LEAST_COLD_DAYS * DAY_MS,
  };
  return { lots: [lot], movements: [{ id: lotId, lotId, kind: 'stored', jars, at }] };
}
