import { isIntoJars } from './intoJars';
import { stepRowNamed } from '../handbook/steps';

/** What the steps that were begun have made of the fruit in a pot: no card goes on from it that begins with another form. */
export interface PotForm {
  /** In small pieces. */
  readonly cut: boolean;
  /** Heated until it is soft. */
  readonly softened: boolean;
  /** Through the mill: no pieces any more. */
  readonly milled: boolean;
  /** Only its juice is left. */
  readonly dripped: boolean;
  /** Boiled down. */
  readonly reduced: boolean;
}

const CUT = /^(chop|slice|cut|shred|crush-measure|stem-crush|grate)/;
const SOFTENED = /^(crush-heat|cook-soft|simmer-|boil-\d|boil-in-)/;
const MILLED = /^(food-mill|puree)/;
const DRIPPED = /^(drip-|squeeze-juice)/;
const JUICE_ENDS = /^(drip-|squeeze-juice|settle-|strain)/;
const REDUCED = /^(cook-down|boil-to-set)/;
/** What a thorough peeling has done besides; and thawed is thawed. */
const STANDS_FOR: Readonly<Record<string, readonly string[]>> = {
  ...{ 'peel-core': ['core'], 'scald-peel': ['peel'] },
  ...{ 'thaw-counter': ['thaw-cold'], 'thaw-cold': ['thaw-counter'] },
};

/** Steps in a household's own words, by what they do to the fruit; the first that fits counts. */
const IN_OWN_WORDS: readonly [RegExp, string][] = [
  [/\b(cook|boil|simmer)(s|ed|ing)?\b.*\bdown\b|\breduc|\bthicken/i, 'cook-down'],
  [/\bmill\b|\bsieve|\bpur[ée]e|\bblend/i, 'food-mill'],
  [/\bdrip|\bjelly bag|\bsqueeze/i, 'drip-'],
  [/\b(fill|pack|ladle)\b.*\bjars?\b/i, 'fill'],
  [/\b(cook|boil|simmer|heat|bake|roast|stew)/i, 'simmer-'],
  [/\b(chop|slice|cut|dice|mash|crush|grate)/i, 'chop'],
  [/\b(stir|mix|add|sugar|season|salt|wait|stand|wash|rinse|peel)/i, 'mix'],
];

/** A step by what it does to the fruit; undefined for one in own words that say nothing of it. */
function kindOf(entry: string): string | undefined {
  if (!entry.startsWith('own:')) return entry;
  const words = stepRowNamed(entry)?.words ?? '';
  return IN_OWN_WORDS.find(([said]) => said.test(words))?.[1];
}

/**
 * The form of what is in a pot.
 *
 * @param begun entries of its card's steps that were begun, or are over
 * @returns undefined once it goes into jars, and where a step in own words does not say what it does
 */
export function potForm(begun: readonly string[]): PotForm | undefined {
  const kinds = begun.map(kindOf);
  const any = (of: RegExp) => kinds.some((kind) => kind !== undefined && of.test(kind));
  if (kinds.some((kind) => kind === undefined || isIntoJars(kind))) return undefined;
  return {
    ...{ cut: any(CUT), softened: any(SOFTENED), milled: any(MILLED) },
    ...{ dripped: any(DRIPPED), reduced: any(REDUCED) },
  };
}

/**
 * The steps of another card that what was done already stands for. What is soft goes through its mill, what is milled goes on
 * behind it, juice behind the last of its straining; a step that both cards have is its own.
 *
 * @param entries steps of the other card, in its order
 * @param begun steps of the first card that were begun, or are over
 * @returns undefined where the other card does not go on from that form. Common practice.
 */
export function standsFor(entries: readonly string[], begun: readonly string[]): string[] | undefined {
  const form = potForm(begun);
  if (!form) return undefined;
  const shared = (entry: string) => begun.includes(entry);
  const before = (end: number) => entries.slice(0, end).filter((entry) => !shared(entry));
  const last = (of: RegExp) => entries.findLastIndex((entry) => of.test(entry));
  const [mill, drip] = [last(MILLED), last(DRIPPED)];
  if (form.dripped) return drip < 0 ? undefined : before(last(JUICE_ENDS) + 1);
  if (form.milled) return mill < 0 || drip >= 0 ? undefined : before(mill + 1);
  if (form.softened || form.reduced) {
    // Pieces stay pieces only where both cards heat them in the same way, up to here.
    const same = begun
      .filter((entry) => SOFTENED.test(entry) || CUT.test(entry))
      .every((entry) => entries.includes(entry));
    if (mill >= 0 && drip < 0) return before(mill);
    return same && drip < 0 ? [] : undefined;
  }
  if (form.cut) {
    // Nothing is peeled or pitted any more: the mill takes out what is left of that, where there is one.
    const next = entries.findIndex((entry) => [CUT, SOFTENED, MILLED].some((of) => of.test(entry)));
    const board = before(Math.max(0, next));
    if (next < 0 || (mill < 0 && board.length > 0)) return undefined;
    return board;
  }
  const done = begun.flatMap((entry) => STANDS_FOR[entry] ?? []);
  return entries.filter((entry) => done.includes(entry));
}
