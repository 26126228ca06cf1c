import * as v from 'valibot';
import { EXPORT_TABLES } from '@hoddle/core/formats/tablesOut/householdTables';

/** The query of `GET /api/export`: which table, or as XLSX all of them, a sheet each. */
export const ExportQuery = v.pipe(
  v.object({
    table: v.picklist([...EXPORT_TABLES, 'all'], `must be one of ${EXPORT_TABLES.join(', ')}, all`),
    format: v.optional(v.picklist(['csv', 'xlsx'], 'must be csv or xlsx'), 'csv'),
  }),
  v.forward(
    v.check(({ table, format }) => table !== 'all' || format === 'xlsx', 'of all tables there is only XLSX'),
    ['table'],
  ),
);
