import { type JarSize } from '../handbook/jars';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { plannedProcess } from '../process/plannedProcess';
import { otherPackOf, packOf } from '../recipe/packs';
import { type Batch, cardOf, isCanned, type LoadSize } from './batch';
import { sameHeatOf } from './sameHeatOf';

/**
 * A batch in the other pack that its card's page allows, with that pack's own steps and tested times in each of its jars; undefined
 * where there is none, or one of its jars is not tested so.
 */
export function inOtherPack(batch: Batch, pages: HouseholdPages): Batch | undefined {
  if (!isCanned(batch) || batch.againOf !== undefined) return undefined;
  const { pack: now, pressurePsi: _, planned: __, sameHeat: ___, ...own } = batch;
  const card = cardOf(own);
  const other = card && otherPackOf(card);
  if (!card || !other) return undefined;
  const pack = other.pack === now ? packOf(card) : other.pack;
  const timeIn = (jar: JarSize): LoadSize | undefined => {
    const { product, method, altitudeFt } = batch;
    const tested = findProcess({ product, pack, jar, method, altitudeFt }, pages);
    if (tested.kind === 'refusal') return undefined;
    const { pressurePsi } = tested;
    return {
      ...{ jar, processMinutes: plannedProcess(tested).minutes },
      ...(pressurePsi !== undefined && { pressurePsi }),
    };
  };
  const time = timeIn(batch.jar);
  const loads = batch.loads.map((load) => (load.size ? { ...load, size: timeIn(load.size.jar) } : load));
  if (!time || loads.some((load) => 'size' in load && !load.size)) return undefined;
  const packed = { ...own, ...time, pack, loads: loads as Batch['loads'] };
  const sized = packed.loads.flatMap(({ size }) => (size ? [{ ...packed, ...size }] : []));
  return { ...packed, sameHeat: sameHeatOf([packed, ...sized], pages) };
}
