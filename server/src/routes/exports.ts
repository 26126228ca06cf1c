import { Router } from 'express';
import * as v from 'valibot';
import { ExportQuery } from '@hoddle/contract/exportQuery';
import { exportCsv } from '@hoddle/core/formats/exportTables';
import { type Database } from '../db/openDatabase';
import { all, readBatchesTold, readBatchRecords, readHousehold, readSettings } from '../db/readState';

/** `GET /api/export?table=jars`: picks, batches, jars or movements as CSV, with a byte order mark for spreadsheets. */
export function exportsRoute(db: Database): Router {
  return Router().get('/export', async (req, res) => {
    const { table } = v.parse(ExportQuery, req.query);
    const { mark } = readHousehold(db);
    const { places, bestMonths, kitchen } = readSettings(db);
    const csv = exportCsv(table, {
      mark,
      places,
      bestMonths,
      timeZone: kitchen.timeZone,
      picks: table === 'picks' ? await all(db.tables.picks, [['pickedAt', 'ASC']]) : [],
      batches: table === 'batches' ? await readBatchesTold(db) : [],
      batchRecords: table === 'batches' ? readBatchRecords(db) : [],
      lots: [...db.pantry.all.allLots()],
      movements: [...db.pantry.all.allMovements()],
    });
    res.attachment(`hoddle-${table}.csv`).type('text/csv').send(`\uFEFF${csv}`);
  });
}
