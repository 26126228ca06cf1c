import { resolve } from 'node:path';
import { backupsOf } from '../db/openDatabase';

/** The household's file and the folder of its backups, as the server takes them. */
export function householdFiles(): { readonly file: string; readonly backups: string } {
  const file = resolve(process.env.HODDLE_DB ?? 'data/hoddle.sqlite');
  return { file, backups: resolve(process.env.HODDLE_BACKUPS ?? backupsOf(file)) };
}

/** One line, and out. */
export function giveUp(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(1);
}
