import { splitLoads } from '../../canner/splitLoads';
import { firstWay, waysToProcess } from '../../canner/waysToProcess';
import { type Vessels, widestCanner } from '../../canner/widestCanner';
import { type Batch } from '../../day/batch';
import { jarsFromPot } from '../../day/batchFromPot';
import { batchOf } from '../../day/batchOf';
import { coldBatchOfJars } from '../../day/coldBatchOf';
import { productRow } from '../../handbook/products';
import { type Lot } from '../../harvest/onHand';
import { takeFromLots } from '../../harvest/takeForBatch';
import { usesOf } from '../../harvest/usesOf';
import { coldPlaceOf } from '../../process/coldPlace';
import { type HouseholdPages } from '../../process/findProcess';
import { type OutputRule, outputsOf } from '../../recipe/potOutputs';
import { type ReportedBatch, type ReportedDay } from './seasonReport';

/** So much of what was planned must be on hand for a batch to be made. */
const ENOUGH_PART = 0.9;

/** A planned batch as it can be made now. */
export interface OpenedBatch {
  readonly batch: ReportedBatch;
  /** Whether its produce is on hand, or in a pot of the same day, as if the others were made first. */
  readonly ready: boolean;
  /** Undefined where it is not ready, or nothing is tested for it any more. */
  readonly made?: Batch;
}

/** The kitchen a day is opened in. */
export type OpeningKitchen = Vessels & { readonly altitudeFt: number | null };

/**
 * The batches of a planned day, made of the lots that are there: each takes what spoils first of what the others leave it. What
 * is made of thin juice begins with the pot of the same day that gives it, and takes no produce.
 *
 * @param lots on hand; what spoils before that day is not what it is made of
 * @param startAt epoch milliseconds when the hands begin
 * @param newId makes the id of each batch and of each load
 */
export function openedBatches(
  day: ReportedDay,
  lots: readonly Lot[],
  kitchen: OpeningKitchen,
  pages: HouseholdPages,
  startAt: number,
  newId: () => string,
): OpenedBatch[] {
  const here = new LotsLeft(lots.filter(({ until }) => until >= day.at));
  const own = day.batches.map((batch): OpenedBatch => {
    const uses = batch.from ? undefined : here.takeFor(batch);
    const made = uses && madeOf(batch, uses, kitchen, pages, startAt, newId);
    return { batch, ready: uses !== undefined, ...(made && { made }) };
  });
  return day.batches.reduce<OpenedBatch[]>((all, batch, i) => {
    const pot = potFor(batch, all);
    const { jar, jars } = batch;
    const made = pot && jarsFromPot({ pot: pot.made, kind: pot.rule.kind, jar, jars }, kitchen, pages, newId);
    if (!pot || !made) return all;
    const gives = [...(pot.made.gives ?? []), pot.rule.kind];
    return all.map((each, k) => {
      if (k === i) return { batch, ready: true, made };
      return each.made?.id === pot.made.id ? { ...each, made: { ...pot.made, gives } } : each;
    });
  }, own);
}

/** What is entered to open a day, a pot before what begins with it. */
export function batchesToEnter(opened: readonly OpenedBatch[]): Batch[] {
  const made = opened.flatMap((each) => each.made ?? []);
  return [...made.filter(({ from }) => !from), ...made.filter(({ from }) => from)];
}

interface Pot {
  readonly made: Batch;
  readonly rule: OutputRule;
}

/** The pot of the day that gives what a batch begins with, and gives it to no other yet. */
function potFor({ product, from }: ReportedBatch, all: readonly OpenedBatch[]): Pot | undefined {
  if (from !== 'thin juice') return undefined;
  const pots = all.flatMap(({ made }): Pot[] => {
    const rule = made && outputsOf(made.product).find(({ kind, feeds }) => kind === 'thin-juice' && feeds === product);
    return rule && !made.gives?.includes(rule.kind) ? [{ made, rule }] : [];
  });
  return pots[0];
}

function madeOf(
  { product, jar, jars }: ReportedBatch,
  uses: Batch['uses'],
  kitchen: OpeningKitchen,
  pages: HouseholdPages,
  startAt: number,
  newId: () => string,
): Batch | undefined {
  const row = productRow(product);
  const into = coldPlaceOf(product, pages);
  if (into) {
    return coldBatchOfJars({ product: row, jar, into, jars, uses, startAt }, kitchen.altitudeFt ?? 0, newId);
  }
  const method = firstWay(waysToProcess(kitchen, row, jar, pages));
  const { canner, capacity } = widestCanner(kitchen, jar, method);
  if (!canner || capacity?.kind !== 'holds') return undefined;
  const loads = splitLoads(jars, capacity.jars, 'full');
  return batchOf({ product: row, jar, method, cannerId: canner.id, loads, uses, startAt }, kitchen, pages, newId);
}

/** Lots on hand while one batch after the other takes of them. */
class LotsLeft {
  private lots: Lot[];

  constructor(lots: readonly Lot[]) {
    this.lots = [...lots];
  }

  /** Undefined where too little is there: then nothing is taken. */
  takeFor({ crops, thawed }: ReportedBatch): Batch['uses'] | undefined {
    const all = crops.map(({ crop, massKg }) => {
      const own = this.lots.filter((lot) => lot.crop === crop && (thawed || lot.place !== 'freezer'));
      const kg = own.reduce((sum, lot) => sum + lot.massKg, 0);
      return kg >= massKg * ENOUGH_PART ? takeFromLots(own, massKg) : undefined;
    });
    if (all.includes(undefined)) return undefined;
    const taken = all.flatMap((each) => each ?? []);
    const takenOf = new Map(taken.map(({ lot, massKg }) => [lot, massKg]));
    this.lots = this.lots.map((lot) => {
      const takenKg = takenOf.get(lot);
      return takenKg === undefined ? lot : { ...lot, massKg: lot.massKg - takenKg };
    });
    return usesOf(taken);
  }
}
