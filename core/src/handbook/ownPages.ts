import { type Card } from './cards/card';
import { ownCards } from './cards';
import { forgetPages } from './laidBeside';
import { ownProducts, type ProductRow } from './products';
import { ownSteps, type StepRow } from './steps';

/** What a household's own recipes are where the handbook has a table: rows of products, cards and steps. */
export interface OwnPages {
  /** One product a recipe, as its newest page says. */
  readonly products: readonly ProductRow[];
  /** The cards that may be made now, by product: of several fillings one each. */
  readonly cards: ReadonlyMap<string, readonly Card[]>;
  /** Every card by its id, older pages of a recipe too: a batch keeps the page it was planned by. */
  readonly cardById: ReadonlyMap<string, Card>;
  readonly steps: ReadonlyMap<string, StepRow>;
}

export const NO_OWN_PAGES: OwnPages = { products: [], cards: new Map(), cardById: new Map(), steps: new Map() };

let laid: OwnPages = NO_OWN_PAGES;

/**
 * Lays a household's own pages beside the handbook, so that whoever looks a product, a card or a step up finds them there.
 * They take the place of those that lay there: a process computes for one household at a time. Whoever begins to compute
 * lays them: the server with a request, the page with its state, a worker with its question.
 */
export function layOwnPages(pages: OwnPages): void {
  if (pages === laid) return;
  laid = pages;
  ownProducts.lay(new Map(pages.products.map((row) => [row.product, row])));
  ownCards.lay({ of: pages.cards, byId: pages.cardById });
  ownSteps.lay(pages.steps);
  forgetPages();
}
