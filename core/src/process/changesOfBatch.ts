import { cardsOf } from '../handbook/cards';
import { type Card } from '../handbook/cards/card';
import { findProduct } from '../handbook/products';
import { type ChangeVerdict, mayChange } from '../recipe/change';
import { compareCards, type Comparison } from '../recipe/compareCards';
import { readIngredientLine } from '../recipe/ingredientLine';
import { neverOnShelf } from './neverOnShelf';

/** A batch against the nearest card of its product. */
export interface ChangesOfBatch extends Comparison {
  /** Undefined where no card may be offered. */
  readonly card?: Card;
}

/**
 * What a batch, written down as a cook does, changes in the product's recipe, line by line; of several cards the nearest
 * counts, unless one is meant.
 *
 * @param lines one ingredient each: "4 cups 5% vinegar"
 * @param recipe id of the card that is meant
 * @returns nothing for a product the handbook does not have: that is refused for another reason
 */
export function compareBatch(product: string, lines: readonly string[], recipe?: string): ChangesOfBatch {
  const row = findProduct(product);
  if (!row) return { verdicts: [], alike: 0 };
  const written = lines.map(readIngredientLine);
  const cards = cardsOf(row.product).filter(({ card }) => recipe === undefined || card === recipe);
  if (cards.length === 0) return { verdicts: row.hasFormula ? [mayChange(row, 'other-proportion')] : [], alike: 0 };
  const never = lines.flatMap((line): ChangeVerdict[] => {
    const found = neverOnShelf(line);
    return found ? [{ ...mayChange(row, 'new-ingredient'), reason: found.reason, line }] : [];
  });
  const [nearest] = cards
    .map((card) => ({ card, ...compareCards(card, written) }))
    .sort((a, b) => nevers(a.verdicts) - nevers(b.verdicts) || b.alike - a.alike);
  if (!nearest) throw new RangeError(`no card for ${product}`);
  const told = nearest.verdicts.filter(
    ({ line, change }) => !(change === 'new-ingredient' && never.some((each) => each.line === line)),
  );
  return { ...nearest, verdicts: [...never, ...told] };
}

/** The verdicts of {@link compareBatch}. */
export function changesOfBatch(product: string, lines: readonly string[], recipe?: string): readonly ChangeVerdict[] {
  return compareBatch(product, lines, recipe).verdicts;
}

function nevers(changes: readonly ChangeVerdict[]): number {
  return changes.filter(({ verdict }) => verdict === 'never').length;
}
