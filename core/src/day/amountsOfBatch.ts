import { type Card } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { type JarCount } from '../handbook/jars';
import { columnFor, quartsOfJars, quartsPerBatch } from '../recipe/cardColumns';
import { isProduce, mainLine, measuredPart } from '../recipe/cardCrops';
import { timesOf } from '../recipe/kitchenMeasure';
import { setsByTheBox } from '../recipe/pots';
import { type AmountLine, type RecipeAmounts, recipeFor } from '../recipe/recipeFor';
import { learnedLiquid } from '../supplies/learnedLiquid';
import { type BatchRecord } from '../yields/batchRecord';
import { cropCard } from '../yields/cardForCrop';
import { pickedKgPerBatch } from '../yields/pickedKg';
import { type LearnedYields } from '../yields/yieldModel';
import {
  type Batch,
  cardOf,
  cardOfLoad,
  jarCounts,
  jarsOf,
  mainCropOf,
  massKgOf,
  ofLoad,
  type PlannedLoad,
  shareOf,
} from './batch';
import { stepsOfBatch } from './daySequence';

/** What one load of a batch takes: its pots are its own. */
export interface LoadAmounts {
  readonly loadId: string;
  /** The first of its pots among those of the batch, from 1 on; for jam of a pot that fills two loads, 0 new ones. */
  readonly firstPot: number;
  readonly amounts: RecipeAmounts;
}

/** What a planned batch takes, load by load and in all. */
export interface BatchAmounts {
  readonly card: Card;
  readonly loads: readonly LoadAmounts[];
  /** Of all loads together. */
  readonly pots: number;
  readonly lines: readonly AmountLine[];
}

/** The loads that one measure is for: its own, and those after it that are filled from the same pots. */
export function loadsOfGate({ loads }: BatchAmounts, batch: Batch, loadId: string): PlannedLoad[] {
  const from = loads.findIndex((load) => load.loadId === loadId);
  const next = loads.findIndex(({ amounts }, i) => i > from && amounts.pots > 0);
  const ids = loads.slice(Math.max(0, from), next < 0 ? undefined : next).map((load) => load.loadId);
  return batch.loads.filter(({ id }) => ids.includes(id));
}

export interface AmountsGround {
  readonly learned?: LearnedYields;
  readonly records?: readonly BatchRecord[];
  /** What was measured at the gate, for some loads or once for all, in the unit its card is measured in: it holds from then on. */
  readonly measured?: readonly { readonly loadIds?: readonly string[]; readonly amount: number }[];
}

/**
 * The amounts of a planned batch, for the produce it has reserved, or was measured, and the jars of each of its loads. What
 * is made for all loads at once, as a soak, is the sum of theirs, so that whatever is weighed adds up to what was bought.
 *
 * @returns undefined for jars that are only processed again, and where no card may be offered
 */
export function amountsOfBatch(batch: Batch, ground: AmountsGround = {}): BatchAmounts | undefined {
  const { learned, records = [], measured = [] } = ground;
  const own = batch.againOf === undefined ? cardFrom(batch) : undefined;
  const jars = jarsOf(batch);
  if (!own || jars <= 0) return undefined;
  const card = columnFor(withoutLeftOut(own, batch), jarCounts(batch));
  const liquid = learnedLiquid(card, records);
  const whole = batchesOf(batch, card, learned);
  const main = mainCropOf(batch) ?? mainLine(card)?.crops[0];
  let pots = 0;
  const filled: JarCount[] = [];
  const loads = batch.loads.map((load): LoadAmounts => {
    const { jar, processMinutes } = ofLoad(batch, load);
    const share = shareOf(batch, load);
    const parts = new Map([...whole].map(([crop, count]) => [crop, count * share] as const));
    const really = batchesMeasured(batch, card, load, measured);
    if (main !== undefined && really !== undefined) parts.set(main, really);
    filled.push({ jar, count: load.jars });
    const needed = setsByTheBox(card) ? boxesFor(card, filled) - pots : undefined;
    const filling = load.recipe === undefined ? undefined : cardOfLoad(batch, load);
    const amounts = recipeFor(filling ? withoutLeftOut(filling, batch) : card, {
      jars: [{ jar, count: load.jars }],
      // Of several fillings each goes by its jars.
      ...(parts.size > 0 && load.recipe === undefined && { batches: parts }),
      measured: really !== undefined,
      ...(needed !== undefined && { pots: Math.max(1, needed) }),
      processMinutes,
      ...(liquid && { learnedLiquid: liquid }),
    });
    const own = needed === 0 ? { ...amounts, pots: 0, lines: amounts.lines.map(noneOf) } : amounts;
    const first = pots + 1;
    pots += own.pots;
    return { loadId: load.id, firstPot: first, amounts: own };
  });
  return { card, loads, pots, lines: summedUp(loads.map(({ amounts }) => amounts)) };
}

/** Its card; of one that begins with what another pot gave what still goes in. */
function cardFrom(batch: Batch): Card | undefined {
  const card = cardOf(batch);
  if (!card || !batch.from) return card;
  const entries = stepsOfBatch(batch).map(({ entry }) => entry);
  return { ...card, ingredients: card.ingredients.filter(({ into }) => entries.includes(into)) };
}

/** A step that is left out takes nothing: its water and salt are in no list. What is cut there goes on to the jars. */
function withoutLeftOut(card: Card, { without = [] }: Pick<Batch, 'without'>): Card {
  const isOut = (into: string) =>
    card.steps.some(({ step, optional }) => step === into && optional && without.includes(step));
  const left = card.ingredients.filter((line) => isProduce(line) || !isOut(line.into));
  return left.length === card.ingredients.length ? card : { ...card, ingredients: left };
}

/** Batches of the card that were measured for a load, the last time it was: its share of what was measured for several. */
function batchesMeasured(
  { jar, loads }: Batch,
  card: Card,
  load: PlannedLoad,
  measured: NonNullable<AmountsGround['measured']>,
): number | undefined {
  const own = measured.findLast(({ loadIds }) => loadIds === undefined || loadIds.includes(load.id));
  const perBatch = measuredPart(card)?.perBatch;
  if (!own || perBatch === undefined) return undefined;
  const together = loads.filter(({ id }) => own.loadIds === undefined || own.loadIds.includes(id));
  return (own.amount / perBatch) * shareOf({ jar, loads: together }, load);
}

/** Jam that is boiled already fills this load too. */
function noneOf(line: AmountLine): AmountLine {
  return line.perJar ? line : { ...line, all: timesOf(line.all, 0) };
}

/** Whole batches for so many jars, as many as its page says one fills at most. */
function boxesFor(card: Card, jars: readonly JarCount[]): number {
  const perBatch = quartsPerBatch(card)?.high ?? 1;
  return Math.max(1, Math.ceil(quartsOfJars(jars) / perBatch - 1e-6));
}

/** Batches of the card that each crop of a batch makes, as this kitchen trims it. */
function batchesOf(batch: Batch, card: Card, learned?: LearnedYields): ReadonlyMap<CropId, number> {
  const main = mainCropOf(batch);
  const reckoned = cardOf(batch);
  const own = main && reckoned && cropCard(reckoned, main);
  const told = batch.uses.some(({ crop }) => crop !== undefined);
  if (!own || !told) return new Map();
  const parts = new Map<CropId, number>();
  // The card may be the smaller column of the one the produce is reckoned by.
  const column = columnScale(own.card, card);
  parts.set(main, (massKgOf(batch, main) / pickedKgPerBatch(own, learned)) * column);
  const crops = new Set(own.others.flatMap(({ line }) => line.crops));
  for (const crop of crops) {
    const kg = massKgOf(batch, crop);
    const perBatch = own.others
      .filter(({ line }) => line.crops.includes(crop))
      .reduce((sum, { kgPerBatch = 0 }) => sum + kgPerBatch, 0);
    if (kg > 0 && perBatch > 0) parts.set(crop, (kg / perBatch) * column);
  }
  return parts;
}

function columnScale(reckoned: Card, made: Card): number {
  const [a, b] = [quartsPerBatch(reckoned), quartsPerBatch(made)];
  return a && b ? a.mid / b.mid : 1;
}

/** The lines of all loads together, each once: what the first has in its order, then what only others have. */
function summedUp(all: readonly RecipeAmounts[]): AmountLine[] {
  const sums = new Map<string, AmountLine>();
  for (const { lines } of all) {
    const seen = new Map<string, number>();
    for (const own of lines) {
      const name = `${own.line.item} ${own.line.into} ${own.line.then}`;
      const count = (seen.get(name) ?? 0) + 1;
      seen.set(name, count);
      const key = `${name} ${count}`;
      const known = sums.get(key);
      sums.set(key, known ? addLine(known, own) : own);
    }
  }
  return [...sums.values()];
}

function addLine(a: AmountLine, b: AmountLine): AmountLine {
  if (a.all.of === 'words' || b.all.of === 'words') return a;
  return { ...a, all: { ...a.all, value: a.all.value + b.all.value } };
}
