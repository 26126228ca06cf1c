import { ML_PER_QUART } from '../measure/amount';
import { fullestMoment, type PotLevel, potLevels } from '../recipe/fullestMoment';
import { type BatchAmounts } from './amountsOfBatch';
import { type Batch, shareOf } from './batch';
import { stepsOfBatch } from './daySequence';
import { type KitchenSetup } from './kitchenSetup';
import { inParts } from './madeOnce';

/** A pot is filled so far and no further: above that it boils over. Common practice. */
const FILLED_PART = 0.9;

/** A batch at the moment at which most of it stands over the fire at once. */
export interface FullestOfBatch extends PotLevel {
  /** What stands in it: all of the batch, one of its loads, or as much as may be made in one pot. */
  readonly of: 'batch' | 'load' | 'pot';
  /** Of the largest big pot, side by side; undefined where nothing is told of that. */
  readonly pots?: number;
  /** More than there are. */
  readonly isOver: boolean;
}

/** Big pots side by side that hold so much; one where nothing is told of their size. */
function bigPotsFor(ml: number, { bigPotQuarts }: Pick<KitchenSetup, 'bigPotQuarts'>): number {
  if (bigPotQuarts === undefined) return 1;
  return Math.max(1, Math.ceil(ml / (FILLED_PART * bigPotQuarts * ML_PER_QUART) - 1e-9));
}

/** The fullest moment of a batch: of what is made once all of it, of what is made load by load the largest load. */
export function fullestOfBatch(
  batch: Batch,
  amounts: Pick<BatchAmounts, 'lines' | 'loads' | 'pots'>,
  setup: Pick<KitchenSetup, 'bigPotQuarts' | 'bigPots'>,
): FullestOfBatch | undefined {
  const sequence = stepsOfBatch(batch);
  const { once } = inParts(batch, sequence);
  const steps = sequence.map(({ entry, of: crops }) => ({ step: entry, ...(crops && { of: crops }) }));
  const levels = potLevels({ product: batch.product, steps }, amounts.lines, ({ all }) => all);
  const largest = Math.max(...batch.loads.map((load) => shareOf(batch, load)));
  // What may not be doubled boils in pots of its own, however its jars are parted.
  const isApart = amounts.loads.some((load) => load.amounts.pots !== 1);
  const partOf = (step: string) => {
    const isWhole = batch.loads.length === 1 || once.some(({ entry }) => entry === step);
    return isApart
      ? (['pot', 1 / Math.max(1, amounts.pots)] as const)
      : isWhole
        ? (['batch', 1] as const)
        : (['load', largest] as const);
  };
  const fullest = fullestMoment(levels.map((level) => ({ ...level, ml: level.ml * partOf(level.step)[1] })));
  if (!fullest) return undefined;
  const [of] = partOf(fullest.step);
  const pots = bigPotsFor(fullest.ml, setup);
  return {
    ...fullest,
    of,
    ...(setup.bigPotQuarts !== undefined && { pots }),
    isOver: pots > Math.max(1, setup.bigPots),
  };
}
