import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { backupsIn, type NamedFile } from './backupNames';

const DAILY = 7;
const WEEKLY = 5;
const MONTHLY = 12;

/** So many copies of before an upgrade, and so many of before a restore: the newest. */
const COPIES = 5;

/** All of two days stay: one taken by hand takes no other's place while it may still be regretted. */
const ALL_FOR_MS = 48 * 60 * 60_000;

/**
 * Which backups stay: all of the last two days, and of each of the last 7 days, 5 weeks and 12 months that have any, the newest. Days, weeks from Monday and
 * months are those of UTC, so that a household that moves loses none.
 *
 * @param backups the newest first
 */
export function keptOf(backups: readonly NamedFile[]): ReadonlySet<string> {
  const kept = new Set<string>();
  const firsts = (most: number, spanOf: (at: number) => string | number) => {
    const spans = new Set<string | number>();
    for (const { name, at } of backups) {
      const span = spanOf(at);
      if (spans.has(span) || spans.size === most) continue;
      spans.add(span);
      kept.add(name);
    }
  };
  const newest = backups[0]?.at ?? 0;
  for (const { name, at } of backups) if (newest - at < ALL_FOR_MS) kept.add(name);
  firsts(DAILY, dayOf);
  // Day 0 was a Thursday.
  firsts(WEEKLY, (at) => Math.floor((dayOf(at) + 3) / 7));
  firsts(MONTHLY, (at) => new Date(at).toISOString().slice(0, 7));
  return kept;
}

const dayOf = (at: number) => Math.floor(at / (24 * 60 * 60_000));

export function pruneBackups(folder: string): void {
  const backups = backupsIn(folder);
  const kept = keptOf(backups);
  for (const { name } of backups) if (!kept.has(name)) rmSync(join(folder, name), { force: true });
}

/** Takes away what a killed process left half written. Only who holds the file may: nobody else writes there then. */
export function clearParts(folder: string): void {
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder)) {
    if (/^(hoddle|before)-.*\.part(-journal)?$/.test(name)) rmSync(join(folder, name), { force: true });
  }
}

/** @param copies the newest first */
export function pruneCopies(folder: string, copies: readonly NamedFile[]): void {
  for (const { name } of copies.slice(COPIES)) rmSync(join(folder, name), { force: true });
}
