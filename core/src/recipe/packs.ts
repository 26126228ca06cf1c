import { type Pack } from '../handbook/boilingWater';
import { type Card, type CardInstead, type CardStep } from '../handbook/cards/card';

/** What a card's page does for its other pack: which steps go, and what is done in their place, before the jars are closed. */
interface OtherPack {
  readonly pack: Pack;
  readonly isOut: (step: string, of: string) => boolean;
  readonly inPlace: (of: string) => readonly CardStep[];
  /** The step before which that is done; the last of those that a card has. */
  readonly before: readonly string[];
}

/** By the word that a card has for it. Source: USDA Complete Guide to Home Canning, 2015, guides 2 to 6, as the cards have it. */
const PACKS: Readonly<Record<string, OtherPack>> = {
  'raw-pack': {
    pack: 'raw',
    // What was heated does not stand hot either.
    isOut: (step, of) => step === of || (step.startsWith('stand-') && /^(boil|simmer)-/.test(of)),
    // Kraut is covered with its own juice.
    inPlace: (of) => (of === 'reheat' ? [{ step: 'raw-pack' }] : [{ step: 'raw-pack' }, { step: 'top-up' }]),
    before: ['fill'],
  },
  'hot-pack-boil-5': {
    pack: 'hot',
    isOut: (step) => step === 'raw-pack' || step === 'top-up',
    inPlace: () => [{ step: 'boil-5', minutes: [5, 5] }],
    before: ['fill', 'acid'],
  },
  'hot-pack': {
    pack: 'hot',
    isOut: (step) => step === 'raw-pack' || step === 'hot-brine',
    inPlace: () => [{ step: 'reheat' }],
    before: ['fill'],
  },
};

/** The pack that a card's own steps make. */
export function packOf({ steps }: Pick<Card, 'steps'>): Pack {
  return steps.some(({ step }) => step === 'raw-pack') ? 'raw' : 'hot';
}

/** The other pack that a card's page allows, and what it says of it; undefined where it has one only. */
export function otherPackOf(card: Card): { readonly pack: Pack; readonly note: string } | undefined {
  const other = otherIn(card);
  return other && { pack: other.way.pack, note: other.instead.note };
}

/**
 * A card with the steps of one of its packs; what went into a step that goes goes into what is done in its place. As it is where that
 * is its own pack, or its page has no other.
 */
export function inPack(card: Card, pack: Pack | undefined): Card {
  const other = otherIn(card);
  if (pack === undefined || pack === packOf(card) || other?.way.pack !== pack) return card;
  const known = PACKED.get(card);
  if (known) return known;
  const { way, instead } = other;
  const gone = new Set(card.steps.flatMap(({ step }) => (way.isOut(step, instead.of) ? [step] : [])));
  const left = card.steps.filter(({ step }) => !gone.has(step));
  const at = left.findIndex(({ step }) => way.before.includes(step));
  const done = way.inPlace(instead.of);
  const [first, last] = [done[0]?.step ?? 'fill', done.at(-1)?.step ?? 'fill'];
  const packed: Card = {
    ...card,
    steps: [...left.slice(0, at), ...done, ...left.slice(at)],
    ingredients: card.ingredients.map((line) =>
      gone.has(line.into) ? { ...line, into: line.role === 'water' ? last : first } : line,
    ),
    instead: card.instead.filter(({ of }) => !gone.has(of)),
  };
  PACKED.set(card, packed);
  return packed;
}

/** A card has one other pack at most, so the same object answers each time. */
const PACKED = new WeakMap<Card, Card>();

function otherIn({ instead }: Card): { readonly way: OtherPack; readonly instead: CardInstead } | undefined {
  for (const each of instead) {
    const way = PACKS[each.may];
    if (way) return { way, instead: each };
  }
  return undefined;
}
