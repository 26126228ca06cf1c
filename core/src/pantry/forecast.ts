import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';
import { type Planting } from '../harvest/planting';
import { type BestMonths } from './keepsUntil';
import { nextCropAt } from './nextCrop';
import { proposeGoal, type RunOut, runOut } from './runOut';
import { type StockedLot } from './shelf';
import { type ShelfGoal } from './shelfGoal';
import { learnUse, jarsPerMonth } from './useModel';
import { type UseRecord } from './useRecord';

export interface ForecastQuestion {
  readonly now: number;
  readonly bestMonths: BestMonths;
  readonly stocked: readonly StockedLot[];
  readonly use: readonly UseRecord[];
  readonly goals: readonly ShelfGoal[];
  readonly plantings: readonly Planting[];
}

/** What is to be expected of one product in one size of jar. */
export interface Forecast extends RunOut {
  readonly product: ProductId;
  readonly jar: JarSize;
  /** Jars there to be eaten: not opened, not set aside. */
  readonly jars: number;
  readonly perMonth: number;
  readonly nextCropAt?: number;
  /** Jars to put up from the next crop. */
  readonly proposedGoal: number;
}

const DAY_MS = 24 * 60 * 60_000;

/** One seed for all: the same shelf gets the same answer on every screen. */
const SEED = 8;

/** When each product of the shelf runs out, how short it falls, and what to put up next season. */
export function forecastShelf(question: ForecastQuestion): Forecast[] {
  const { now, stocked, use, goals } = question;
  const keys = new Map<string, { product: ProductId; jar: JarSize }>();
  const usable = stocked.filter(({ seal, placeKind }) => seal !== 'opened' && placeKind !== 'aside');
  const asked = goals.filter(({ jars, perMonth }) => jars !== null || perMonth !== null);
  for (const { product, jar } of [...usable, ...asked]) keys.set(`${product} ${jar}`, { product, jar });
  return [...keys.values()].map(({ product, jar }) => {
    const same = (other: { product: ProductId; jar: JarSize }) => other.product === product && other.jar === jar;
    const lots = usable.filter(same);
    const record = use.find(same);
    const model = learnUse(record, goals.find(same)?.perMonth ?? undefined);
    const cropAt = nextCropAt(product, record, question.plantings, now);
    const jars = lots.reduce((sum, lot) => sum + lot.jars, 0);
    const bestUntil = Math.max(now, ...lots.map(({ keepsUntil }) => keepsUntil));
    const crop = cropAt === undefined ? {} : { nextCropAt: cropAt };
    return {
      ...{ product, jar, jars, ...crop },
      ...runOut(model, jars, { now, bestUntil, ...crop }, SEED),
      perMonth: jarsPerMonth(model),
      proposedGoal: proposeGoal(model, cropAt ?? now + 365 * DAY_MS, question.bestMonths, SEED),
    };
  });
}
