import { type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { type PickUse } from '../harvest/pick';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { type Method } from '../process/method';
import { type PotOutput } from '../recipe/potOutputs';
import { plannedProcess } from '../process/plannedProcess';
import { type Batch, cardOf, type FromPot } from './batch';

/** What a cook wants to make, before its time is looked up. */
export interface BatchWish {
  readonly product: ProductRow;
  /** Id of the card; the product's own for the crop where nothing is said. */
  readonly recipe?: string;
  readonly without?: readonly string[];
  readonly jar: JarSize;
  readonly method: Method;
  readonly cannerId: string;
  /** Jars of each load. */
  readonly loads: readonly number[];
  /** A load of another batch that the last one goes in with. */
  readonly withLoadId?: string;
  readonly uses: readonly PickUse[];
  readonly gives?: readonly PotOutput[];
  readonly from?: FromPot;
  readonly startAt: number;
}

/**
 * The batch of a wish, with its tested time and pressure looked up for this kitchen; undefined where nothing is tested.
 *
 * @param newId makes the id of the batch and of each load, from a word that tells them apart
 */
export function batchOf(
  { product, recipe, without, jar, method, cannerId, loads, withLoadId, uses, gives, from, startAt }: BatchWish,
  { altitudeFt }: { readonly altitudeFt: number | null },
  pages: HouseholdPages,
  newId: (of: string) => string,
): Batch | undefined {
  if (altitudeFt === null || loads.length === 0) return undefined;
  const question = { product: product.product, pack: usualPack(product), jar, method, altitudeFt };
  const tested = findProcess(question, pages);
  if (tested.kind === 'refusal') return undefined;
  const card = cardOf({ product: product.product, uses, ...(from && { from }) })?.card;
  return {
    ...question,
    id: newId('batch'),
    ...((recipe ?? card) !== undefined && { recipe: recipe ?? card }),
    ...(without && without.length > 0 && { without }),
    ...(gives && gives.length > 0 && { gives }),
    ...(from && { from }),
    processMinutes: plannedProcess(tested).minutes,
    ...(tested.pressurePsi !== undefined && { pressurePsi: tested.pressurePsi }),
    cannerId,
    startAt,
    uses,
    loads: loads.map((jars, i) => ({
      id: newId(`load ${i + 1}`),
      number: i + 1,
      jars,
      ...(withLoadId !== undefined && i === loads.length - 1 && { withLoadId }),
    })),
  };
}

const STEP_MS = 15 * 60_000;

/** The next quarter of an hour: when a batch begins unless the cook says otherwise. */
export function nextQuarter(now: number): number {
  return Math.ceil(now / STEP_MS) * STEP_MS;
}
