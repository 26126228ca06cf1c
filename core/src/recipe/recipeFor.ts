import { type Card, type CardLine } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { formsOf } from '../handbook/forms';
import { type JarCount, type JarSize, quartsPerJar } from '../handbook/jars';
import { productRow } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { upToEighthCup } from '../measure/cookMeasure';
import { type Range } from '../math/range';
import { columnFor, quartsOfJars, quartsPerBatch, quartsPerPot } from './cardColumns';
import { isProduce, mainLine } from './cardCrops';
import { batchesToMake, coveringLines, coveringMl, likelyCoveringMl } from './covering';
import { dosePerJar } from './dosePerJar';
import { endOf, kitchenMeasure, type Measure, sumOf, timesOf } from './kitchenMeasure';
import { potsFor, setsByTheBox } from './pots';
import { type RecipeStep, stepsFor } from './recipeSteps';

/** One line of a recipe, worked out for the jars there are. */
export interface AmountLine {
  readonly line: CardLine;
  /** In all pots together, or in all jars. */
  readonly all: Measure;
  /** In each pot; undefined for what goes in jar by jar, and for a covering liquid. */
  readonly each?: Measure;
  readonly perJar?: readonly { readonly jar: JarSize; readonly dose: Measure }[];
  /** What may be taken instead: the rest of its group, each as it would be measured. */
  readonly instead: readonly AmountLine[];
}

export interface Covering {
  readonly lines: readonly AmountLine[];
  readonly makeMl: number;
  readonly likelyMl: Range;
}

/** What goes into the pot, at which step, how much: one answer for everything that asks. */
export interface RecipeAmounts {
  /** The card, or the column of it, that the jars go by. */
  readonly card: Card;
  readonly jars: readonly JarCount[];
  /** Pots side by side. */
  readonly pots: number;
  /** Of the card, in each pot. */
  readonly factor: number;
  /** In the order of the card; of a group the line taken. */
  readonly lines: readonly AmountLine[];
  readonly steps: readonly RecipeStep[];
  readonly covering?: Covering;
}

export interface RecipeQuestion {
  readonly jars: readonly JarCount[];
  /**
   * Batches of the card that the produce at hand makes, by crop, as `yields` reckons them. The main crop goes in whole;
   * of any other no more than the card wants and no more than there is. Without the main crop the jars decide.
   */
  readonly batches?: ReadonlyMap<CropId, number>;
  /** The main crop was measured: all of it goes in as it is, whatever a kitchen's measures would round it to. */
  readonly measured?: boolean;
  /** Pots, where they are laid down already: as for the loads of a batch. */
  readonly pots?: number;
  /** The line taken of each group; the first where nothing is said. */
  readonly taken?: Readonly<Record<string, string>>;
  /** The tested minutes: jars are boiled where they are under 10. */
  readonly processMinutes?: number;
  /** Part of a jar its covering liquid takes, as learned. */
  readonly learnedLiquid?: Range;
}

/**
 * The amounts of a recipe for jars, or for the produce that goes in: the one place they are worked out.
 *
 * In what cooks together acid follows the larger of two claims, of the jars and of the produce that really goes into the
 * pot, rounded up to a measure a kitchen has. A covering liquid keeps its own proportions. What is poured off is in no pot.
 *
 * Source: the card; handbook rules 2, 3, 14 and 17.
 *
 * @throws RangeError for no jars at all
 */
export function recipeFor(asked: Card, question: RecipeQuestion): RecipeAmounts {
  const { jars, measured = false, taken = {}, processMinutes, learnedLiquid } = question;
  const quarts = quartsOfJars(jars);
  if (!(quarts > 0)) throw new RangeError('a recipe is made for at least one jar');
  const card = columnFor(asked, jars);
  const size = sizeOf(card, quarts, question);
  const covered = coveringLines(card);
  const worked = new Map<CardLine, AmountLine>();
  const plain = (line: CardLine, each: Measure): AmountLine => ({
    line,
    each,
    all: timesOf(each, size.pots),
    instead: [],
  });
  for (const line of card.ingredients) {
    if (line.then === 'per-jar') worked.set(line, dosesOf(line, jars));
    else if (!covered.includes(line) && !isAcid(line)) {
      worked.set(line, plain(line, eachPot(line, card, size, question)));
    }
  }
  const produce = produceTimes([...worked.values()]);
  // The produce as it is weighed out, not as it was meant: a measure rounded down asks for no more acid.
  const inPot = measured || produce.length === 0 ? [...produce, size.factor] : produce;
  const acidTimes = Math.max(size.byJars, ...inPot);
  for (const line of card.ingredients) {
    if (!worked.has(line) && !covered.includes(line)) {
      worked.set(line, plain(line, kitchenMeasure(line.role, line.amount, acidTimes)));
    }
  }
  const covering = coveringOf(card, covered, jars, learnedLiquid);
  for (const each of covering?.lines ?? []) worked.set(each.line, each);
  return {
    card,
    jars,
    pots: size.pots,
    factor: size.factor,
    lines: ofGroups(card, worked, taken),
    steps: stepsFor(card, { ...(processMinutes !== undefined && { processMinutes }) }),
    ...(covering && { covering }),
  };
}

interface Size {
  readonly pots: number;
  /** Of the card in each pot, by what goes in. */
  readonly factor: number;
  /** The claim of the jars, in each pot. */
  readonly byJars: number;
}

/** How many pots, and how much of the card in each. */
function sizeOf(card: Card, quarts: number, { batches, pots: laidDown }: RecipeQuestion): Size {
  const perBatch = quartsPerBatch(card) ?? CROCK;
  const most = quartsPerPot(card) ?? perBatch.high;
  const atMost = Math.max(1, Math.ceil(quarts / most - 1e-6));
  if (setsByTheBox(card)) return { pots: laidDown ?? atMost, factor: 1, byJars: 1 };
  const given = mainLine(card)
    ?.crops.map((crop) => batches?.get(crop))
    .find((each) => each !== undefined);
  const { mayDouble } = productRow(card.product);
  const pots = laidDown ?? (mayDouble ? 1 : given === undefined ? atMost : potsFor(card, given).pots);
  const claim = quarts / perBatch.mid / pots;
  const factor = given === undefined ? claim : given / pots;
  // Jars within the page's own range are one batch of it, and a pot that may not be doubled holds no more.
  const byJars = mayDouble ? claim : Math.min(claim, Math.max(most / perBatch.high, given === undefined ? 0 : factor));
  return { pots, factor: given === undefined ? byJars : factor, byJars };
}

/** A crock's gallon fills as much glass as it holds: no page says how many jars. Common practice. */
const CROCK = { low: 4, mid: 4, high: 4 } as const;

function isAcid({ role, then }: CardLine): boolean {
  return (role === 'vinegar' || role === 'lemon' || role === 'citric-acid') && then !== 'drained';
}

/** One line in each pot. */
function eachPot(line: CardLine, card: Card, { pots, factor }: Size, { jars, batches }: RecipeQuestion): Measure {
  const { role, amount } = line;
  const isMain = line === mainLine(card);
  if (line.perPot) return kitchenMeasure(role, amount, 1);
  if (line.perQuartOf === 'jars') return kitchenMeasure(role, amount, quartsOfJars(jars) / pots);
  if (line.perQuartOf === 'fruit') return kitchenMeasure(role, amount, quartsOfFruit(card) * factor);
  if (line.into === SYRUP && amount.of === 'ml') return syrupOfCard(line, jars);
  if (line.for9Pints && (batches === undefined || !isMain))
    return kitchenMeasure(role, byTheLoad(line, jars), 1 / pots);
  if (!isProduce(line) || batches === undefined || amount.of === 'words') return kitchenMeasure(role, amount, factor);
  // What is picked goes in whole: of a page's range the end that yields reckon with.
  if (isMain) return kitchenMeasure(role, amount, (factor * amount.high) / endOf(role, amount));
  const there = line.crops.flatMap((crop) => batches.get(crop) ?? []);
  const most = there.length === 0 ? factor : Math.min(factor, Math.max(...there) / pots);
  return most > 0 ? kitchenMeasure(role, amount, most) : { of: amount.of, value: 0, unit: amount.unit };
}

const SYRUP = 'syrup';

/** Syrup is made for the jars, as the table of syrups makes it: over is no harm, short stops the filling. */
function syrupOfCard(line: CardLine, jars: readonly JarCount[]): Measure {
  const all = byTheLoad(line, jars);
  return all.of === 'words' ? all : { of: all.of, value: upToEighthCup(all.high), unit: all.unit };
}

/** What a page prints for 7 quarts and for 9 pints: jars up to a pint go by the pints. */
function byTheLoad({ amount, for9Pints }: CardLine, jars: readonly JarCount[]): CardLine['amount'] {
  if (amount.of === 'words' || !for9Pints) return amount;
  const quarts = (small: boolean) => quartsOfJars(jars.filter(({ jar }) => quartsPerJar(jar) <= 1 / 2 === small));
  const all = (amount.high * quarts(false)) / 7 + (for9Pints.high * quarts(true)) / (9 / 2);
  return { ...amount, low: all, high: all };
}

/** Quarts of the fruit, cut, in one batch; a quart each where no page weighs it. */
function quartsOfFruit(card: Card): number {
  const main = mainLine(card);
  const cupsPerLb = main && formsOf(main.crops[0] ?? '')[0]?.cupsPerLb;
  return main?.amount.of === 'kg' && cupsPerLb !== undefined ? ((main.amount.high / KG_PER_LB) * cupsPerLb) / 4 : 1;
}

/** How many times the card's own each produce really is in the pot: acid follows the most. */
function produceTimes(lines: readonly AmountLine[]): number[] {
  return lines.flatMap(({ line, each }) => {
    const { amount, then, role } = line;
    if (!isProduce(line) || then !== 'jar' || !each || each.of === 'words' || amount.of === 'words') return [];
    if (each.of === 'pieces') return [];
    return [each.value / endOf(role, amount)];
  });
}

function dosesOf(line: CardLine, jars: readonly JarCount[]): AmountLine {
  const perJar = jars.flatMap(({ jar, count }) => {
    const dose = dosePerJar(line, jar);
    return dose ? [{ jar, dose, count }] : [];
  });
  const all = perJar.map(({ dose, count }) => timesOf(dose, count)).reduce(sumOf);
  return { line, all, perJar: perJar.map(({ jar, dose }) => ({ jar, dose })), instead: [] };
}

function coveringOf(
  card: Card,
  lines: readonly CardLine[],
  jars: readonly JarCount[],
  learned?: Range,
): Covering | undefined {
  if (lines.length === 0) return undefined;
  const likelyMl = likelyCoveringMl(card, jars, learned);
  const batches = batchesToMake(lines, likelyMl.p90);
  return {
    // Exactly in proportion: what is tested is the mix, not how much of it there is.
    lines: lines.map((line) => ({ line, all: exactly(line, batches), instead: [] })),
    makeMl: coveringMl(lines) * batches,
    likelyMl,
  };
}

function exactly({ amount }: CardLine, batches: number): Measure {
  if (amount.of === 'words') return amount;
  const { of, unit, high, word } = amount;
  return { of, value: high * batches, unit, ...(word !== undefined && { word }) };
}

/** The lines in the card's order, of each group the one that is taken, the others beside it. */
function ofGroups(
  { ingredients }: Card,
  worked: ReadonlyMap<CardLine, AmountLine>,
  taken: Readonly<Record<string, string>>,
): AmountLine[] {
  const done = new Set<string>();
  return ingredients.flatMap((line): AmountLine[] => {
    const { oneOf } = line;
    const own = worked.get(line);
    if (!own) throw new RangeError(`line ${JSON.stringify(line.item)} was not worked out`);
    if (oneOf === undefined) return [own];
    if (done.has(oneOf)) return [];
    done.add(oneOf);
    const group = ingredients.filter((other) => other.oneOf === oneOf).flatMap((other) => worked.get(other) ?? []);
    const chosen = group.find((other) => other.line.item === taken[oneOf]) ?? own;
    return [{ ...chosen, instead: group.filter((other) => other !== chosen) }];
  });
}
