import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Backups taken by themselves: the moment is in the name, so that a folder can be read without opening them. */
const BACKUP = /^hoddle-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})Z\.json\.gz$/;

/** Copies of the file itself, taken before it was changed as a whole. */
const BEFORE = /^before-(upgrade|restore)-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z\.sqlite$/;

/** What a copy of the file was taken before. */
export type Before = 'upgrade' | 'restore';

export interface NamedFile {
  readonly name: string;
  readonly at: number;
}

export function backupName(at: number): string {
  return `hoddle-${new Date(at).toISOString().slice(0, 19).replaceAll(':', '-')}Z.json.gz`;
}

/** A path in the folder that nothing has yet. */
export function beforeName(folder: string, before: Before, at: number): string {
  const name = join(folder, `before-${before}-${new Date(at).toISOString().replace(/[:.]/g, '-')}.sqlite`);
  return existsSync(name) ? beforeName(folder, before, at + 1) : name;
}

/** Backups in a folder, the newest first. */
export function backupsIn(folder: string): NamedFile[] {
  return named(folder, BACKUP, ([, day, hour, minute, second]) => Date.parse(`${day}T${hour}:${minute}:${second}Z`));
}

/** Copies taken before the file was changed as a whole, the newest first. */
export function copiesIn(folder: string, before: Before): NamedFile[] {
  return named(folder, BEFORE, ([, which, day, hour, minute, second, ms]) =>
    which === before ? Date.parse(`${day}T${hour}:${minute}:${second}.${ms}Z`) : NaN,
  );
}

/** The path of the newest backup, or undefined where there is none. */
export function newestBackup(folder: string): string | undefined {
  const [newest] = backupsIn(folder);
  return newest && join(folder, newest.name);
}

function named(folder: string, pattern: RegExp, timeOf: (found: RegExpExecArray) => number): NamedFile[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const found = pattern.exec(name);
      const at = found ? timeOf(found) : NaN;
      return Number.isNaN(at) ? [] : [{ name, at }];
    })
    .sort((a, b) => b.at - a.at);
}
