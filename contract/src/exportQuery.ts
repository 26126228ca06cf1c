import * as v from 'valibot';
import { EXPORT_TABLES } from '@hoddle/core/formats/exportTables';

/** The query of `GET /api/export`: which table. */
export const ExportQuery = v.object({
  table: v.picklist(EXPORT_TABLES, `must be one of ${EXPORT_TABLES.join(', ')}`),
});
