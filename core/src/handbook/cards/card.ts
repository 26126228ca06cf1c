import { type CropId } from '../crops';
import { type JarSize } from '../jars';
import { type ProductId } from '../products';
import { type Confidence } from '../source';
import { type CardAmount, type MeasuredAmount } from './cardAmount';

/** What an ingredient does in a recipe; a tested time holds for the balance between these. */
export const ROLES = [
  'vinegar',
  'lemon',
  'citric-acid',
  'water',
  'salt',
  'sugar',
  'thickener',
  'oil',
  'pectin',
  'spice',
  'low-acid',
  'acid-food',
  'ice',
  'firming',
  'other',
] as const;
export type Role = (typeof ROLES)[number];

/**
 * What becomes of an ingredient: it is in the jars, in proportion; it goes into each jar by its dose; it is poured off, and
 * is never in a pot; it is fished out.
 */
export type Fate = 'jar' | 'per-jar' | 'drained' | 'taken-out';

/** Doses by the jar a page names; `any` for the same in every jar. */
export type JarDoses = Partial<Record<JarSize | 'any', CardAmount>>;

/** One line of a recipe card. */
export interface CardLine {
  readonly item: string;
  /** For one batch; of a dose, for the first jar size named. */
  readonly amount: CardAmount;
  readonly role: Role;
  /** The step it goes into. */
  readonly into: string;
  readonly then: Fate;
  /** Any one of these; empty for what is not grown. */
  readonly crops: readonly CropId[];
  /** Picked unripe; without it the crop is ripe. */
  readonly state?: 'green';
  /** How it is measured: "juice", "crushed", "peeled"; as picked where nothing stands. */
  readonly as?: string;
  /** The same amount in another measure, as the page gives it beside: never added to it. */
  readonly about?: MeasuredAmount;
  readonly aboutAs?: string;
  readonly aboutPieces?: MeasuredAmount;
  /** For 9 pints where `amount` is for 7 quarts. */
  readonly for9Pints?: MeasuredAmount;
  readonly perJar?: JarDoses;
  /** Of a dose, what the page says all jars take. */
  readonly inAll?: CardAmount;
  /** `amount` goes to each quart of the fruit, or of the jars filled. */
  readonly perQuartOf?: 'fruit' | 'jars';
  /** The same in every pot, whatever its size. */
  readonly perPot?: true;
  readonly prep?: string;
  readonly note?: string;
  readonly optional?: true;
  /** Of the lines of this group one is taken. */
  readonly oneOf?: string;
  /** Becomes part of a measured juice or syrup: not counted beside it. */
  readonly inside?: string;
}

export interface CardStep {
  readonly step: string;
  /** Of an own recipe: the steps it waits for, where that is not simply the one before; none for what may begin at once. */
  readonly after?: readonly string[];
  /** The crops it works on. */
  readonly of?: readonly string[];
  /** Least and most minutes that it takes by itself. */
  readonly minutes?: readonly [least: number, most: number];
  /** Only where the tested time is under 10 minutes. */
  readonly sterile?: true;
  readonly optional?: true;
}

/** What may be done in place of a step. */
export interface CardInstead {
  readonly of: string;
  readonly may: string;
  readonly note: string;
}

/** A recipe as published: what goes into the pot, at which step, how much, and what comes out. */
export interface Card {
  /** Its id; with a slash where a product has several. */
  readonly card: string;
  readonly product: ProductId;
  /** Of several cards of a product the one meant: "strawberry, powdered pectin"; empty where there is one. */
  readonly kind: string;
  /** Full jars that one batch gives; undefined where none are published. */
  readonly yields?: { readonly low: number; readonly high: number; readonly jar: JarSize };
  /** What is measured before sugar and pectin, where no line is measured so itself. */
  readonly measured?: { readonly amount: MeasuredAmount; readonly as: string };
  readonly ingredients: readonly CardLine[];
  /** In the order done. */
  readonly steps: readonly CardStep[];
  readonly instead: readonly CardInstead[];
  /** `low`: kept, never offered. */
  readonly confidence: Confidence;
  /** What touches safety beyond its amounts, said where it is decided. */
  readonly caution?: string;
  /** Of an own recipe: what it is called, and where it is from. */
  readonly name?: string;
  readonly from?: string;
}

type LineMore = Partial<Omit<CardLine, 'item' | 'amount' | 'role' | 'into'>>;

/** One ingredient as a card's table lists it. */
export function line(item: string, amount: CardAmount, role: Role, into: string, more: LineMore = {}): CardLine {
  return { item, amount, role, into, then: more.perJar ? 'per-jar' : 'jar', crops: [], ...more };
}

type CardMore = Omit<Card, 'kind' | 'steps' | 'instead'> & {
  readonly kind?: string;
  readonly steps: readonly (string | CardStep)[];
  readonly instead?: readonly CardInstead[];
};

/** A card, its plain steps by name alone. */
export function card({ kind = '', steps, instead = [], ...rest }: CardMore): Card {
  return { ...rest, kind, instead, steps: steps.map((step) => (typeof step === 'string' ? { step } : step)) };
}

/** Jams and jellies at 0-1,000 ft. Handbook rule 4. */
export const CLEAN_JARS: CardInstead = {
  of: 'sterilise-jars',
  may: 'clean-jars-10-min',
  note: '5 min in sterile jars or 10 min in clean hot jars at 0-1,000 ft; above, 10 (15) min, clean jars',
};
