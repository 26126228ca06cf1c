import { type ExportParts } from '@hoddle/core/formats/tablesOut/householdTables';
import { localDay } from '@hoddle/core/measure/localTime';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { shoppingList } from '@hoddle/core/season/report/shoppingList';
import { learnYields } from '@hoddle/core/yields/yieldModel';
import { type Database } from './openDatabase';
import { all, readBatchesTold, readBatchRecords, readHousehold, readSettings, readState } from './readState';

/** All that tables and files for other programs are made of. */
export async function exportParts(db: Database): Promise<ExportParts> {
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
