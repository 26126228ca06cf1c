import { type Card } from '../../handbook/cards/card';
import { CROP_NAMES } from '../../handbook/crops';
import { ownProductId } from '../../handbook/ownIds';
import { type OwnPages } from '../../handbook/ownPages';
import { type ProductRow } from '../../handbook/products';
import { type StepRow } from '../../handbook/steps';
import { cardOfPage } from './cardOfPage';
import { foodClass } from './foodClass';
import { mainLineOf } from './mainLineOf';
import { type RecipePage } from './recipePage';

/** Where a page without a tested source is from. */
export const OUR_OWN = 'our own recipe';

type Sourced = RecipePage & {
  readonly source?: { readonly title: string; readonly page: string };
  readonly archived?: true;
};

/** "Preserving at home, p. 31, the household's own"; without a source "our own recipe". */
export function fromWords({ source }: Pick<Sourced, 'source'>): string {
  return source ? `${source.title}, p. ${source.page}, the household's own` : OUR_OWN;
}

/**
 * A household's recipes as pages beside the handbook.
 *
 * @param pages every page there ever was of a recipe that is made of, the older ones for the batches planned by them
 */
export function ownPagesOf(pages: readonly Sourced[]): OwnPages {
  const products: ProductRow[] = [];
  const cards = new Map<string, readonly Card[]>();
  const cardById = new Map<string, Card>();
  const steps = new Map<string, StepRow>();
  const newest = new Map<string, Sourced>();
  for (const page of pages) {
    const known = newest.get(page.id);
    if (!known || known.revision < page.revision) newest.set(page.id, page);
    for (const made of cardsOfPage(page)) {
      cardById.set(made.card.card, made.card);
      for (const [entry, row] of made.steps) steps.set(entry, row);
    }
  }
  for (const page of newest.values()) {
    const own = cardsOfPage(page).map(({ card }) => cardById.get(card.card) ?? card);
    // Its name stays for what was made by it.
    products.push(productOf(page, own));
    cards.set(ownProductId(page.id), isOffered(page) ? own : []);
  }
  return { products, cards, cardById, steps };
}

/** Half done, or put away, it is made nothing of. */
function isOffered({ draft, archived }: Sourced): boolean {
  return !draft && !archived;
}

function cardsOfPage(page: Sourced) {
  const from = fromWords(page);
  return page.fillings.length === 0
    ? [cardOfPage(page, from)]
    : page.fillings.map((filling) => cardOfPage(page, from, filling));
}

function productOf(page: Sourced, cards: readonly Card[]): ProductRow {
  const judged = cards.map((card) => foodClass(card));
  // Of several fillings the one that keeps least speaks for all.
  const shortest = judged.reduce<(typeof judged)[number] | undefined>(
    (least, each) => (least && least.coldDays[0] <= each.coldDays[0] ? least : each),
    undefined,
  );
  const productClass = shortest?.productClass ?? 'low-acid';
  const crops = !isOffered(page) ? [] : [...new Set(cards.flatMap((card) => mainLineOf(card)?.crops ?? []))];
  return {
    product: ownProductId(page.id),
    name: page.name === '' ? 'A recipe of our own' : page.name,
    otherNames: otherNamesOf(page),
    crops: crops.map((crop) => [crop]),
    form: formOf(cards[0]),
    productClass,
    process: 'own',
    hasQuantity: false,
    hasFormula: true,
    sequence: (cards[0]?.steps ?? []).map(({ step }) => step),
    // What is set by boiling or pectin is never doubled. Handbook rule 14.
    mayDouble: productClass !== 'spread',
    lowTemperatureBath: false,
    readyAfterDays: Math.min(page.readyDays[0], 365),
  };
}

/** Every word a cook may look for it by: its fillings, what goes in, its note. */
function otherNamesOf({ fillings, lines, note = '' }: RecipePage): string[] {
  const crops = lines.flatMap((line) => line.crops.map((crop) => CROP_NAMES[crop]));
  return [...new Set([...fillings.map(({ name }) => name), ...lines.map(({ item }) => item), ...crops, note])].filter(
    Boolean,
  );
}

/** How the food is cut, for what covers it and for what is like it. */
function formOf(card: Card | undefined): string {
  const names = (card?.steps ?? []).map(({ step }) => step);
  if (names.some((step) => /drip|strain|measure-juice|press-juice/.test(step))) return 'juice';
  if (names.some((step) => /crush|mill|puree/.test(step))) return 'crushed';
  if (names.some((step) => /shred/.test(step))) return 'shredded';
  if (names.some((step) => /chop/.test(step))) return 'chopped';
  if (names.some((step) => /slice/.test(step))) return 'sliced';
  return 'whole';
}
