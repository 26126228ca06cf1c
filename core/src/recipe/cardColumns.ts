import { type Card } from '../handbook/cards/card';
import { cardsOf } from '../handbook/cards';
import { type JarCount, JARS, quartsPerJar } from '../handbook/jars';

/** Quarts that jars of any sizes hold together. */
export function quartsOfJars(jars: readonly JarCount[]): number {
  return jars.reduce((sum, { jar, count }) => sum + count * quartsPerJar(jar), 0);
}

/** Quarts that one batch of a card fills, as printed; undefined where no yield is published. */
export function quartsPerBatch({
  yields,
}: Card): { readonly low: number; readonly high: number; readonly mid: number } | undefined {
  if (!yields) return undefined;
  const each = quartsPerJar(yields.jar);
  return { low: yields.low * each, high: yields.high * each, mid: ((yields.low + yields.high) / 2) * each };
}

/** Cards printed in columns for one recipe: the second column holds from so many quarts on, or for this jar. */
const COLUMNS: readonly { readonly small: string; readonly large: string; readonly fromQuarts?: number }[] = [
  { small: 'apple-pie-filling/one-quart', large: 'apple-pie-filling/seven-quarts', fromQuarts: 7 },
  { small: 'pickled-asparagus/twelve-ounce', large: 'pickled-asparagus/pint' },
];

/**
 * The column of a card that jars go by: where a page prints one quart and seven, one quart below seven; where it prints two
 * jars, the one that is the nearest below. A card without columns is its own.
 */
export function columnFor(card: Card, jars: readonly JarCount[]): Card {
  const columns = COLUMNS.find(
    ({ small, large }) => card.card === large || (card.card === small && large !== APPLE_SEVEN),
  );
  if (!columns) return card;
  const byId = (id: string) => cardsOf(card.product).find((other) => other.card === id) ?? card;
  if (columns.fromQuarts !== undefined) {
    return byId(quartsOfJars(jars) < columns.fromQuarts - 1e-9 ? columns.small : columns.large);
  }
  const isSmall = jars.length > 0 && jars.every(({ jar }) => JARS[jar].nominalFlOz < JARS.pint.nominalFlOz);
  return byId(isSmall ? columns.small : columns.large);
}

/** Quarts that one pot of a recipe may hold: of columns, what the largest prints. */
export function quartsPerPot(card: Card): number | undefined {
  const columns = COLUMNS.find(({ small, fromQuarts }) => card.card === small && fromQuarts !== undefined);
  const large = columns && cardsOf(card.product).find((other) => other.card === columns.large);
  return quartsPerBatch(large ?? card)?.high;
}

/** Asked by its own id, the one-quart column stays: it has more acid. */
const APPLE_SEVEN = 'apple-pie-filling/seven-quarts';

/** The cards of a product to choose between: of columns only the large one. */
export function recipesOf(product: Card['product']): readonly Card[] {
  const small = new Set(COLUMNS.map((columns) => columns.small));
  return cardsOf(product).filter(({ card }) => !small.has(card));
}
