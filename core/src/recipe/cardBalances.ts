import { type Card, type CardLine, type Role } from '../handbook/cards/card';
import { type MeasuredAmount } from '../handbook/cards/cardAmount';
import { coveringLines } from './covering';
import { dosePerJar } from './dosePerJar';
import { productRow } from '../handbook/products';
import { endOf } from './kitchenMeasure';
import { isProduce, mainLine } from './cardCrops';
import { likeness } from './foodWords';
import { inCardMeasure } from './inCardMeasure';
import { type WrittenLine } from './ingredientLine';
import { openedUp, type Share } from './openedUp';

/** One written line with the card's line it stands for, and how many times that it is. */
interface Matched {
  readonly written: WrittenLine;
  readonly line: CardLine;
  /** In the card's measure, opened up by what rounding leaves open. */
  readonly amount?: Share;
  readonly share?: Share;
}

/**
 * What is weighed together: one vegetable, all peppers, all vinegar, all sugar. Tested lines on one side, written ones on the
 * other.
 */
export interface Balance {
  readonly kind: Exclude<Role, 'ice' | 'firming'> | 'peppers';
  readonly tested: readonly CardLine[];
  readonly lines: readonly Matched[];
  /** Written over tested, all lines together; undefined without figures. */
  readonly share?: Share;
  /** Not missed when it is left out, and no measure of the rest. */
  readonly free: boolean;
  /** Packed into jars that a covering liquid fills: in no proportion to it. */
  readonly apart: boolean;
  readonly isMain: boolean;
}

/**
 * The written lines of a batch, each with the balance it belongs to; `loose` are those the card has nothing for.
 *
 * @param scale the size of the batch, as far as it is known: so much it soaks in
 */
export function balancesOf(
  card: Card,
  written: readonly WrittenLine[],
  scale = 1,
): { readonly balances: Balance[]; readonly loose: WrittenLine[] } {
  const groups = groupsOf(card, written);
  const taken = new Map<Group, Matched[]>(groups.map((group) => [group, []]));
  const loose: WrittenLine[] = [];
  const poured = soaksIn(written, card, scale);
  for (const line of written) {
    if (line.role === 'ice' || line.role === 'firming') continue;
    if (poured.has(line)) continue;
    const found = bestGroup(line, groups);
    if (!found) {
      loose.push(line);
      continue;
    }
    taken.get(found.group)?.push({ written: line, line: found.line, ...measured(line, found.line, card) });
  }
  const main = mainLine(card);
  const balances = groups.map(({ kind, lines, free, apart }): Balance => {
    const own = taken.get(groups.find((group) => group.lines === lines) as Group) ?? [];
    const share = totalShare(own, lines, card);
    return {
      kind,
      tested: lines,
      lines: own,
      ...(share && { share }),
      free,
      apart,
      isMain: main !== undefined && lines.includes(main),
    };
  });
  return { balances, loose };
}

interface Group {
  readonly kind: Balance['kind'];
  readonly lines: readonly CardLine[];
  readonly free: boolean;
  readonly apart: boolean;
}

/** Roles that are poured or stirred together: their lines count as one. */
const POOLED: readonly Role[] = [
  'vinegar',
  'lemon',
  'citric-acid',
  'water',
  'sugar',
  'salt',
  'oil',
  'pectin',
  'thickener',
];

function groupsOf(card: Card, written: readonly WrittenLine[]): Group[] {
  const counted = card.ingredients.filter(
    ({ then, role }) => (then !== 'drained' || role === 'salt') && role !== 'ice' && role !== 'firming',
  );
  const perJar = card.yields !== undefined;
  const isPlain = !productRow(card.product).hasFormula;
  const covering = new Set(coveringLines(card));
  // What is packed under a covering liquid fills the jar: the liquid's own proportions are what was tested.
  const isApart = (lines: readonly CardLine[]) => covering.size > 0 && lines.every((line) => !covering.has(line));
  const groups: Group[] = [];
  for (const role of POOLED) {
    const lines = counted.filter((line) => line.role === role && (role !== 'water' || line.inside === undefined));
    if (lines.length === 0) continue;
    const soak = lines.filter(({ then }) => then === 'drained');
    // Salt told once is the soak's and the brine's together.
    if (soak.length > 0 && soak.length < lines.length && isToldApart(written, role)) {
      groups.push({ kind: 'salt', lines: soak, free: true, apart: covering.size > 0 });
      groups.push({ kind: 'salt', lines: lines.filter(({ then }) => then !== 'drained'), free: false, apart: false });
      continue;
    }
    // Acid by the jar is told jar by jar, sugar and water of a syrup are taste.
    const free = lines.every(
      (line) =>
        isFree(line) ||
        (line.then === 'per-jar' && perJar) ||
        isSyrup(line) ||
        line.perPot === true ||
        (isPlain && TO_TASTE.has(role)),
    );
    groups.push({ kind: role as Balance['kind'], lines, free, apart: isApart(lines) });
  }
  const peppers = counted.filter(
    (line) => isProduce(line) && line.crops.some(isPepper) && line.oneOf === undefined && !isAnyMix(line),
  );
  if (peppers.length > 0)
    groups.push({ kind: 'peppers', lines: peppers, free: peppers.every(isFree), apart: isApart(peppers) });
  const others = counted.filter((line) => !POOLED.includes(line.role) && !peppers.includes(line));
  for (const line of others) {
    if (groups.some((group) => group.lines.includes(line))) continue;
    const group = line.oneOf === undefined ? [line] : others.filter(({ oneOf }) => oneOf === line.oneOf);
    const free = line.role === 'spice' || group.every(isFree);
    groups.push({ kind: line.role as Balance['kind'], lines: group, free, apart: isApart(group) });
  }
  return groups;
}

/** Salt that is told in several lines, or as the soak's or the brine's. */
function isToldApart(written: readonly WrittenLine[], role: Role): boolean {
  const own = written.filter((line) => line.role === role);
  return own.length > 1 || own.some(({ text }) => /soak|brine/i.test(text));
}

/** Of food without a formula, sugar, salt and water are taste. */
const TO_TASTE: ReadonlySet<Role> = new Set(['sugar', 'salt', 'water']);

function isFree({ optional, amount, role, then }: CardLine): boolean {
  return optional === true || amount.of === 'words' || role === 'other' || (role === 'low-acid' && then !== 'jar');
}

function isSyrup({ into }: CardLine): boolean {
  return into === 'syrup';
}

function isPepper(crop: string): boolean {
  return crop === 'pepper-hot' || crop === 'pepper-sweet';
}

/** "Celery, onion, carrot, sweet pepper, any mix". */
function isAnyMix({ crops }: CardLine): boolean {
  return crops.length > 2;
}

/** A soak is told so nearly: further off it is another water. */
const NEAR_SOAK = 0.3;

/**
 * Waters that are poured off: those told as such, and those that are as much as the card soaks in, for a batch of this size.
 * All other water stays with the food.
 */
function soaksIn(written: readonly WrittenLine[], card: Card, scale: number): ReadonlySet<WrittenLine> {
  const waters = written.filter(({ role }) => role === 'water');
  const soaks = card.ingredients.filter(({ then, role }) => then === 'drained' && role === 'water');
  const isInside = card.ingredients.some(({ inside, role }) => inside !== undefined && role === 'water');
  const poured = new Set(
    waters.filter(({ text, amount }) => isInside || amount === undefined || (soaks.length > 0 && TOLD.test(text))),
  );
  // Each that is told as such is one of the card's.
  const open = soaks
    .filter(({ amount }) => amount.of === 'ml')
    .slice(isInside ? 0 : [...poured].filter((line) => line.amount !== undefined).length);
  for (const { amount } of open) {
    if (amount.of !== 'ml') continue;
    const off = (line: WrittenLine) => Math.abs(Math.log((line.amount?.high ?? 0) / (amount.high * scale)));
    const [nearest] = waters
      .filter((line) => !poured.has(line) && !STAYS.test(line.text))
      .sort((a, b) => off(a) - off(b));
    const stays = card.ingredients.filter(({ role, then }) => role === 'water' && then !== 'drained');
    const isOwn = stays.some(
      (kept) =>
        kept.amount.of === 'ml' &&
        nearest &&
        off(nearest) > Math.abs(Math.log((nearest.amount?.high ?? 0) / (kept.amount.high * scale))),
    );
    if (nearest && off(nearest) < NEAR_SOAK && !isOwn) poured.add(nearest);
  }
  return poured;
}

const STAYS = /\bbrine|\bsyrup|\bpot\b/i;
const TOLD = /\bsoak|\bblanch|to cover|for the (ears|beets)|\bcooking\b|\bice\b|\blime\b|\bday \d|rinse/i;

function bestGroup(line: WrittenLine, groups: readonly Group[]): { group: Group; line: CardLine } | undefined {
  const ranked = groups.flatMap((group) =>
    group.lines.map((tested) => ({ group, line: tested, near: nearness(line, tested, group) })),
  );
  const [best] = ranked.sort((a, b) => b.near - a.near);
  return best && best.near > 0 ? best : undefined;
}

/** Near enough to be the same thing: its role, its crop, its words. */
function nearness(written: WrittenLine, tested: CardLine, { kind }: Group): number {
  const alike =
    likeness(written.text.toLowerCase().replace(/[\d/.%]+/g, ' '), tested.item) + likeness(written.food, tested.item);
  if (POOLED.includes(tested.role)) {
    if (written.role !== tested.role) return 0;
    if (tested.role === 'pectin') return isLiquid(written.food) === isLiquid(tested.item) ? 1 : 0;
    if (tested.role === 'thickener') return isSameStarch(written.food, tested.item) ? 1 : 0;
    if (tested.role === 'oil') return /butter/.test(written.food) === /butter/.test(tested.item) ? 1 : 0;
    // Cups of it that a page measures apart are pooled; those alike come first.
    return 1 + alike;
  }
  if (kind === 'peppers') {
    if (!isVegetable(written) || !written.crops.some(isPepper)) return 0;
    return 1 + alike + (written.crops.some((crop) => tested.crops.includes(crop)) ? 1 : 0);
  }
  if (isProduce(tested) && isPressed(written.food) !== isPressed(`${tested.as ?? ''} ${tested.item}`)) return 0;
  const sameCrop = written.crops.some((crop) => tested.crops.includes(crop));
  if (isProduce(tested)) {
    if (!isVegetable(written)) return 0;
    if (tested.state === 'green' && sameCrop) return /green|unripe/.test(written.food) ? 2 + alike : 0;
    if (sameCrop) return /\bgreen tomato/.test(written.food) && tested.role === 'acid-food' ? 0 : 2 + alike;
    if (/\bfruit\b/.test(written.food) && /^fruit\b/.test(tested.item)) return 1;
    // Without a crop it must be called the same: tomato paste is no tomato.
    return tested.crops.length === 0 || (written.crops.length === 0 && alike > 1.5) ? alike : 0;
  }
  // A herb or a root that the card itself takes by the spoon.
  if (tested.role === 'spice')
    return (written.role === 'spice' || sameCrop || alike > 1) && alike > 0 ? alike : sameCrop ? 0.5 : 0;
  return alike;
}

function isVegetable({ role }: WrittenLine): boolean {
  return role === 'low-acid' || role === 'acid-food' || role === 'other';
}

/** Apple juice is no apples, and apples are no juice. */
function isPressed(food: string): boolean {
  return /\bjuice|\bcider\b/.test(food.toLowerCase());
}

function isLiquid(food: string): boolean {
  return /liquid/.test(food.toLowerCase());
}

/** Cook-type starch stands for itself, cornstarch for itself, and neither for any other. */
function isSameStarch(written: string, tested: string): boolean {
  const kind = (food: string) =>
    /instant|flour|arrowroot|tapioca|gelatin|potato|rice|xanthan/.test(food)
      ? 'other'
      : /cook|canning|modified|clear.?gel|thermo|thermal/.test(food)
        ? 'cook'
        : /corn.?starch|corn.?flour/.test(food)
          ? 'corn'
          : 'other';
  const [own, printed] = [kind(written.toLowerCase()), kind(tested.toLowerCase())];
  return own === printed && own !== 'other';
}

function measured(written: WrittenLine, line: CardLine, card: Card): Pick<Matched, 'amount' | 'share'> {
  const own = inCardMeasure(written, line);
  const tested = batchAmount(line, card);
  if (!own || !tested || tested.of !== own.of) return {};
  const amount = { low: openedUp(line.role, own.of, own.low).low, high: openedUp(line.role, own.of, own.high).high };
  const least = endOf(line.role, tested);
  return { amount, share: { low: amount.low / tested.high, high: amount.high / (least > 0 ? least : tested.high) } };
}

/** What a whole batch takes of a line: of a dose, all the jars that the page fills. */
function batchAmount(line: CardLine, { yields }: Card): MeasuredAmount | undefined {
  const { amount, inAll, perJar } = line;
  if (inAll && inAll.of !== 'words') return inAll;
  if (perJar && yields) {
    const dose = dosePerJar(line, yields.jar);
    const per = perJar[yields.jar];
    if (per && per.of !== 'words') return { ...per, low: per.low * yields.low, high: per.high * yields.high };
    return dose && dose.of !== 'words'
      ? { of: dose.of, unit: dose.unit, low: dose.value * yields.low, high: dose.value * yields.high }
      : undefined;
  }
  return amount.of === 'words' ? undefined : amount;
}

/** All written of it over all tested; what is left out of a pool of several counts as none. */
function totalShare(own: readonly Matched[], tested: readonly CardLine[], card: Card): Share | undefined {
  const counted = own.filter(({ amount }) => amount !== undefined);
  const [first] = counted;
  if (!first) return undefined;
  // Of a group one is taken: celery and pepper together are at most the one.
  if (first.line.oneOf !== undefined) {
    return {
      low: sum(counted.map(({ share }) => share?.low ?? 0)),
      high: sum(counted.map(({ share }) => share?.high ?? 0)),
    };
  }
  const of = batchAmount(first.line, card)?.of;
  const sizes = tested.flatMap((line) => {
    const amount = batchAmount(line, card);
    return amount && amount.of === of ? [{ low: line.optional ? 0 : endOf(line.role, amount), high: amount.high }] : [];
  });
  const [least, most] = [sum(sizes.map(({ low }) => low)), sum(sizes.map(({ high }) => high))];
  return {
    low: sum(counted.map(({ amount }) => amount?.low ?? 0)) / most,
    // What may be left out is never too little.
    high: least > 0 ? sum(counted.map(({ amount }) => amount?.high ?? 0)) / least : Infinity,
  };
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
