import { type Batch, type CannedBatch, isCanned, ofLoad, type PlannedLoad } from '../day/batch';
import { sameHeatOf } from '../day/sameHeatOf';
import { groupBy } from '../handbook/groupBy';
import { isOwnProduct, ownCardId, recipeIdOf } from '../handbook/ownIds';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { type Method, METHOD_WORDS } from '../process/method';
import { plannedProcess } from '../process/plannedProcess';
import { type KitchenEvent } from './kitchenEvent';
import { loadNow, RAN } from './loadNow';
import { toldOf } from './toldOf';

/** What a tested time is looked up by, as it is now. */
export interface TableGround {
  /** Null until the household has set it: then a batch keeps what it was planned with. */
  readonly altitudeFt: number | null;
  readonly pages: HouseholdPages;
}

/** Whatever the table says now: for what asks nothing of the minutes. */
export const AS_PLANNED: TableGround = { altitudeFt: null, pages: {} };

/**
 * The batches with what the table says now: the altitude of the kitchen, a source or the product may be another than when
 * they were planned. A batch whose jars are all out keeps what it ran with; each load that has begun its clock is looked
 * after by {@link loadNow}.
 *
 * Handbook rule 1: a time holds for its band of altitude, its jar, its pack and its way, and for no other.
 */
export function byTheTable(
  batches: readonly Batch[],
  events: readonly KitchenEvent[],
  { altitudeFt, pages }: TableGround,
): Batch[] {
  if (altitudeFt === null) return [...batches];
  const told = groupBy(events, ({ loadId }) => loadId);
  // "Out" may be told of jars that never boiled long enough: what counts is where the load stands by what was asked of it.
  const hasRun = (batch: Batch, load: PlannedLoad) => {
    const own = [...(told.get(load.id) ?? []), ...(told.get(load.withLoadId ?? '') ?? [])];
    if (!own.some(({ type }) => type === 'heat-off')) return false;
    return RAN.includes(loadNow(batch, load, batches, toldOf(load, batches, own)).state.phase);
  };
  return batches.map((batch) => {
    if (!isCanned(batch) || batch.loads.every((load) => hasRun(batch, load))) return batch;
    const now = lookedUp(batch, altitudeFt, pages);
    const { method } = batch;
    const sized = now.loads.some(({ size }) => size)
      ? { ...now, loads: now.loads.map((load) => sizedNow(batch, load, altitudeFt, pages)) }
      : now;
    return withSameHeat({ ...sized, method }, pages, (load) => hasRun(batch, load)) ?? sized;
  });
}

/**
 * With the other ways its jars may go; a load that is in a canner of one which is not tested any more is not to be started.
 * Undefined where it says the same.
 */
function withSameHeat(
  { sameHeat: before, ...batch }: CannedBatch,
  pages: HouseholdPages,
  hasRun: (load: PlannedLoad) => boolean,
): Batch | undefined {
  const sized = batch.loads.flatMap(({ size }) => (size ? [{ ...batch, ...size }] : []));
  const sameHeat = sameHeatOf([batch, ...sized], pagesOf(batch, pages));
  if (sameHeat.length === 0 && !before && batch.loads.every(({ way }) => way === undefined)) return undefined;
  const isOpen = ({ way, size }: PlannedLoad) =>
    way === undefined ||
    way === batch.method ||
    sameHeat.some(({ jar, method }) => method === way && jar === (size?.jar ?? batch.jar));
  const loads = batch.loads.map((load) => {
    if (load.way === undefined || isOpen(load) || hasRun(load)) return load;
    const { jar, processMinutes } = ofLoad(batch, load);
    const untested = `Nothing is tested for these jars ${METHOD_WORDS[load.way]} here.`;
    return { ...load, size: { jar, processMinutes, ...load.size, untested } };
  });
  return { ...batch, loads, ...(sameHeat.length > 0 && { sameHeat }) };
}

/** A load in jars of another size, with what the table says of those. */
function sizedNow(
  batch: Batch & { readonly method: Method },
  load: PlannedLoad,
  altitudeFt: number,
  pages: HouseholdPages,
): PlannedLoad {
  if (!load.size) return load;
  const { jar, processMinutes, pressurePsi, planned, untested } = lookedUp(ofLoad(batch, load), altitudeFt, pages);
  const more = { ...(pressurePsi !== undefined && { pressurePsi }), ...(planned && { planned }) };
  return { ...load, size: { jar, processMinutes, ...more, ...(untested !== undefined && { untested }) } };
}

function lookedUp(batch: Batch & { readonly method: Method }, altitudeFt: number, pages: HouseholdPages): Batch {
  const tested = findProcess({ ...batch, altitudeFt }, pagesOf(batch, pages));
  if (tested.kind === 'refusal') return { ...batch, untested: tested.reason };
  const { processMinutes, pressurePsi = 0 } = batch;
  const psi = tested.pressurePsi ?? 0;
  const isHere = batch.altitudeFt === altitudeFt;
  // A household may process longer than tested, never shorter.
  if (isHere && processMinutes >= tested.minutes && pressurePsi >= psi) return batch;
  const minutes = isHere ? Math.max(processMinutes, tested.minutes) : plannedProcess(tested).minutes;
  const { pressurePsi: _, ...own } = batch;
  return {
    ...own,
    altitudeFt,
    processMinutes: minutes,
    ...(psi > 0 && { pressurePsi: isHere ? Math.max(pressurePsi, psi) : psi }),
    ...((minutes !== processMinutes || psi !== pressurePsi) && {
      planned: { processMinutes, altitudeFt: batch.altitudeFt, ...(pressurePsi > 0 && { pressurePsi }) },
    }),
  };
}

/** A batch of the household's own recipe goes by the page it was planned by, whatever was changed on it since. */
function pagesOf({ product, recipe }: Batch, pages: HouseholdPages): HouseholdPages {
  if (!isOwnProduct(product) || recipe === undefined || !pages.recipes) return pages;
  const id = recipeIdOf(product);
  const card = recipe.replace(/\/.*$/, '');
  const own = pages.recipes.filter((page) => page.id === id && ownCardId(id, page.revision) === card);
  return own.length > 0 ? { ...pages, recipes: own } : pages;
}

/** What the table says other than the plan did, in a line; undefined where it says the same. */
export function tableWords({ processMinutes, pressurePsi, altitudeFt, planned, untested }: Batch): string | undefined {
  if (untested !== undefined) return `Not to be started: ${untested}`;
  if (!planned) return undefined;
  const said = (minutes: number, psi?: number) => `${minutes} min${psi === undefined ? '' : ` at ${psi} psi`}`;
  const feet = (ft: number) => `${ft.toLocaleString('en-US')} ft`;
  const now = said(processMinutes, pressurePsi);
  const before = said(planned.processMinutes, planned.pressurePsi);
  return planned.altitudeFt === altitudeFt
    ? `${now} by its source as it is now; planned with ${before}.`
    : `${now} at ${feet(altitudeFt)}; planned with ${before} at ${feet(planned.altitudeFt)}.`;
}
