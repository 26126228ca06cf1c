import { Router } from 'express';
import * as v from 'valibot';
import { ExportQuery } from '@hoddle/contract/exportQuery';
import { localDay } from '@hoddle/core/measure/localTime';
import { usualOrder } from '@hoddle/core/measure/dateWords';
import { type SeasonReport } from '@hoddle/core/season/seasonReport';
import { shoppingList } from '@hoddle/core/season/shoppingList';
import { learnYields } from '@hoddle/core/yields/yieldModel';
import {
  EXPORT_TABLES,
  exportCsv,
  type ExportParts,
  type ExportTable,
  householdTable,
} from '@hoddle/core/formats/tablesOut/householdTables';
import { type Database } from '../db/openDatabase';
import { all, readBatchesTold, readBatchRecords, readHousehold, readSettings, readState } from '../db/readState';
import { xlsxFile } from '../paper/xlsxFile';

const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** `GET /api/export?table=jars`: a table as CSV, with a byte order mark for spreadsheets; or as XLSX, one or all of them. */
export function exportsRoute(db: Database): Router {
  return Router().get('/export', async (req, res) => {
    const { table, format } = v.parse(ExportQuery, req.query);
    const parts = await partsOf(db);
    const { units, dateOrder } = readSettings(db);
    res.attachment(`hoddle-${table}.${format}`);
    if (format === 'csv' && table !== 'all') return void res.type('text/csv').send(`\uFEFF${exportCsv(table, parts)}`);
    const named: readonly ExportTable[] = table === 'all' ? EXPORT_TABLES : [table];
    const file = await xlsxFile(
      named.map((name) => ({ name, ...householdTable(name, parts) })),
      { dateOrder: dateOrder ?? usualOrder(units), timeZone: parts.timeZone, madeAt: Date.now() },
    );
    res.type(XLSX_TYPE).send(file);
  });
}

/** All that the tables are made of. */
export async function partsOf(db: Database): Promise<ExportParts> {
  const { mark } = readHousehold(db);
  const { places, bestMonths, kitchen, units } = readSettings(db);
  const { season, hardware, hardwareMoves, goals, plantings, lotChanges, now } = readState(db);
  const records = readBatchRecords(db);
  const plan = season.plan as SeasonReport | null;
  const { timeZone } = kitchen;
  return {
    ...{ mark, places, bestMonths, units, hardware, goals, plantings, lotChanges, ticked: season.ticked },
    ...(timeZone !== undefined && { timeZone }),
    picks: await all(db.tables.picks, [['pickedAt', 'ASC']]),
    batches: await readBatchesTold(db),
    batchRecords: records,
    lots: [...db.pantry.all.allLots()],
    movements: [...db.pantry.all.allMovements()],
    ...(plan && { season: plan }),
    shopping: plan
      ? shoppingList(plan, localDay(now, timeZone), hardware, hardwareMoves, learnYields(records, now))
      : [],
  };
}
