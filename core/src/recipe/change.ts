import { type ProductRow } from '../handbook/products';

/** What a cook may want to do to a tested formula. */
export const CHANGE_IDS = [
  'other-vinegar',
  'less-salt',
  'less-sugar',
  'more-salt',
  'more-sugar',
  'dry-spices',
  'swap-peppers',
  'less-low-acid',
  'smaller-jar',
  'more-acid',
  'stronger-vinegar',
  'more-low-acid',
  'less-acid',
  'weaker-vinegar',
  'home-made-vinegar',
  'fresh-lemon',
  'more-water',
  'oil',
  'butter',
  'thickener',
  'bigger-jar',
  'merged',
  'doubled',
  'other-pectin',
  'new-ingredient',
  'other-preparation',
  'unread',
  'other-proportion',
] as const;
export type ChangeId = (typeof CHANGE_IDS)[number];

export interface ChangeVerdict {
  readonly change: ChangeId;
  readonly verdict: 'allowed' | 'within-limits' | 'never';
  /** A sentence. */
  readonly reason: string;
  /** The line of the batch that it is about, as it was written; undefined for what is missing from it. */
  readonly line?: string;
  /** The line of the card that it is held against. */
  readonly tested?: string;
}

type Ruling = readonly [ChangeVerdict['verdict'], reason: string];

const ALWAYS: Readonly<
  Record<Exclude<ChangeId, 'less-salt' | 'less-sugar' | 'more-salt' | 'more-sugar' | 'doubled'>, Ruling>
> = {
  'other-vinegar': ['within-limits', 'Another vinegar is fine as long as its label says 5 % acid or more.'],
  'dry-spices': ['allowed', 'Dry spices change the taste, not the acid.'],
  'swap-peppers': ['within-limits', 'One pepper for another is fine as long as their total stays the same.'],
  'less-low-acid': ['allowed', 'Less of a low-acid vegetable leaves more acid for the rest; it makes fewer jars.'],
  'smaller-jar': ['allowed', 'A smaller jar heats through sooner; it takes the time of the tested one.'],
  'more-acid': ['allowed', 'More acid than tested is safe; it can be tasted.'],
  'stronger-vinegar': [
    'within-limits',
    'A stronger vinegar takes the place of a 5 % one by volume: as much of it, never less.',
  ],
  'more-low-acid': ['never', 'More low-acid vegetables use up the acid that keeps botulism out.'],
  'less-acid': ['never', 'Less vinegar or lemon juice than tested may not keep botulism out.'],
  'weaker-vinegar': ['never', 'Vinegar under 5 % is weaker than what was tested.'],
  'home-made-vinegar': ['never', 'Home-made vinegar varies; it is never canning acid, whatever strength it seems.'],
  'fresh-lemon': ['never', 'Fresh lemons vary in strength; only bottled juice counts as canning acid.'],
  'more-water': ['never', 'More water thins the acid below what was tested.'],
  oil: ['never', 'Oil shields what it covers from acid and heat.'],
  butter: ['within-limits', 'Up to half a teaspoon of butter in the pot against foam; more is oil, and oil never.'],
  thickener: [
    'never',
    'Starch, flour or anything else that thickens slows the heat on its way to the middle of the jar, beyond what the card itself has.',
  ],
  'bigger-jar': ['never', 'A bigger jar heats through later than the one that was tested.'],
  merged: ['never', 'Two formulas in one pot are a third one, which nobody tested.'],
  'other-pectin': ['never', 'Kinds of pectin are not interchangeable: each sets with its own sugar and boil.'],
  'other-preparation': [
    'never',
    'Nobody tested it prepared so: heat goes another way through it, or its acid goes with the juice. As printed, or into the freezer.',
  ],
  unread: ['never', 'That is not understood: a time is promised only for a batch of which every line is known.'],
  'new-ingredient': ['never', 'What is not in the formula was not tested in it.'],
  'other-proportion': ['never', 'The time was tested with these proportions and no others.'],
};

/**
 * Handbook rule 17: may a tested formula be changed so? What the rule does not allow is never.
 *
 * Source: handbook rules 3, 8 and 17.
 */
export function mayChange(product: ProductRow, change: ChangeId): ChangeVerdict {
  const [verdict, reason] =
    change === 'less-salt' || change === 'less-sugar'
      ? lessTaste(product, change)
      : change === 'more-salt' || change === 'more-sugar'
        ? moreTaste(product, change)
        : change === 'doubled'
          ? doubled(product)
          : ALWAYS[change];
  return { change, verdict, reason };
}

/** Handbook rule 14, and the table's own word on doubling. */
function doubled({ mayDouble, productClass }: ProductRow): Ruling {
  if (mayDouble) return ['allowed', 'This formula may be doubled.'];
  if (productClass === 'spread')
    return ['never', 'Jelly and jam: one batch at a time, since a doubled one may not set.'];
  return ['within-limits', 'Not doubled in one pot: make two batches side by side.'];
}

function lessTaste({ productClass }: ProductRow, change: 'less-salt' | 'less-sugar'): Ruling {
  const what = change === 'less-salt' ? 'salt' : 'sugar';
  if (productClass === 'pickle') {
    return change === 'less-salt'
      ? ['within-limits', 'In fresh-pack pickles salt is taste; but never less of it in a low-temperature bath.']
      : ['allowed', 'In fresh-pack pickles sugar is taste.'];
  }
  if (productClass === 'ferment' && change === 'less-salt') {
    return ['never', 'In a ferment salt is safety: it lets the right bacteria win.'];
  }
  if (productClass === 'spread') return ['never', `Less ${what} does not set, and the formula was tested as it is.`];
  return ['never', `The formula was tested with its ${what}.`];
}

/** Salt and sugar in fresh-pack pickles are taste: handbook rule 3. Elsewhere a recipe was tested with what it has. */
function moreTaste({ productClass }: ProductRow, change: 'more-salt' | 'more-sugar'): Ruling {
  const what = change === 'more-salt' ? 'salt' : 'sugar';
  return productClass === 'pickle'
    ? ['allowed', `In fresh-pack pickles ${what} is taste.`]
    : ['never', `The recipe was tested with its ${what}, and not with more.`];
}
