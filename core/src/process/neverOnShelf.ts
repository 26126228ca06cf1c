import { PRODUCTS } from '../handbook/products';
import { type Refusal, refusal } from './refusal';

/** Rule 10: cooked low-acid food, anything in oil, pumpkin and squash butter. */
const COLD_WAYS = ['refrigerator: 3 to 4 days', 'freezer'];

export interface NeverRow {
  readonly name: string;
  readonly otherNames: readonly string[];
  /** What a text must say to mean it. */
  readonly means: RegExp;
  readonly reason: string;
  readonly instead: readonly string[];
}

/**
 * Foods that have no tested way to the shelf, with the way out. Source: handbook rules 10 and 16; USDA Complete Guide to
 * Home Canning, 2015, guides 2, 3 and 4, and the National Center for Home Food Preservation, as recalled.
 */
export const NEVER_ON_SHELF: readonly NeverRow[] = [
  {
    name: 'Pumpkin or squash butter',
    otherNames: [
      'pumpkin butter',
      'squash butter',
      'pumpkin purée',
      'mashed squash',
      'pumpkin pie filling',
      'pumpkin jam',
    ],
    means: /(pumpkin|squash).*(butter|pur[ée]e|mash|jam|filling|preserve)|(pur[ée]ed?|mashed).*(pumpkin|squash)/i,
    reason:
      'Pumpkin and squash butter has no tested time: it is low in acid and thick, and heat does not reach its middle surely.',
    instead: [...COLD_WAYS, 'pumpkin-winter-squash'],
  },
  {
    name: 'White peaches and white nectarines',
    otherNames: ['white-flesh peaches', 'white nectarines', 'donut peaches'],
    means: /white.*(peach|nectarine)|(peach|nectarine)e?s?.*white/i,
    reason: 'White-flesh peaches and nectarines are not acid enough for the times tested with yellow ones.',
    instead: ['freezer', 'peaches', 'nectarines'],
  },
  {
    name: 'Elderberries',
    otherNames: ['elderberry jam', 'elderberry syrup', 'elderberry juice'],
    means: /elder-?berr/i,
    reason: 'Elderberries are not acid enough for the times tested with other berries.',
    instead: ['freezer', 'berries-whole', 'jam-with-pectin'],
  },
  {
    name: 'Tomatoes from dead or frosted vines',
    otherNames: ['frosted tomatoes', 'frost-killed vines', 'dead vines', 'frosted vines'],
    means: /(frost|dead|blight).*(vine|tomato|plant)|(vine|tomato)e?s?.*(frost|dead|blight)/i,
    reason:
      'Tomatoes from dead or frosted vines have lost acid; a dose of lemon juice was not tested to make up for it.',
    instead: ['freezer', 'tomatoes picked before the frost'],
  },
  {
    name: 'Mouldy or rotting produce',
    otherNames: ['mouldy fruit', 'rotten tomatoes', 'moldy'],
    means: /\b(mou?ldy?|rotten|rotting|spoiled|spoilt)\b/i,
    reason: 'Mould and rot take acid away and no tested time allows for them. Soft means ripe and sound.',
    instead: ['sound produce only', 'compost'],
  },
  {
    name: 'Vegetables, herbs or garlic in oil',
    otherNames: ['garlic in oil', 'tomatoes in oil', 'herbs in oil', 'pesto', 'infused oil'],
    means: /\bin (olive |sunflower |herb )?oil\b|\bpesto\b|infused oil|garlic oil|confit/i,
    reason:
      'Oil shuts the air out and shields what is in it from heat: botulism grows there. Nothing in oil is tested, but for one formula of peppers in an acid brine.',
    instead: [...COLD_WAYS, 'marinated-peppers'],
  },
];

/** The row of {@link NEVER_ON_SHELF} that a text means, unless it is the id or name of a tested product. */
export function neverOnShelf(text: string): NeverRow | undefined {
  const asked = text.trim().toLowerCase();
  if (PRODUCTS.some(({ product, name }) => product === asked || name.toLowerCase() === asked)) return undefined;
  return NEVER_ON_SHELF.find(({ means }) => means.test(asked));
}

/**
 * Rows that a search means: by their sense, or by one of their names typed up to its last word. "Jam" alone means none of
 * them, "pumpkin bu" does.
 */
export function searchNever(text: string): NeverRow[] {
  const asked = text.trim().toLowerCase();
  if (asked.length < 3) return [];
  return NEVER_ON_SHELF.filter(
    ({ name, otherNames, means }) =>
      means.test(asked) || [name, ...otherNames].some((known) => isTypedUpToLastWord(asked, known.toLowerCase())),
  );
}

function isTypedUpToLastWord(asked: string, known: string): boolean {
  return known.startsWith(asked) && asked.split(' ').length === known.split(' ').length;
}

/** The refusal of such a food. */
export function neverRefusal({ reason, instead }: NeverRow): Refusal {
  return refusal('never', reason, [...instead]);
}

/** What people do in place of a process, and why it is none. Source: handbook rules 4, 11 and 16. */
const NOT_A_PROCESS: readonly { means: RegExp; reason: string }[] = [
  {
    means: /open.?kettle|hot.?fill|no.?process|without processing|upside|invert|inversion|turn/i,
    reason:
      'Filling hot and closing, or turning the jar over, heats nothing long enough. A lid that pops down proves no safety.',
  },
  {
    means: /oven/i,
    reason: 'An oven heats jars slowly and unevenly and can crack them: it neither processes nor sterilises.',
  },
  { means: /dish.?wash/i, reason: 'A dishwasher keeps jars hot. It neither processes nor sterilises.' },
  {
    means: /multi.?cook|electric.*(pot|cooker)|pressure.?cooker|saucepan/i,
    reason:
      'An electric multi-cooker or a vessel for fewer than 4 quarts heats up and cools too fast: the tested times count on a real pressure canner.',
  },
  { means: /microwave/i, reason: 'A microwave heats unevenly and was never tested.' },
  { means: /sun/i, reason: 'The sun does not heat a jar through.' },
];

/** Why a way of doing without a process is refused; undefined for a text that means none of them. */
export function notAProcess(method: string): string | undefined {
  return NOT_A_PROCESS.find(({ means }) => means.test(method))?.reason;
}
