import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dataOf, sumOf } from '../../src/backup/householdData';
import { fillHousehold } from '../../src/backup/insertHousehold';
import { openDatabase } from '../../src/db/openDatabase';
import { fennickHollow } from '../../src/demo/fennickHollow';
import { copyFile } from './flipBytes';

export function newFolder(): string {
  return mkdtempSync(join(tmpdir(), 'hoddle-trust-'));
}

/** The demo's household in a file, closed. */
export async function closedDemoFile(): Promise<{ file: string; sum: string }> {
  const file = join(newFolder(), 'household.sqlite');
  const db = await openDatabase(file);
  const { demoNow: _, ...household } = fennickHollow(new Date(2026, 7, 29, 7, 40));
  await fillHousehold(db, { ...household, demoOffsetMs: null });
  const sum = sumOf(dataOf(db.state.all));
  await db.close();
  return { file, sum };
}

/** The same with some writes after it in the log, as a killed server leaves both. */
export async function killedDemoFile(): Promise<{ file: string; sum: string }> {
  const { file } = await closedDemoFile();
  const db = await openDatabase(file);
  for (let n = 0; n < 20; n++) {
    const key = `${n} pounds of salt`;
    await db.write((transaction) => db.tables.shoppingTicks.create({ key }, { transaction }));
  }
  const sum = sumOf(dataOf(db.state.all));
  const killed = join(newFolder(), 'household.sqlite');
  copyFile(file, killed);
  await db.close();
  return { file: killed, sum };
}
