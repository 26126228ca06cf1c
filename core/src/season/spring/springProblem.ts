import { type JarSize } from '../../handbook/jars';
import { type PlantingUnit } from '../../handbook/harvestYields';
import { type ProduceId } from '../../handbook/produce';
import { type ProductId } from '../../handbook/products';
import { type UseModel } from '../../pantry/useModel';
import { type ByProductShare } from '../problem/seasonProblem';

/** Jars of one product and size that the garden of a coming year is to fill. */
export interface SpringGoal {
  readonly product: ProductId;
  readonly jar: JarSize;
  /** Jars for the year after the crop; null where the use of that year says it. */
  readonly want: number | null;
  /** There to be eaten, and still coming this year. */
  readonly have: number;
  /** How it is eaten, and on how many days of late that was seen; of a gift nobody asks. */
  readonly use: UseModel;
  readonly usedDays: number;
  readonly gift: boolean;
  /** When the jars of the coming year can be made, epoch milliseconds. */
  readonly cropAt: number;
  /** By crop what a jar takes as picked, in kilograms: one value for each of {@link MIDDLES}. */
  readonly shares: readonly { readonly crop: ProduceId; readonly kgPerJar: readonly number[] }[];
  readonly gives?: ByProductShare;
  readonly takes?: ByProductShare;
}

/** A crop as it grows here, or would. */
export interface SpringCrop {
  readonly crop: ProduceId;
  readonly unit: PlantingUnit;
  /** Plants, row-feet or trees there are. */
  readonly now: number;
  /** Season of one of them: log-normal, kilograms. */
  readonly logKgEach: number;
  readonly spread: number;
  /** Seasons of its own that were picked here, and whether the household gave a figure; else the common one stands. */
  readonly seasons: number;
  readonly ownFigure: boolean;
  /** Eaten fresh, given away or sold in a usual year, in kilograms. */
  readonly freshKg: number;
  /** Part of what comes in that spoils or is fed. */
  readonly lostPart: number;
}

/** All that the coming year's garden is worked out from, in plain numbers. */
export interface SpringProblem {
  readonly now: number;
  readonly goals: readonly SpringGoal[];
  /** Every crop that a goal takes or that grows here. */
  readonly crops: readonly SpringCrop[];
}

/** Chances in the middle of equal parts: a quantity is told by its values there, and drawn as one of them. */
export const MIDDLES: readonly number[] = Array.from({ length: 9 }, (_, i) => (i + 0.5) / 9);
