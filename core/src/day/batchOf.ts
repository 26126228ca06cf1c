import { type Pack } from '../handbook/boilingWater';
import { type JarSize } from '../handbook/jars';
import { type ProductRow } from '../handbook/products';
import { usualPack } from '../handbook/usualPack';
import { type PickUse } from '../harvest/pick';
import { findProcess, type HouseholdPages, type TestedProcess } from '../process/findProcess';
import { type Method } from '../process/method';
import { type PotOutput } from '../recipe/potOutputs';
import { plannedProcess } from '../process/plannedProcess';
import { type Batch, cardOf, type FromPot, type PlannedLoad } from './batch';
import { sameHeatOf } from './sameHeatOf';

/** Jars of another size that are filled from the same pot, in loads of their own. */
export interface MoreJars {
  readonly jar: JarSize;
  readonly loads: readonly number[];
  /** The last of them goes in with the last of the first size, at the longest time: the cook asked for it. */
  readonly isShared?: boolean;
}

/** What a cook wants to make, before its time is looked up. */
export interface BatchWish {
  readonly product: ProductRow;
  /** Id of the card; the product's own for the crop where nothing is said. */
  readonly recipe?: string;
  readonly without?: readonly string[];
  /** The product's usual one unless said. */
  readonly pack?: Pack;
  readonly jar: JarSize;
  readonly method: Method;
  readonly cannerId: string;
  /** Jars of each load. */
  readonly loads: readonly number[];
  /** Other sizes, each once. */
  readonly more?: readonly MoreJars[];
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
  {
    product,
    recipe,
    without,
    pack = usualPack(product),
    jar,
    method,
    cannerId,
    loads,
    more,
    withLoadId,
    uses,
    gives,
    from,
    startAt,
  }: BatchWish,
  { altitudeFt }: { readonly altitudeFt: number | null },
  pages: HouseholdPages,
  newId: (of: string) => string,
): Batch | undefined {
  if (altitudeFt === null || loads.length === 0) return undefined;
  const question = { product: product.product, pack, jar, method, altitudeFt };
  const tested = findProcess(question, pages);
  if (tested.kind === 'refusal') return undefined;
  const { pressurePsi } = tested;
  const besides = (more ?? []).filter((each) => each.loads.length > 0);
  const sized = besides.flatMap((each) => {
    const answer = findProcess({ ...question, jar: each.jar }, pages);
    return answer.kind === 'tested' ? [[each, answer] as const] : [];
  });
  if (sized.length < besides.length) return undefined;
  const sameHeat = sameHeatOf(
    [
      { ...question, processMinutes: plannedProcess(tested).minutes },
      ...sized.map(([each, process]) => ({
        ...question,
        jar: each.jar,
        processMinutes: plannedProcess(process).minutes,
      })),
    ],
    pages,
  );
  const card = cardOf({ product: product.product, uses, ...(from && { from }) })?.card;
  const own = loads.map((jars, i): PlannedLoad => ({
    id: newId(`load ${i + 1}`),
    number: i + 1,
    jars,
    ...(withLoadId !== undefined && i === loads.length - 1 && { withLoadId }),
  }));
  return {
    ...question,
    id: newId('batch'),
    ...((recipe ?? card) !== undefined && { recipe: recipe ?? card }),
    ...(without && without.length > 0 && { without }),
    ...(gives && gives.length > 0 && { gives }),
    ...(from && { from }),
    processMinutes: plannedProcess(tested).minutes,
    ...(pressurePsi !== undefined && { pressurePsi }),
    ...(sameHeat.length > 0 && { sameHeat }),
    cannerId,
    startAt,
    uses,
    loads: sized.reduce((all, [each, process]) => [...all, ...moreLoads(each, process, own, all.length, newId)], own),
  };
}

/** Loads in jars of another size, each with the time that is tested for those. */
function moreLoads(
  { jar, loads, isShared = false }: MoreJars,
  tested: TestedProcess,
  first: readonly PlannedLoad[],
  before: number,
  newId: (of: string) => string,
): PlannedLoad[] {
  const { pressurePsi } = tested;
  const processMinutes = plannedProcess(tested).minutes;
  const host = first.at(-1);
  return loads.map((jars, i) => ({
    id: newId(`load ${before + i + 1}`),
    number: before + i + 1,
    jars,
    ...(isShared && host && i === loads.length - 1 && { withLoadId: host.withLoadId ?? host.id }),
    size: { jar, processMinutes, ...(pressurePsi !== undefined && { pressurePsi }) },
  }));
}

const STEP_MS = 15 * 60_000;

/** The next quarter of an hour: when a batch begins unless the cook says otherwise. */
export function nextQuarter(now: number): number {
  return Math.ceil(now / STEP_MS) * STEP_MS;
}
