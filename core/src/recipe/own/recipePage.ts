import { type CardAmount, type MeasuredAmount } from '../../handbook/cards/cardAmount';
import { type Fate, type Role } from '../../handbook/cards/card';
import { type CropId } from '../../handbook/crops';
import { type JarSize } from '../../handbook/jars';

/** What of a line nobody has told yet; until it is, the careful reading holds. */
export const OPEN_QUESTIONS = ['food', 'amount', 'strength', 'where'] as const;
export type OpenQuestion = (typeof OPEN_QUESTIONS)[number];

/** One ingredient of a page of the household's own: what was written, and what was understood of it. */
export interface OwnLine {
  readonly id: string;
  /** As it was typed or pasted. */
  readonly text: string;
  readonly item: string;
  readonly amount: CardAmount;
  /** The same in another measure, in brackets. */
  readonly about?: MeasuredAmount;
  readonly role: Role;
  /** A crop of the handbook; none for what is bought or not known. */
  readonly crops: readonly CropId[];
  /** How it is measured: "chopped". */
  readonly as?: string;
  readonly prep?: string;
  readonly optional?: true;
  /** Id of the step it goes into. */
  readonly into: string;
  readonly then: Fate;
  /** Vinegar of less than 5 %: it counts as water. */
  readonly weak?: true;
  readonly open?: OpenQuestion;
  /** The filling it belongs to, where one covering liquid goes over several. */
  readonly filling?: string;
}

/** What a step holds while it lasts, besides hands; any other word is a tool of the household's own. */
export const OCCUPIES = ['oven', 'burner', 'pot', 'refrigerator', 'slow cooker', 'grill', 'strainer', 'mill'] as const;

export type Minutes = readonly [low: number, high: number];

/** One step of a page of the household's own: one of the handbook's, or one in own words. */
export interface OwnStep {
  readonly id: string;
  /** As it was written, or the handbook's words. */
  readonly text: string;
  /** The handbook's step it is: `simmer-20`; undefined for one in own words. */
  readonly entry?: string;
  /** Hands-on minutes of a batch; of one of the handbook's its own where none stand here. */
  readonly hands?: Minutes;
  /** Minutes that pass by themselves. */
  readonly wait?: Minutes;
  readonly occupies: readonly string[];
  /** Ids of the steps it waits for, where that is not simply the one before; none for what may begin at once. */
  readonly after?: readonly string[];
  readonly optional?: true;
  /** A call within its wait: every so many minutes. */
  readonly remind?: { readonly words: string; readonly everyMinutes: number };
}

/** One of several fillings that a covering liquid goes over, in jars of its own with a name of its own. */
export interface Filling {
  readonly id: string;
  readonly name: string;
  /** Its jars in one batch: its own lines are for so many. */
  readonly jars: number;
  /** Days until it is ready. */
  readonly readyDays: Minutes;
}

/** A recipe as a household has written it down, whatever it may become. */
export interface RecipePage {
  /** UUID. */
  readonly id: string;
  /** Goes up with each change. */
  readonly revision: number;
  readonly name: string;
  /** Half done: kept, and made nothing of. */
  readonly draft: boolean;
  readonly lines: readonly OwnLine[];
  readonly steps: readonly OwnStep[];
  /** What could not be read, as it was pasted. */
  readonly unread: readonly string[];
  readonly yields: { readonly low: number; readonly high: number; readonly jar: JarSize };
  readonly pack: 'hot' | 'raw';
  readonly headspaceIn: number;
  /** What is measured before sugar and jars are worked out, and how much of it one batch gives. */
  readonly measured?: { readonly cups: number; readonly as: string };
  /** At which it is filled, where the page says so. */
  readonly fillF?: number;
  /** Days in the refrigerator until it is ready to eat. */
  readonly readyDays: Minutes;
  readonly fillings: readonly Filling[];
  readonly note?: string;
}
