import { Router } from 'express';
import * as v from 'valibot';
import { ExportQuery } from '@hoddle/contract/exportQuery';
import { usualOrder } from '@hoddle/core/measure/dateWords';
import {
  EXPORT_TABLES,
  exportCsv,
  type ExportTable,
  householdTable,
} from '@hoddle/core/formats/tablesOut/householdTables';
import { exportParts } from '../db/exportParts';
import { type Database } from '../db/openDatabase';
import { readSettings } from '../db/readState';
import { xlsxFile } from '../paper/xlsxFile';

const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** `GET /api/export?table=jars`: a table as CSV, with a byte order mark for spreadsheets; or as XLSX, one or all of them. */
export function exportsRoute(db: Database): Router {
  return Router().get('/export', async (req, res) => {
    const { table, format } = v.parse(ExportQuery, req.query);
    const parts = await exportParts(db);
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
