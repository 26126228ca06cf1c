import { LEFT_WORDS } from '../../harvest/leftBehind';
import { type Batch, jarsOf, jarsWords, mainCropOf, massKgOf, nameOf } from '../../day/batch';
import { countJars } from '../../handbook/jars';
import { produceRow } from '../../handbook/produce';
import { KG_PER_LB, ML_PER_QUART } from '../../measure/amount';
import { localDay, localMinute } from '../../measure/localTime';
import { timedUses } from '../../day/timedUses';
import { productRow } from '../../handbook/products';
import { type LotChange } from '../../harvest/lotChange';
import { onHand } from '../../harvest/onHand';
import { type Planting } from '../../harvest/planting';
import { type ShelfGoal } from '../../pantry/shelfGoal';
import { reportedName } from '../../season/report/reportedWords';
import { type SeasonReport } from '../../season/report/seasonReport';
import { amountToBuy, type ShoppingItem } from '../../season/report/shoppingList';
import { type Hardware } from '../../supplies/hardware';
import { type Pick as HarvestPick } from '../../harvest/pick';
import { jarCode } from '../../pantry/jarCode';
import { type JarLot, jarCounts, type Movement, standingMovements } from '../../pantry/jarLot';
import { type BestMonths, keepsUntilOf } from '../../pantry/keepsUntil';
import { type PantryPlace, placeOf } from '../../pantry/place';
import { rootLots } from '../../pantry/rootLots';
import { recipeName } from '../../recipe/recipeName';
import { type BatchRecord } from '../../yields/batchRecord';
import { type Cell, toCsv } from '../csv';

export const EXPORT_TABLES = [
  ...['picks', 'on-hand', 'garden', 'batches', 'jars', 'movements'],
  ...['supplies', 'goals', 'season', 'shopping'],
] as const;
export type ExportTable = (typeof EXPORT_TABLES)[number];

/** All that the tables are made of. */
export interface ExportParts {
  readonly mark: number;
  readonly places: readonly PantryPlace[];
  readonly bestMonths: BestMonths;
  readonly units: 'us' | 'metric';
  /** Where the household is: its dates are of there. */
  readonly timeZone?: string;
  readonly picks: readonly HarvestPick[];
  readonly lotChanges: readonly LotChange[];
  readonly plantings: readonly Planting[];
  readonly batches: readonly Batch[];
  readonly batchRecords: readonly BatchRecord[];
  readonly lots: readonly JarLot[];
  readonly movements: readonly Movement[];
  readonly hardware: readonly (Hardware & { readonly count: number })[];
  readonly goals: readonly ShelfGoal[];
  readonly season?: SeasonReport;
  /** What the season's days need, and what of it was ticked. */
  readonly shopping: readonly ShoppingItem[];
  readonly ticked: readonly string[];
}

/** A moment, or a day of which no time is told: a spreadsheet has cells for both. */
export interface When {
  readonly at: number;
  readonly isDay?: true;
}

export type TableCell = Cell | When;

export interface HouseholdTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly TableCell[])[];
}

/** One table of the household: masses in its units, its dates where it is, ids as they are kept. */
export function householdTable(table: ExportTable, parts: ExportParts): HouseholdTable {
  return TABLES[table](parts);
}

/** The same as CSV; dates year first, whatever order the household writes them in, since no program takes them amiss. */
export function exportCsv(table: ExportTable, parts: ExportParts): string {
  const { columns, rows } = householdTable(table, parts);
  return toCsv(
    columns,
    rows.map((row) => row.map((cell) => plainCell(cell, parts.timeZone))),
  );
}

function plainCell(cell: TableCell, timeZone: string | undefined): Cell {
  if (cell === null || typeof cell !== 'object') return cell;
  const day = localDay(cell.at, timeZone);
  if (cell.isDay) return day;
  const minute = localMinute(cell.at, timeZone);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${day} ${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}

const TABLES: Readonly<Record<ExportTable, (parts: ExportParts) => HouseholdTable>> = {
  picks: ({ picks, units }) => ({
    columns: [
      'id',
      'picked',
      'crop',
      unitOf(units),
      `of it soft ${unitOf(units)}`,
      'ripeness',
      'place',
      'source',
      'told',
      'left by a batch',
    ],
    rows: picks.map((pick) => [
      pick.id,
      { at: pick.pickedAt },
      produceRow(pick.crop).name,
      mass(pick.massKg, units),
      mass(pick.softKg, units),
      pick.ripeness,
      pick.place,
      pick.source,
      pick.told,
      pick.of ? LEFT_WORDS[pick.of.kind] : '',
    ]),
  }),
  batches: ({ batches, batchRecords, units }) => {
    const records = new Map(batchRecords.map((record) => [record.batchId, record]));
    return {
      columns: [
        'id',
        'started',
        'product',
        'crop',
        'size',
        'pack',
        'method',
        'altitude ft',
        'minutes',
        `produce ${unitOf(units)}`,
        'loads',
        'jars planned',
        'by size',
        'jars made',
        units === 'metric' ? 'juice litres' : 'juice quarts',
        `trimmings ${unitOf(units)}`,
        units === 'metric' ? 'cooked off litres' : 'cooked off quarts',
        'note',
        'record',
      ],
      rows: batches.map((batch) => {
        const record = records.get(batch.id);
        const crop = record?.crop ?? mainCropOf(batch);
        return [
          batch.id,
          { at: batch.startAt },
          nameOf(batch),
          crop === undefined ? null : produceRow(crop).name,
          batch.jar,
          batch.pack,
          // Of loads in canners of different ways each way once.
          [...new Set(batch.loads.map(({ way = batch.method }) => way))].join(', '),
          batch.altitudeFt,
          batch.processMinutes,
          mass(massKgOf(batch), units),
          batch.loads.length,
          jarsOf(batch),
          jarsWords(batch),
          record ? record.jars.map(({ jar, count }) => countJars(count, jar)).join(', ') : null,
          // Nothing stands where nothing was measured.
          record?.juiceMl == null ? null : volume(record.juiceMl, units),
          record?.trimmingsKg == null ? null : mass(record.trimmingsKg, units),
          record?.cookedOffMl == null ? null : volume(record.cookedOffMl, units),
          record?.note ?? null,
          record?.id ?? null,
        ];
      }),
    };
  },
  // Its columns are those that jars come in by: what goes out can be read back.
  jars: ({ lots, movements, places, mark, bestMonths }) => {
    const counts = jarCounts(lots, movements);
    const roots = rootLots(lots);
    const here = lots.filter(({ id }) => (counts.get(id) ?? 0) > 0);
    return {
      columns: ['product', 'size', 'jars', 'made', 'place', 'seal', 'best by', 'code', 'lot', 'load', 'card', 'crop'],
      rows: here.map((lot) => [
        recipeName(lot),
        lot.jar,
        counts.get(lot.id) ?? 0,
        { at: lot.madeAt, isDay: true },
        placeOf(places, lot.place).name,
        lot.seal,
        { at: keepsUntilOf(lot, bestMonths), isDay: true },
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
          { at: movement.at },
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
  'on-hand': ({ picks, batches, lotChanges, units }) => ({
    columns: ['crop', 'part', 'ripeness', 'place', unitOf(units), 'since', 'use by', 'left by a batch'],
    rows: onHand(picks, timedUses(batches), lotChanges).map((lot) => [
      produceRow(lot.crop).name,
      lot.part,
      lot.ripeness,
      lot.place,
      mass(lot.massKg, units),
      { at: lot.since, isDay: true },
      { at: lot.until, isDay: true },
      lot.of ? LEFT_WORDS[lot.of.kind] : '',
    ]),
  }),
  garden: ({ plantings, units }) => ({
    columns: [
      'id',
      'bed',
      'crop',
      'count',
      'unit',
      'first week',
      'fullest week',
      'last week',
      `usual ${unitOf(units)}`,
    ],
    rows: plantings.map((bed) => [
      bed.id,
      bed.name,
      produceRow(bed.crop).name,
      bed.count,
      bed.unit,
      bed.firstWeek,
      bed.peakWeek,
      bed.lastWeek,
      bed.usualKg === null ? null : mass(bed.usualKg, units),
    ]),
  }),
  supplies: ({ hardware }) => ({
    columns: ['what', 'size', 'mouth', 'count'],
    rows: hardware.map(({ kind, size, mouth, count }) => [
      { jar: 'jars', lid: 'lids', 'reusable-lid': 'reusable lids', band: 'bands' }[kind],
      size ?? '',
      mouth,
      count,
    ]),
  }),
  goals: ({ goals }) => ({
    columns: ['product', 'size', 'jars', 'used a month', 'priority'],
    rows: goals.map(({ product, jar, jars, perMonth, priority }) => [
      productRow(product).name,
      jar,
      jars,
      perMonth,
      priority,
    ]),
  }),
  season: ({ season, units }) => ({
    columns: ['day', 'jars', 'size', 'product', 'loads', 'of', 'minutes of hands'],
    rows: (season?.days ?? []).flatMap(({ day, batches }) =>
      batches.map((batch) => [
        day,
        batch.jars,
        batch.jar,
        reportedName(batch),
        batch.loads,
        batch.from ??
          batch.crops
            .map(({ crop, massKg }) => `${mass(massKg, units)} ${unitOf(units)} ${produceRow(crop).name}`)
            .join(', '),
        Math.round(batch.handsMinutes),
      ]),
    ),
  }),
  shopping: ({ shopping, ticked, units }) => ({
    columns: ['what', 'amount', 'needed by', 'here', 'bought'],
    rows: shopping.map((item) => [
      item.words,
      amountToBuy(item, units),
      item.neededOn,
      item.here ?? null,
      ticked.includes(item.key) ? 'yes' : 'no',
    ]),
  }),
};

function unitOf(units: 'us' | 'metric'): 'kg' | 'lb' {
  return units === 'metric' ? 'kg' : 'lb';
}

/** To the thousandth: finer is what the computer makes of pounds. */
function mass(massKg: number, units: 'us' | 'metric'): number {
  return Math.round((units === 'metric' ? massKg : massKg / KG_PER_LB) * 1_000) / 1_000;
}

/** Litres or quarts. */
function volume(ml: number, units: 'us' | 'metric'): number {
  return Math.round((ml / (units === 'metric' ? 1_000 : ML_PER_QUART)) * 1_000) / 1_000;
}
