import { Router } from 'express';
import { type Everything, EVERYTHING_VERSION, everythingSchema } from '@hoddle/contract/everything';
import { jarCounts as sizesOf, nameOf } from '@hoddle/core/day/batch';
import { pageToJsonLd } from '@hoddle/core/formats/recipeToJsonLd';
import { produceRow } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { localDay } from '@hoddle/core/measure/localTime';
import { jarCode } from '@hoddle/core/pantry/jarCode';
import { jarCounts, standingMovements } from '@hoddle/core/pantry/jarLot';
import { keepsUntilOf } from '@hoddle/core/pantry/keepsUntil';
import { placeOf } from '@hoddle/core/pantry/place';
import { rootLots } from '@hoddle/core/pantry/rootLots';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { type Database } from '../db/openDatabase';
import { readSettings } from '../db/readState';
import { partsOf } from './exports';

/** `GET /api/everything`: the whole household as one JSON for other programs; `/schema` says how it is made. */
export function everythingRoute(db: Database): Router {
  return Router()
    .get('/everything', async (_req, res) => {
      res.attachment('hoddle-everything.json').json(await everything(db));
    })
    .get('/everything/schema', (_req, res) => {
      res.json(everythingSchema());
    });
}

const iso = (at: number) => new Date(at).toISOString();
const product = (id: string) => ({ id, name: productRow(id as never).name });
const crop = (id: string) => ({ id, name: produceRow(id).name });

async function everything(db: Database): Promise<Everything> {
  const parts = await partsOf(db);
  const { name, altitudeFt, canners } = readSettings(db);
  const { timeZone, lots, movements, mark, places, bestMonths } = parts;
  const counts = jarCounts(lots, movements);
  const roots = rootLots(lots);
  const standing = new Set(standingMovements(movements).map(({ id }) => id));
  return {
    ...{ format: 'hoddle-household', version: EVERYTHING_VERSION, madeAt: iso(Date.now()) },
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
    recipes: db.recipes.all.filter(isNewest).map((page) => ({ ...pageToJsonLd(page) })),
  };
}

/** Of a recipe's pages the one that holds now. */
function isNewest(page: { id: string; revision: number }, _: number, all: readonly { id: string; revision: number }[]) {
  return !all.some((other) => other.id === page.id && other.revision > page.revision);
}
