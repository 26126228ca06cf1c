import { type CardAmount, type MeasuredAmount, type PrintedUnit, UNIT_SIZES } from '../../handbook/cards/cardAmount';
import { type Fate, type Role } from '../../handbook/cards/card';
import { type CropId } from '../../handbook/crops';
import { ML_PER_TBSP, ML_PER_TSP } from '../../measure/amount';
import { readIngredientLine, type WrittenAmount, type WrittenLine } from '../ingredientLine';
import { handbookRole } from './handbookRole';
import { type OpenQuestion, type OwnLine } from './recipePage';

/** What was understood of a line, before it is placed in a step. */
export type ReadLine = Omit<OwnLine, 'id' | 'into' | 'filling'>;

/** A line of a page as it stands in the book: "4 c cider vinegar (5 %)", "1/2 cup salt, for soaking", "dill heads, 1 each jar". */
export function readCardLine(typed: string): ReadLine {
  const text = typed.trim().replace(/\s+/g, ' ');
  const plain = mended(text);
  const isBag = BAGS.test(plain);
  const [first, other] = orElse(plain);
  const asAmount = isBag ? bagAsAmount(plain) : amountFirst(first);
  const asRead = readIngredientLine(asAmount);
  const [item, ownPrep] = nameOf(asRead, first);
  const plainPrep = [ownPrep, other].filter(Boolean).join(', ') || undefined;
  const written = inOil(asRead, item);
  // "Garlic in oil": what it lies in is no part of its name, and never lost.
  const prep =
    written === asRead || /\boil/i.test(plainPrep ?? '') ? plainPrep : [plainPrep, 'in oil'].filter(Boolean).join(', ');
  const crops = cropsOf(written, item);
  const role = roleOf(written, item, crops);
  const then = fateOf(plain, role);
  const [amount, about] = amountsOf(written, asAmount);
  const isUnmeasured = (isBag && !/\(/.test(plain)) || (!isBag && BASKETS.test(plain));
  const open = isUnmeasured ? 'amount' : openQuestion({ plain, written, role, then, amount, item });
  const as = CUT.exec(`${written.food} ${prep ?? ''}`)?.[0].toLowerCase();
  return {
    text,
    item,
    amount,
    ...(about && { about }),
    role,
    crops,
    ...(as !== undefined && { as }),
    ...(prep !== undefined && { prep }),
    ...((written.optional || IF_WISHED.test(plain)) && { optional: true as const }),
    then,
    ...(role === 'vinegar' && isWeak(plain) && { weak: true as const }),
    ...(open && { open }),
  };
}

/** "Peppers, charred in oil" are peppers: that oil is on them is read from what is done to them. */
function inOil(written: WrittenLine, item: string): WrittenLine {
  if (written.role !== 'oil' || /\boil\b|butter|lard|margarine|ghee|shortening|\bfat\b/i.test(item)) return written;
  return { ...readIngredientLine(item), ...(written.amount && { amount: written.amount }), optional: written.optional };
}

const CUT =
  /\b(?:finely chopped|chopped|thinly sliced|sliced|diced|shredded|grated|crushed|mashed|peeled|pitted|cubed|halved|quartered|whole|juice)\b/i;

const IF_WISHED = /\bif (?:wished|desired|liked|you (?:like|wish))\b|\boptional\b/i;
/** How large a bag is says nothing of how much is in it. */
const BAGS =
  /^(?:\d+(?: to \d+)? (?:gallon|quart|pint)[ -](?:size |sized )?(?:freezer |zip )?bags?\b|(?:1|a|one) (?:can|tin|jar|bag|carton)\b)(?: of)?/i;
/** What produce is picked or bought in: how much is in it nobody knows until it is told. */
const BASKETS =
  /^(?:[\d¼½¾ /-]+|an? |half an? |one )\s*(?:\([^)]*\) ?)?(?:pecks?|bushels?|flats?|crates?|baskets?|buckets?|lugs?|punnets?|trays?|cans?|tins?|jars?|bags?|cartons?)\b/i;

/** Spellings that cookery has and the reader of batches does not: "2 c." and "1 # cukes" are known to it, these are not. */
function mended(text: string): string {
  return (
    text
      // Emoji and list marks say nothing of the amount.
      .replace(/[\p{Extended_Pictographic}\u{FE0F}\u{200D}☐□▢✓]/gu, '')
      .replace(/^[\s\-–—*•·]+/, '')
      .replace(/\bbeetroots?\b/gi, 'beets')
      .replace(/\bcukes?\b/gi, 'cucumbers')
      .replace(/\btoms?\b(?!a)/gi, 'tomatoes')
      .replace(/\bvin\.(?=\s|$)/gi, 'vinegar')
      .replace(/\bc\.(?=\s)/g, 'c')
      .replace(/\bT\.(?=\s)/g, 'T')
      .replace(/\bt\.(?=\s)/g, 't')
      .replace(/^(\d+) dozen\b/i, (_, count: string) => String(12 * Number(count)))
      .replace(/^a (?:good )?(?:handful|bunch) of /i, 'some ')
      .replace(/^(?:the )?juice of (\S+) lemons?\b.*/i, '$1 lemons, juiced')
      .replace(/^(\d[\d /]*|[½¼¾])[- ]?inch(?:es)?[- ](?:piece|knob|length)s?(?: of)? /i, '1 piece ')
      .replace(/^(\d+) or (\d+)(?= )/, '$1-$2')
      .replace(/(\d) ?(½|¼|¾|⅓|⅔|⅛)/g, '$1 $2')
      .trim()
  );
}

/** "2 gallon bags berries (about 8 cups)" is eight cups of berries; without brackets nobody knows how many. */
function bagAsAmount(plain: string): string {
  const told = /\((?:about |ca\.? |approx\.? )?([^)]*\d[^)]*)\)/.exec(plain)?.[1];
  const food = plain
    .replace(BAGS, '')
    .replace(/\([^)]*\)/, '')
    .trim();
  return told === undefined ? food : `${told} ${food}`;
}

/** "1/2 cup lemon juice or 1 tsp citric acid": the first is taken, the other stands beside it. */
function orElse(plain: string): [first: string, other: string | undefined] {
  const found = /^(.*[a-z]{3}.*?),? (or [\d¼½¾⅓⅔⅛][\d /¼½¾⅓⅔⅛]* ?[a-z]+\.? .+)$/i.exec(plain);
  const hasFood = found !== null && readIngredientLine(found[1] ?? '').food !== '';
  return hasFood ? [found[1] ?? plain, found[2]] : [plain, undefined];
}

/** "Salt (1 tsp per quart)": an amount that stands only in the brackets. */
function amountFirst(plain: string): string {
  const [, food = '', amount = '', rest = ''] =
    /^([^(\d]+)\((?:about )?(\d[\d /¼½¾.-]* ?[a-z]+)((?: (?:per|for|each|in) [^)]*)?)\)/i.exec(plain) ?? [];
  if (amount === '' || readIngredientLine(plain).amount) return plain;
  return `${amount} ${food.trim()}${rest}`;
}

/** What a line is called, without what is done to it: "4 cups onions, sliced thin" is onions, sliced thin. */
function nameOf({ food }: WrittenLine, plain: string): [item: string, prep: string | undefined] {
  const parts = food.split(/,|;| - /).map((part) => part.trim());
  // "peeled, chopped peaches": what is done may stand before what it is done to.
  const named = Math.max(
    0,
    parts.findIndex((part) => part.replace(DONE_BEFORE, '') !== '' && !DONE_ALONE.test(part)),
  );
  const first = (parts[named] ?? food).replace(QUALITY, '');
  const before = first.slice(0, first.length - first.replace(DONE_BEFORE, '').length).trim();
  const item = first
    .replace(DONE_BEFORE, '')
    .replace(COUNTED_AS, '')
    .replace(/ (?:for|to|tied|in|per|each|if) .*$/i, '')
    .trim();
  const bracket = /\(([^)]*)\)/.exec(plain)?.[1];
  const told = bracket !== undefined && !/\d/.test(bracket) ? [bracket] : [];
  const prep = [...parts.slice(0, named), before, ...parts.slice(named + 1), ...told].filter(Boolean).join(', ');
  const name = item === '' ? first.trim() || food : item;
  return [name === '' ? plain : name, prep === '' ? undefined : prep];
}

const DONE_WORDS =
  'chopped|sliced|diced|shredded|grated|crushed|mashed|peeled|pitted|cubed|halved|quartered|stemmed|hulled|seeded|trimmed|minced';
const DONE_BEFORE = new RegExp(`^(?:(?:${DONE_WORDS})(?:,| and)? )+`, 'i');
const DONE_ALONE = new RegExp(`^(?:${DONE_WORDS})(?: and (?:${DONE_WORDS}))?$`, 'i');
const QUALITY =
  /^(?:(?:firm,? but ripe|ripe,? but firm|just ripe|very|packed|lightly|finely|thinly|coarsely|freshly|fresh|firm|ripe|medium|large|small|some|several|a pinch|pinch|a few)(?: of)? )*/i;
const COUNTED_AS =
  /^(?:cloves?|heads?|sticks?|sprigs?|ears?|stalks?|slices?|bulbs?|bunch(?:es)?|pkgs?|packages?|packets?|pouch(?:es)?|envelopes?|box(?:es)?) (?:of )?(?=\w)/i;

/** Herbs that flavour; a jar full of them would be low in acid. */
export const HERBS =
  /\b(mint|basil|thyme|rosemary|sage|parsley|cilantro|tarragon|lavender|lemon balm|chives|marjoram)\b/i;

/** A crop's acid is the handbook's; what nobody knows counts as low in acid. */
function roleOf({ role, food }: WrittenLine, item: string, crops: readonly CropId[]): Role {
  if (isHome(food)) return 'other';
  if (LEAF.test(item)) return 'spice';
  if (role === 'water' && /\bwater ?(?:chestnut|cress)/i.test(item)) return 'low-acid';
  if (/^(honey|maple syrup|corn syrup|molasses|brown sugar|caster|jaggery)|\b(honey|syrup|molasses)$/i.test(item))
    return 'sugar';
  const crop = crops[0];
  // Not sour enough for what is tested with others of their kind. Handbook rule 16.
  if (/elder-?berr|\bwhite(?:-flesh(?:ed)?)? (?:peach|nectarine)/i.test(item)) return 'low-acid';
  if ((role === 'acid-food' || role === 'low-acid' || role === 'unknown') && crop !== undefined)
    return handbookRole(crop);
  return role === 'unknown' ? 'low-acid' : role;
}

/** Leaves that keep pickles crisp are none of the fruit they grow by. */
const LEAF = /^(?:fresh )?(?:grape(?:vine)?|cherry|currant|oak|horseradish|raspberry) lea(?:f|ves)\b/i;

/** Wine, spirits, coffee: liquid that is no acid anybody tested. */
function isHome(food: string): boolean {
  return /\b(wine|brandy|rum|vodka|gin|bourbon|sherry|port|whisk(e)?y|beer|kirsch|liqueur|coffee|tea)\b(?!.*vinegar)/i.test(
    food,
  );
}

function cropsOf({ crops, role, food }: WrittenLine, item: string): readonly CropId[] {
  if (LEAF.test(item)) return [];
  const isProduce = role === 'acid-food' || role === 'low-acid' || role === 'unknown';
  if (!isProduce && !/\bdill\b(?! seed| weed)|^ginger/i.test(item)) return [];
  if (/\b(juice|sauce|powder|dried)\b|tomato paste/i.test(food) && !/fresh/i.test(food) && role !== 'low-acid') {
    return /juice/i.test(food) && crops.length > 0 && !/orange|pineapple/.test(food) ? crops.slice(0, 1) : [];
  }
  // One crop, the closest: "cherries" are sour ones only where that is said.
  if (crops.length < 2) return crops;
  if (crops.includes('pepper-hot')) return ['pepper-hot'];
  const named = crops.filter((crop) => food.includes(crop.split('-')[0] ?? crop));
  return (named.length > 0 ? named : crops).slice(0, 3);
}

function fateOf(text: string, role: Role): Fate {
  if (role === 'ice') return 'drained';
  if (/\b(?:for|to) (?:the )?soak|\bsoaking|salt (?:brine|water) (?:for|to) soak|to drain off|for salting/i.test(text))
    return 'drained';
  if (
    /each jar|per jar|a jar\b|per (?:pint|quart|half-pint)|each (?:pint|quart|half-pint)|in(?:to)? (?:the |each )?jars?\b|for (?:the )?jars\b/i.test(
      text,
    )
  ) {
    return 'per-jar';
  }
  if (
    /\bin a (?:spice |muslin |cheesecloth )?bag\b|cheesecloth|take out|remove(?:d)?\b|fish(?:ed)? out|bouquet|tied\b|spice bag|sachet/i.test(
      text,
    )
  ) {
    return 'taken-out';
  }
  return 'jar';
}

interface Read {
  readonly plain: string;
  readonly written: WrittenLine;
  readonly role: Role;
  readonly then: Fate;
  readonly amount: CardAmount;
  readonly item: string;
}

const NO_FIGURE_NEEDED: readonly Role[] = ['salt', 'spice', 'ice', 'water', 'other', 'firming'];

/** The one thing a cook is asked of a line; undefined where it says all there is to know. */
function openQuestion({ plain, written, role, then, amount, item }: Read): OpenQuestion | undefined {
  if (written.role === 'unknown' && written.crops.length === 0 && !isHome(written.food) && role === 'low-acid')
    return 'food';
  if (/^prepared (?:juice|fruit|pulp)/i.test(item)) return 'food';
  if (!/[a-z]/i.test(item)) return 'food';
  // Vinegar and water in one figure: nobody knows how much of it is vinegar.
  if (
    role === 'vinegar' &&
    /\bvinegar\b.*\b(?:and|&|with) (?:\w+ )?(?:water|juice|wine)\b|\bwater (?:and|&) .*vinegar/i.test(item)
  )
    return 'food';
  if (role === 'vinegar' && !isStrong(plain) && !isWeak(plain)) return 'strength';
  if (amount.of !== 'words') return undefined;
  if (/\b(?:to taste|to cover|as needed|as wished)\b/i.test(plain)) return undefined;
  if (then === 'jar' && (role === 'spice' || HERBS.test(plain))) return 'where';
  return NO_FIGURE_NEEDED.includes(role) || then === 'per-jar' ? undefined : 'amount';
}

function isStrong(text: string): boolean {
  return (percentOf(text) ?? 0) >= 5;
}

function percentOf(text: string): number | undefined {
  const said = /(\d+(?:[.,]\d+)?) ?(?:%|percent|per cent)/i.exec(text)?.[1];
  return said === undefined ? undefined : Number(said.replace(',', '.'));
}

function isWeak(text: string): boolean {
  // No page tests with one's own, whatever strength is written; rice vinegar is often 4 %. Handbook rule 3.
  if (/home-?made|\bown vinegar/i.test(text)) return true;
  const said = percentOf(text);
  return said === undefined ? /rice vinegar/i.test(text) : said < 5;
}

function amountsOf({ amount, also }: WrittenLine, text: string): [CardAmount, MeasuredAmount | undefined] {
  if (!amount) {
    const words =
      /^(?:some|a pinch|pinch|a few|several)\b/i.exec(text)?.[0] ?? /to taste|to cover|as needed/i.exec(text)?.[0];
    return [{ of: 'words', words: (words ?? 'some').toLowerCase() }, undefined];
  }
  return [printed(amount, text), also && printed(also, /\(([^)]*)\)/.exec(text)?.[1] ?? '')];
}

const UNIT_WORDS: readonly (readonly [RegExp, PrintedUnit])[] = [
  [/\b(?:cups?|c)\b/i, 'cup'],
  [/\b(?:tablespoons?|tbsps?|tbs?|tblsp)\b/i, 'tbsp'],
  [/\bT\b/, 'tbsp'],
  [/\b(?:teaspoons?|tsps?)\b/i, 'tsp'],
  [/\bt\b/, 'tsp'],
  [/\b(?:pints?|pts?)\b/i, 'pint'],
  [/\b(?:quarts?|qts?)\b/i, 'quart'],
  [/\b(?:gallons?|gals?)\b/i, 'gallon'],
  [/\b(?:ounces?|ozs?)\b/i, 'oz'],
  [/\b(?:pounds?|lbs?)\b|#/i, 'lb'],
];

/** The amount with the measure it was written in; litres and grams go by the nearest of a kitchen's. */
function printed({ of, low, high, word }: WrittenAmount, text: string): MeasuredAmount {
  if (of === 'pieces') {
    const unit = word === 'box' || word === 'pouch' ? word : 'piece';
    return { of, low, high, unit, ...(word !== undefined && unit === 'piece' && { word }) };
  }
  const first = text.replace(/\(.*?\)/g, ' ');
  const unit = UNIT_WORDS.find(([words, name]) => UNIT_SIZES[name].of === of && words.test(first))?.[1];
  return { of, low, high, unit: unit ?? (of === 'kg' ? (high < 0.2 ? 'oz' : 'lb') : bySize(high)) };
}

function bySize(ml: number): PrintedUnit {
  if (ml < ML_PER_TBSP - 1e-6) return ml < ML_PER_TSP / 8 ? 'tsp' : 'tsp';
  return ml < 4 * ML_PER_TBSP - 1e-6 ? 'tbsp' : 'cup';
}
