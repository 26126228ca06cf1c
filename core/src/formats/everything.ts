import { jarCounts as sizesOf, nameOf } from '../day/batch';
import { produceRow } from '../handbook/produce';
import { productRow } from '../handbook/products';
import { localDay } from '../measure/localTime';
import { jarCode } from '../pantry/jarCode';
import { jarCounts, standingMovements } from '../pantry/jarLot';
import { keepsUntilOf } from '../pantry/keepsUntil';
import { placeOf } from '../pantry/place';
import { rootLots } from '../pantry/rootLots';
import { recipeName } from '../recipe/recipeName';
import { pageToJsonLd } from './recipeToJsonLd';
import { type ExportParts } from './tablesOut/householdTables';

type Page = Parameters<typeof pageToJsonLd>[0];

const iso = (at: number) => new Date(at).toISOString();
const product = (id: string) => ({ id, name: productRow(id).name });
const crop = (id: string) => ({ id, name: produceRow(id).name });

/** What of a household stands in no table. */
export interface HouseholdTold {
  readonly name: string;
  readonly altitudeFt: number | null;
  readonly canners: readonly { readonly id: string; readonly name: string; readonly method: string }[];
  /** Pages of its own recipes, each as often as it was changed. */
  readonly pages: readonly Page[];
  /** Epoch milliseconds. */
  readonly madeAt: number;
}

/** Goes up when what is written changes its meaning; what is added does not. */
export const EVERYTHING_VERSION = 1 as const;

/**
 * Everything of a household for other programs: named in words, masses in kilograms, times in UTC (ISO 8601), recipes as schema.org
 * has them.
 */
export function everythingOf(parts: ExportParts, told: HouseholdTold) {
  const { name, altitudeFt, canners, pages } = told;
  const { timeZone, lots, movements, mark, places, bestMonths } = parts;
  const counts = jarCounts(lots, movements);
  const roots = rootLots(lots);
  const standing = new Set(standingMovements(movements).map(({ id }) => id));
  return {
    ...{ format: 'hoddle-household' as const, version: EVERYTHING_VERSION, madeAt: iso(told.madeAt) },
    household: {
      ...{ name, altitudeFt, units: parts.units, timeZone: timeZone ?? null },
      places: places.map(({ id, name: own }) => ({ id, name: own })),
      canners: canners.map(({ id, name: own, method }) => ({ id, name: own, method })),
    },
    picks: parts.picks.map((pick) => ({
      ...{ id: pick.id, crop: crop(pick.crop), kg: pick.massKg, softKg: pick.softKg, pickedAt: iso(pick.pickedAt) },
      ...{ source: pick.source, place: pick.place, bed: pick.plantingId },
    })),
    garden: parts.plantings.map(({ crop: own, ...bed }) => ({ ...bed, crop: crop(own) })),
    batches: parts.batches.map((batch) => ({
      ...{ id: batch.id, product: product(batch.product), name: nameOf(batch), startAt: iso(batch.startAt) },
      jars: sizesOf(batch).map(({ jar, count }) => ({ size: jar, count })),
      ...{ pack: batch.pack, method: batch.method, processMinutes: batch.processMinutes, altitudeFt: batch.altitudeFt },
      pressurePsi: batch.pressurePsi ?? null,
      produce: batch.uses.map((use) => ({ crop: use.crop ?? null, kg: use.massKg })),
    })),
    yields: parts.batchRecords.map((record) => ({
      ...{ id: record.id, batch: record.batchId, product: product(record.product), crop: crop(record.crop) },
      ...{ kg: record.massKg, madeAt: iso(record.madeAt), note: record.note, faults: [...record.faults] },
      jars: record.jars.map(({ jar, count }) => ({ size: jar, count })),
    })),
    jars: lots
      .filter(({ id }) => (counts.get(id) ?? 0) > 0)
      .map((lot) => ({
        ...{ lot: lot.id, code: jarCode(roots.get(lot.id) ?? lot.id, mark), product: product(lot.product) },
        ...{ name: recipeName(lot), size: lot.jar, count: counts.get(lot.id) ?? 0, seal: lot.seal },
        madeOn: localDay(lot.madeAt, timeZone),
        keepsUntil: localDay(keepsUntilOf(lot, bestMonths), timeZone),
        place: placeOf(places, lot.place).name,
      })),
    movements: movements
      .filter(({ kind }) => kind !== 'undone')
      .map(({ id, lotId, kind, jars, at, note }) => ({
        ...{ id, lot: lotId, kind, jars, at: iso(at), undone: !standing.has(id), note: note ?? null },
      })),
    supplies: parts.hardware.map(({ kind, size, mouth, count }) => ({ kind, size: size ?? null, mouth, count })),
    goals: parts.goals.map((goal) => ({
      ...{ product: product(goal.product), size: goal.jar, jars: goal.jars, priority: goal.priority },
    })),
    season: (parts.season?.days ?? []).map(({ day, batches }) => ({
      day,
      batches: batches.map((each) => ({ product: product(each.product), size: each.jar, jars: each.jars })),
    })),
    recipes: pages.filter(isNewest).map((page) => ({ ...pageToJsonLd(page) })),
  };
}

/** Of a recipe's pages the one that holds now. */
function isNewest(page: { id: string; revision: number }, _: number, all: readonly { id: string; revision: number }[]) {
  return !all.some((other) => other.id === page.id && other.revision > page.revision);
}
