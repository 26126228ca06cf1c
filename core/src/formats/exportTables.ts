import { LEFT_WORDS } from '../harvest/leftBehind';
import { type Batch, jarsOf, jarsWords, massKgOf, nameOf } from '../day/batch';
import { countJars } from '../handbook/jars';
import { produceRow } from '../handbook/produce';
import { localDay } from '../measure/localTime';
import { type Pick as HarvestPick } from '../harvest/pick';
import { jarCode } from '../pantry/jarCode';
import { type JarLot, jarCounts, type Movement, standingMovements } from '../pantry/jarLot';
import { type BestMonths, keepsUntilOf } from '../pantry/keepsUntil';
import { type PantryPlace, placeOf } from '../pantry/place';
import { rootLots } from '../pantry/rootLots';
import { recipeName } from '../recipe/recipeName';
import { type BatchRecord } from '../yields/batchRecord';
import { type Cell, toCsv } from './csv';

export const EXPORT_TABLES = ['picks', 'batches', 'jars', 'movements'] as const;
export type ExportTable = (typeof EXPORT_TABLES)[number];

/** All that the tables are made of. */
export interface ExportParts {
  readonly mark: number;
  readonly places: readonly PantryPlace[];
  readonly bestMonths: BestMonths;
  /** Where the household is: its dates are of there. */
  readonly timeZone?: string;
  readonly picks: readonly HarvestPick[];
  readonly batches: readonly Batch[];
  readonly batchRecords: readonly BatchRecord[];
  readonly lots: readonly JarLot[];
  readonly movements: readonly Movement[];
}

/** One table of the household as CSV: masses in kilograms, times in UTC, ids as they are kept. */
export function exportCsv(table: ExportTable, parts: ExportParts): string {
  const { columns, rows } = TABLES[table](parts);
  return toCsv(columns, rows);
}

interface Sheet {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

const TABLES: Readonly<Record<ExportTable, (parts: ExportParts) => Sheet>> = {
  picks: ({ picks }) => ({
    columns: ['id', 'picked', 'crop', 'kg', 'of it soft kg', 'ripeness', 'place', 'source', 'told', 'left by a batch'],
    rows: picks.map((pick) => [
      pick.id,
      iso(pick.pickedAt),
      produceRow(pick.crop).name,
      kg(pick.massKg),
      kg(pick.softKg),
      pick.ripeness,
      pick.place,
      pick.source,
      pick.told,
      pick.of ? LEFT_WORDS[pick.of.kind] : '',
    ]),
  }),
  batches: ({ batches, batchRecords }) => {
    const records = new Map(batchRecords.map((record) => [record.batchId, record]));
    return {
      columns: [
        'id',
        'started',
        'product',
        'size',
        'pack',
        'method',
        'altitude ft',
        'minutes',
        'produce kg',
        'loads',
        'jars planned',
        'by size',
        'jars made',
        'juice litres',
        'trimmings kg',
        'cooked off litres',
        'note',
      ],
      rows: batches.map((batch) => {
        const record = records.get(batch.id);
        return [
          batch.id,
          iso(batch.startAt),
          nameOf(batch),
          batch.jar,
          batch.pack,
          // Of loads in canners of different ways each way once.
          [...new Set(batch.loads.map(({ way = batch.method }) => way))].join(', '),
          batch.altitudeFt,
          batch.processMinutes,
          kg(massKgOf(batch)),
          batch.loads.length,
          jarsOf(batch),
          jarsWords(batch),
          record ? record.jars.map(({ jar, count }) => countJars(count, jar)).join(', ') : null,
          // Nothing stands where nothing was measured.
          record?.juiceMl == null ? null : record.juiceMl / 1_000,
          record?.trimmingsKg == null ? null : kg(record.trimmingsKg),
          record?.cookedOffMl == null ? null : record.cookedOffMl / 1_000,
          record?.note ?? null,
        ];
      }),
    };
  },
  // Its columns are those that jars come in by: what goes out can be read back.
  jars: ({ lots, movements, places, mark, bestMonths, timeZone }) => {
    const counts = jarCounts(lots, movements);
    const roots = rootLots(lots);
    const here = lots.filter(({ id }) => (counts.get(id) ?? 0) > 0);
    return {
      columns: ['product', 'size', 'jars', 'made', 'place', 'seal', 'best by', 'code', 'lot', 'load', 'card', 'crop'],
      rows: here.map((lot) => [
        recipeName(lot),
        lot.jar,
        counts.get(lot.id) ?? 0,
        localDay(lot.madeAt, timeZone),
        placeOf(places, lot.place).name,
        lot.seal,
        localDay(keepsUntilOf(lot, bestMonths), timeZone),
        jarCode(roots.get(lot.id) ?? lot.id, mark),
        lot.id,
        lot.loadId ?? null,
        lot.recipe ?? null,
        lot.crop ?? null,
      ]),
    };
  },
  movements: ({ lots, movements }) => {
    const byId = new Map(lots.map((lot) => [lot.id, lot]));
    const standing = new Set(standingMovements(movements).map(({ id }) => id));
    return {
      columns: ['id', 'at', 'kind', 'jars', 'product', 'size', 'lot', 'into lot', 'undone', 'note'],
      rows: movements.map((movement) => {
        const lot = byId.get(movement.lotId);
        return [
          movement.id,
          iso(movement.at),
          movement.kind,
          movement.jars,
          lot ? recipeName(lot) : null,
          lot?.jar ?? null,
          movement.lotId,
          movement.intoLotId ?? null,
          standing.has(movement.id) ? null : 'undone',
          movement.note ?? null,
        ];
      }),
    };
  },
};

function iso(at: number): string {
  return new Date(at).toISOString();
}

/** To the gram: finer is what the computer makes of pounds. */
function kg(massKg: number): number {
  return Math.round(massKg * 1_000) / 1_000;
}
