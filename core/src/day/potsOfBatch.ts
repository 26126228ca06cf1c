import { ML_PER_QUART } from '../measure/amount';
import { fullestMoment, type PotLevel, potLevels } from '../recipe/fullestMoment';
import { amountsOfBatch } from './amountsOfBatch';
import { type Batch, shareOf } from './batch';
import { stepsOfBatch } from './daySequence';
import { type KitchenSetup } from './kitchenSetup';
import { inParts } from './madeOnce';

/** A pot is filled so far and no further: above that it boils over. Common practice. */
const FILLED_PART = 0.9;

/** A batch at the moment at which most of it stands over the fire at once. */
export interface FullestOfBatch extends PotLevel {
  /** Of the largest big pot, side by side; undefined where nothing is told of that. */
  readonly pots?: number;
  /** More than there are. */
  readonly isOver: boolean;
}

const known = new WeakMap<Batch, ReadonlyMap<string, number>>();

/** What each step of a batch has over the fire, in ml, all loads together; by the step's entry. Empty without a card. */
export function potsOfBatch(batch: Batch): ReadonlyMap<string, number> {
  const before = known.get(batch);
  if (before) return before;
  const amounts = amountsOfBatch(batch);
  const steps = stepsOfBatch(batch).map(({ entry }) => ({ step: entry }));
  const levels = amounts ? potLevels({ product: batch.product, steps }, amounts.lines, ({ all }) => all) : [];
  const byEntry = new Map(levels.map(({ step, ml }) => [step, ml]));
  known.set(batch, byEntry);
  return byEntry;
}

/** Big pots side by side that hold so much; one where nothing is told of their size. */
export function bigPotsFor(ml: number, { bigPotQuarts }: Pick<KitchenSetup, 'bigPotQuarts'>): number {
  if (bigPotQuarts === undefined) return 1;
  return Math.max(1, Math.ceil(ml / (FILLED_PART * bigPotQuarts * ML_PER_QUART) - 1e-9));
}

/** The fullest moment of a batch: of what is made once all of it, of what is made load by load the largest load. */
export function fullestOfBatch(
  batch: Batch,
  setup: Pick<KitchenSetup, 'bigPotQuarts' | 'bigPots'>,
): FullestOfBatch | undefined {
  const levels = potsOfBatch(batch);
  const { once } = inParts(batch, stepsOfBatch(batch));
  const largest = Math.max(...batch.loads.map((load) => shareOf(batch, load)));
  const fullest = fullestMoment(
    [...levels].map(([step, ml]) => ({ step, ml: once.some(({ entry }) => entry === step) ? ml : ml * largest })),
  );
  if (!fullest) return undefined;
  const pots = bigPotsFor(fullest.ml, setup);
  return { ...fullest, ...(setup.bigPotQuarts !== undefined && { pots }), isOver: pots > Math.max(1, setup.bigPots) };
}
