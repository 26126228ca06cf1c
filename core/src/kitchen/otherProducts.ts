import { amountsOfBatch, type BatchAmounts } from '../day/amountsOfBatch';
import { type Batch, isCanned, jarCounts, mainCropOf } from '../day/batch';
import { stepsOfBatch } from '../day/daySequence';
import { type OtherCard } from '../day/madeAs';
import { type DayTask } from '../day/dayProblem';
import { cardsOf, isOffered } from '../handbook/cards';
import { type Card, type CardLine } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { type JarSize } from '../handbook/jars';
import { type ProductClass, PRODUCTS, productRow, type ProductRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { KG_PER_LB, ML_PER_CUP } from '../measure/amount';
import { changesOfBatch } from '../process/changesOfBatch';
import { findProcess, type HouseholdPages, type TestedProcess } from '../process/findProcess';
import { plannedProcess } from '../process/plannedProcess';
import { isProduce, leadsWith, mainLine } from '../recipe/cardCrops';
import { potForm, standsFor } from '../recipe/potForm';
import { outputRule, outputsOf } from '../recipe/potOutputs';
import { recipeName } from '../recipe/recipeName';

/** What a pot may be made into after all. */
export type OtherProduct =
  | {
      readonly kind: 'other';
      readonly name: string;
      readonly card: OtherCard;
      /** By size of jar. */
      readonly minutesOf: ReadonlyMap<JarSize, number>;
    }
  /** It would go on from here, but cannot be or was not tested so: why, as the end of a sentence. */
  | { readonly kind: 'untested'; readonly name: string; readonly reason: string };

/**
 * The products that the pot of a batch may become midway, by their own cards and tested times: made of the same crop, from
 * the form it has by now, in the jars that were planned. What went into the pot is held against the other card as every
 * change of a formula is (rule 17 of the handbook); a card with a formula of its own begins with nothing but the fruit. What
 * was boiled down for a thicker product is processed for no less time than that one. What cannot go on from here is left out.
 *
 * @param batch none of whose loads has gone into a canner
 * @param begun entries of its steps that were begun in any load
 */
export function otherProducts(batch: Batch, begun: readonly string[], pages: HouseholdPages): OtherProduct[] {
  const crop = mainCropOf(batch);
  const form = potForm(begun);
  if (
    !crop ||
    !form ||
    !isOfPots(productRow(batch.product)) ||
    !isCanned(batch) ||
    batch.againOf !== undefined ||
    batch.from
  )
    return [];
  const there = new Set(batch.uses.flatMap((use) => use.crop ?? []));
  const inPot = linesInPot(amountsOfBatch(batch), begun);
  return PRODUCTS.flatMap((row): OtherProduct[] => {
    if (row.product === batch.product || !isOfPots(row)) return [];
    const card = cardsOf(row.product).find((each) => isOffered(each) && isMadeOf(each, crop, there));
    if (!card || !goesOn(batch, card, begun)) return [];
    const name = recipeName({ product: row.product, recipe: card.card, crop });
    const lost = batch.gives?.find((kind) => outputsOf(row.product).every((rule) => rule.kind !== kind));
    if (lost) return [{ kind: 'untested', name, reason: `${outputRule(lost).words} comes off this pot.` }];
    const tested = testedWith(batch, row, card, inPot, pages);
    if (tested === undefined) return [];
    if (typeof tested === 'string') return [{ kind: 'untested', name, reason: tested }];
    const planned = [...tested].map(([jar, each]) => [jar, atLeast(each)] as const);
    if (form.reduced && !reduces(card) && planned.some(([jar, minutes]) => minutes < minutesNow(batch, jar))) {
      const reason = 'it is boiled down already, and thicker than what was tested for so short a time.';
      return [{ kind: 'untested', name, reason }];
    }
    const own = tested.get(batch.jar);
    if (!own) return [];
    const { pressurePsi } = own;
    const common = { product: row.product, recipe: card.card, pack: usualPack(row), processMinutes: atLeast(own) };
    return [
      {
        ...{ kind: 'other', name, minutesOf: new Map(planned) },
        card: { ...common, ...(pressurePsi !== undefined && { pressurePsi }) },
      },
    ];
  });
}

/**
 * The steps of a batch made by another card that are over by what was done for the first one, by the ids of their tasks.
 *
 * @param tasks of the day, with the batch as it is made now
 * @param begunOf entries of the first card's steps that were begun, by load; without one by all of them
 */
export function doneBefore(
  batch: Batch,
  tasks: readonly DayTask[],
  begunOf: (loadId: string | undefined) => readonly string[],
): string[] {
  const entries = stepsOfBatch(batch).map(({ entry }) => entry);
  return tasks.flatMap(({ id, batchId, loadId, entry, kind }) => {
    if (batchId !== batch.id || entry === undefined || kind !== 'prepare') return [];
    return standsFor(entries, begunOf(loadId))?.includes(entry) ? [id] : [];
  });
}

/** Fruit and tomatoes that are cooked; a pickle in its brine or its salt is no other food any more. */
const OF_POTS: readonly ProductClass[] = ['tomato', 'fruit', 'fruit-acidified', 'recipe-acid', 'spread'];

function isOfPots({ productClass }: ProductRow): boolean {
  return OF_POTS.includes(productClass);
}

/** Made of this crop first of all, and of nothing that the batch has not got. */
function isMadeOf(card: Card, crop: CropId, there: ReadonlySet<CropId>): boolean {
  const main = mainLine(card);
  const isThere = (line: CardLine) => line.crops.some((each) => there.has(each));
  return (
    leadsWith(card, crop) &&
    card.ingredients.every((line) => line === main || !isProduce(line) || line.optional || isThere(line))
  );
}

function goesOn(batch: Batch, card: Card, begun: readonly string[]): boolean {
  const entries = stepsOfBatch({ ...batch, product: card.product, recipe: card.card, without: [] });
  return (
    standsFor(
      entries.map(({ entry }) => entry),
      begun,
    ) !== undefined
  );
}

function reduces({ steps }: Card): boolean {
  return potForm(steps.map(({ step }) => step).filter((step) => step.startsWith('cook-down')))?.reduced ?? false;
}

/** The tested time in each jar, the reason why there is none, or undefined for jars or a way nobody tested it in at all. */
function testedWith(
  batch: Batch,
  row: ProductRow,
  card: Card,
  inPot: readonly InPot[],
  pages: HouseholdPages,
): ReadonlyMap<JarSize, TestedProcess> | string | undefined {
  const found = new Map<JarSize, TestedProcess>();
  for (const { jar } of jarCounts(batch)) {
    const question = {
      product: row.product,
      pack: usualPack(row),
      jar,
      method: batch.method,
      altitudeFt: batch.altitudeFt,
    };
    const plain = findProcess(question, pages);
    if (plain.kind === 'refusal') return undefined;
    // The first line is the fruit itself.
    if (row.hasFormula && inPot.length > 1)
      return `it has a formula of its own, and ${others(inPot.slice(1))} is in the pot.`;
    const changes = row.hasFormula
      ? []
      : changesOfBatch(
          row.product,
          inPot.map(({ text }) => text),
          card.card,
        );
    const tested = findProcess(question, pages, changes);
    if (tested.kind === 'refusal') {
      const never = new Set(changes.flatMap(({ verdict, line }) => (verdict === 'never' ? [line] : [])));
      const untested = inPot.filter(({ text }) => never.has(text));
      return `nobody tested it with ${others(untested.length > 0 ? untested : inPot.slice(1))}.`;
    }
    found.set(jar, tested);
  }
  return found;
}

function others(inPot: readonly InPot[]): string {
  return inPot.map(({ item }) => item.replace(/ \d+ ?%$/, '')).join(' and ');
}

/** One ingredient in the pot. */
interface InPot {
  readonly item: string;
  /** As a cook writes it, with its amount. */
  readonly text: string;
}

/** What has gone into the pot by now, the fruit first. */
function linesInPot(amounts: BatchAmounts | undefined, begun: readonly string[]): InPot[] {
  if (!amounts) return [];
  const main = mainLine(amounts.card);
  return amounts.lines
    .filter(({ line }) => line === main || (begun.includes(line.into) && line.then === 'jar' && !line.perJar))
    .sort((a, b) => Number(b.line === main) - Number(a.line === main))
    .map(({ line: { item }, all }): InPot => {
      if (all.of === 'kg') return { item, text: `${rounded(all.value / KG_PER_LB)} lb ${item}` };
      if (all.of === 'ml') return { item, text: `${rounded(all.value / ML_PER_CUP)} cups ${item}` };
      return { item, text: item };
    });
}

function rounded(value: number): number {
  return Math.max(0.25, Math.round(value * 4) / 4);
}

function atLeast(tested: TestedProcess): number {
  return Math.max(plannedProcess(tested).minutes, tested.minutes);
}

function minutesNow(batch: Batch, jar: JarSize): number {
  if (jar === batch.jar) return batch.processMinutes;
  return batch.loads.find(({ size }) => size?.jar === jar)?.size?.processMinutes ?? batch.processMinutes;
}
