import { type Card, type CardLine } from '../handbook/cards/card';
import { productRow } from '../handbook/products';
import { KG_PER_LB, ML_PER_CUP, ML_PER_TSP } from '../measure/amount';
import { type ChangeId, type ChangeVerdict, mayChange } from './change';
import { quartsPerBatch, quartsPerPot } from './cardColumns';
import { isProduce, mainLine } from './cardCrops';
import { balancesOf, type Balance } from './cardBalances';
import { type WrittenLine } from './ingredientLine';
import { type Share } from './openedUp';
import { scaleOf } from './sharedScale';
import { untestedPreparation } from './preparation';

/** A written batch held against a card. */
export interface Comparison {
  /** How much of the card it is: 0.5 for half of it. Undefined where no two lines agree. */
  readonly scale?: number;
  /** Each names its line; empty when it is the card, at any size up to one batch. */
  readonly verdicts: readonly ChangeVerdict[];
  /** Lines of the card that are found in the batch. */
  readonly alike: number;
}

/** Kitchen measures are not laboratory ones: this much off counts as the same. */
const SLACK = 0.03;

/** Against foam, in the whole pot. Handbook rule 17. */
const MOST_BUTTER_ML = 0.5 * ML_PER_TSP;

/** A spice is taken by the spoon: above half a cup a batch it is an ingredient. Common practice. */
const MOST_SPICE_ML = ML_PER_CUP / 2;
const MOST_SPICE_KG = 0.1 * KG_PER_LB;

/**
 * Holds a batch, line by line, against a card. The size of the batch is what most of its lines agree on; a line that is off
 * from it is named, with the reason. What handbook rule 17 does not allow is never.
 *
 * Source: handbook rules 2, 3, 8, 14 and 17.
 */
export function compareCards(card: Card, written: readonly WrittenLine[]): Comparison {
  const product = productRow(card.product);
  // Waters say little of the size of a batch before it is known which are poured off.
  const dry = scaleOf(
    balancesOf(
      card,
      written.filter(({ role }) => role !== 'water'),
    ).balances,
  );
  const { balances, loose } = balancesOf(card, written, dry ? (dry.low + dry.high) / 2 : 1);
  const scale = scaleOf(balances);
  const verdicts: ChangeVerdict[] = [];
  const say = (change: ChangeId, line?: string, tested?: string, about?: string) => {
    const verdict = mayChange(product, change);
    verdicts.push({
      ...verdict,
      ...(about !== undefined && {
        reason: `${about}: ${verdict.reason.charAt(0).toLowerCase()}${verdict.reason.slice(1)}`,
      }),
      ...(line !== undefined && { line }),
      ...(tested !== undefined && { tested }),
    });
  };
  for (const line of loose) forLoose(line, scale, card, say);
  for (const balance of balances) {
    forPreparation(balance, card, say);
    if (balance.kind === 'vinegar') forVinegars(balance, say);
    if (balance.kind === 'lemon') forLemon(balance, say);
    if (scale) forProportion(balance, scale, card, say);
  }
  const isMeasured = balances.some(({ tested, free }) => !free && tested.some(({ amount }) => amount.of !== 'words'));
  if (!scale && isMeasured && written.length > 0) say('other-proportion');
  // Under a covering liquid it is the food that says how many batches there are.
  const size = balances.find(({ isMain, apart }) => isMain && apart)?.share ?? scale;
  if (size && !product.mayDouble && size.low > mostInAPot(card) * (1 + SLACK)) say('doubled');
  const alike = balances.filter(({ lines }) => lines.length > 0).length;
  return { ...(scale && { scale: (scale.low + scale.high) / 2 }), verdicts, alike };
}

/** Batches of a card, or of a column of it, that one pot may hold. */
function mostInAPot(card: Card): number {
  const batch = quartsPerBatch(card);
  return batch ? (quartsPerPot(card) ?? batch.high) / batch.high : 1;
}

type Say = (change: ChangeId, line?: string, tested?: string, about?: string) => void;

/** A line that the card does not have. */
function forLoose(line: WrittenLine, scale: Share | undefined, card: Card, say: Say): void {
  const { role, food, amount, text } = line;
  if (line.unread !== undefined) return say('unread', text, undefined, `“${line.unread}”`);
  // Food without a formula is itself, with what is to taste.
  const { hasFormula } = productRow(card.product);
  if (!hasFormula && (role === 'water' || role === 'salt' || role === 'sugar')) return;
  const times = Math.max(1, scale?.high ?? 1);
  switch (role) {
    case 'low-acid':
      return say('more-low-acid', text);
    case 'water':
      return say('more-water', text);
    case 'thickener':
      return say('thickener', text);
    case 'oil':
      return say(
        isButter(food) && amount?.of === 'ml' && amount.high <= MOST_BUTTER_ML * (1 + SLACK) ? 'butter' : 'oil',
        text,
      );
    case 'pectin':
      return say('other-pectin', text);
    case 'vinegar':
      if (isHomeMade(food)) return say('home-made-vinegar', text);
      if ((percentOf(food) ?? 5) < 5) return say('weaker-vinegar', text);
      return say(acidsOf(card).length === 0 ? 'new-ingredient' : 'more-acid', text);
    case 'lemon':
      return say(isFresh(food) ? 'fresh-lemon' : 'more-acid', text);
    case 'citric-acid':
      return say('more-acid', text);
    case 'salt':
      return say('more-salt', text);
    case 'sugar':
      return say('more-sugar', text);
    case 'ice':
    case 'firming':
      return undefined;
    case 'other':
      return /ascorbic|colou?ring/.test(food) ? undefined : say('new-ingredient', text);
    case 'spice':
      return say(isMoreThanSpice(line, times) ? 'new-ingredient' : 'dry-spices', text);
    default:
      return say('new-ingredient', text);
  }
}

function acidsOf({ ingredients }: Card): readonly CardLine[] {
  return ingredients.filter(({ role }) => role === 'vinegar' || role === 'lemon' || role === 'citric-acid');
}

function isMoreThanSpice({ amount }: WrittenLine, times: number): boolean {
  if (!amount || amount.of === 'pieces') return false;
  return amount.high > (amount.of === 'kg' ? MOST_SPICE_KG : MOST_SPICE_ML) * times;
}

function forPreparation({ lines }: Balance, card: Card, say: Say): void {
  for (const { written, line } of lines) {
    if (!isProduce(line)) continue;
    const way = untestedPreparation(written.text.toLowerCase(), line, card);
    if (way !== undefined)
      say('other-preparation', written.text, line.item, `${way.charAt(0).toUpperCase()}${way.slice(1)}`);
  }
}

/** Kinds and strengths; how much of it there is, is told by its proportion. */
function forVinegars({ lines, tested }: Balance, say: Say): void {
  const kinds = new Set<string>();
  for (const { written } of lines) {
    const { food, text } = written;
    const percent = percentOf(text);
    if (isHomeMade(text.toLowerCase())) say('home-made-vinegar', text);
    else if (percent !== undefined && percent < 5) say('weaker-vinegar', text);
    else if (percent !== undefined && percent > 5) say('stronger-vinegar', text, tested[0]?.item);
    const kind = kindOfVinegar(food);
    const asked = tested.map(({ item }) => kindOfVinegar(item)).find((each) => each !== '');
    const isOther = kind !== '' && asked !== undefined && kind !== asked;
    if (isOther || (kinds.size > 0 && !kinds.has(kind))) say('other-vinegar', text, tested[0]?.item);
    kinds.add(kind);
  }
}

function forLemon({ lines, tested }: Balance, say: Say): void {
  const isTaste = tested.every(({ optional }) => optional);
  for (const { written } of lines)
    if (isFresh(written.food) && !isTaste) say('fresh-lemon', written.text, tested[0]?.item);
}

function percentOf(text: string): number | undefined {
  const percent = /(\d+(?:\.\d+)?)\s*(?:%|percent|per cent)/.exec(text);
  return percent ? Number(percent[1]) : undefined;
}

function isHomeMade(food: string): boolean {
  return /home.?made|my own vinegar|own vinegar/.test(food);
}

function isFresh(food: string): boolean {
  return /fresh|squeezed|juice of/.test(food);
}

function isButter(food: string): boolean {
  return /\bbutter\b/.test(food);
}

function kindOfVinegar(food: string): string {
  return (
    /cider|white|wine|malt|rice|distilled|balsamic/.exec(food.toLowerCase())?.[0].replace('distilled', 'white') ?? ''
  );
}

/** How much of it there is, against the size of the batch. */
function forProportion(balance: Balance, scale: Share, card: Card, say: Say): void {
  const { kind, tested, lines, share } = balance;
  const item = tested[0]?.item;
  // What is fished out again is in no jar.
  if (tested.every(({ then, role }) => then === 'taken-out' && role === 'low-acid')) return;
  if (lines.length === 0) return forMissing(balance, card, say);
  // Salt and sugar that a page leaves to taste; what fills the jar under its liquid.
  if (balance.apart || (balance.free && TASTE.has(kind))) return swappedApart(balance, say);
  if (!share) {
    const first = lines[0]?.written;
    if (isCounted(kind) && first && first.amount === undefined && !balance.free)
      say('unread', first.text, item, 'No amount');
    return;
  }
  const above = share.low > scale.high * (1 + SLACK);
  const below = share.high < scale.low * (1 - SLACK);
  if (kind === 'low-acid' && balance.free && below) return;
  if (!above && !below) return swapped(balance, scale, say);
  const named = worst(balance, scale, above)?.written.text;
  const change = changeOf(kind, above, balance, card);
  if (
    change === 'oil' &&
    lines.every(({ written }) => isButter(written.food)) &&
    totalMl(balance) <= MOST_BUTTER_ML * (1 + SLACK)
  ) {
    return say('butter', named, item);
  }
  if (change !== undefined) say(change, named, item);
}

const TASTE: ReadonlySet<Balance['kind']> = new Set(['sugar', 'salt', 'water', 'spice', 'other']);

function totalMl({ lines }: Balance): number {
  return lines.reduce((sum, { written: { amount } }) => sum + (amount?.of === 'ml' ? amount.high : 0), 0);
}

function isCounted(kind: Balance['kind']): boolean {
  return kind !== 'spice' && kind !== 'other';
}

/** Another pepper under a covering liquid: their total is what fits into the jar. */
function swappedApart({ kind, lines, apart }: Balance, say: Say): void {
  if (kind !== 'peppers' || !apart) return;
  const off = lines.find(({ written, line }) => !written.crops.some((crop) => line.crops.includes(crop)));
  if (off) say('swap-peppers', off.written.text, off.line.item);
}

/** One pepper more and another less, at the same total. */
function swapped({ kind, lines }: Balance, scale: Share, say: Say): void {
  if (kind !== 'peppers') return;
  const isOther = ({ written, line, share }: Balance['lines'][number]) =>
    !written.crops.some((crop) => line.crops.includes(crop)) ||
    (share !== undefined && share.low > scale.high * (1 + SLACK));
  const off = lines.find(isOther);
  if (off) say('swap-peppers', off.written.text, off.line.item);
}

function changeOf(kind: Balance['kind'], above: boolean, { tested }: Balance, card: Card): ChangeId | undefined {
  switch (kind) {
    case 'vinegar':
    case 'lemon':
    case 'citric-acid':
      return above ? 'more-acid' : 'less-acid';
    case 'low-acid':
    case 'peppers':
      return above ? 'more-low-acid' : 'less-low-acid';
    case 'acid-food':
      // More of it thins the acid that is added; less of it leaves more vegetables to each pound.
      return above && tested.includes(mainLine(card) as CardLine) && acidsOf(card).some(({ then }) => then === 'jar')
        ? 'less-acid'
        : 'other-proportion';
    case 'water':
      return above ? 'more-water' : undefined;
    case 'thickener':
      return above ? 'thickener' : 'other-proportion';
    case 'oil':
      return above ? 'oil' : undefined;
    case 'pectin':
      return 'other-pectin';
    case 'sugar':
      return above ? 'more-sugar' : 'less-sugar';
    case 'salt':
      return above ? 'more-salt' : 'less-salt';
    case 'other':
      return above ? 'other-proportion' : undefined;
    case 'spice':
      return undefined;
  }
}

/** What the card has and the batch has not. */
function forMissing({ kind, tested, free }: Balance, card: Card, say: Say): void {
  const item = tested[0]?.item;
  if (free || item === undefined) return;
  switch (kind) {
    case 'vinegar':
    case 'lemon':
    case 'citric-acid':
      return say('less-acid', undefined, item);
    case 'acid-food':
      return say('other-proportion', undefined, item);
    case 'low-acid':
    case 'peppers':
      return say(tested.includes(mainLine(card) as CardLine) ? 'other-proportion' : 'less-low-acid', undefined, item);
    case 'pectin':
      return say('other-pectin', undefined, item);
    case 'sugar':
      return say('less-sugar', undefined, item);
    case 'salt':
      return say('less-salt', undefined, item);
    case 'thickener':
      return say('other-proportion', undefined, item);
    default:
      return undefined;
  }
}

/** The line that is furthest off. */
function worst({ lines }: Balance, scale: Share, above: boolean): Balance['lines'][number] | undefined {
  const off = (each: Balance['lines'][number]) => {
    if (!each.share) return 0;
    return above ? each.share.low / scale.high : scale.low / Math.max(1e-9, each.share.high);
  };
  return [...lines].sort((a, b) => off(b) - off(a))[0];
}

/** Whether a batch is still the tested card: nothing that is never. */
export function neverIn(changes: readonly ChangeVerdict[]): ChangeVerdict | undefined {
  return changes.find(({ verdict }) => verdict === 'never');
}
