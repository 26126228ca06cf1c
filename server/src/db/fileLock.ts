import { closeSync, existsSync, openSync, readFileSync, realpathSync, renameSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import sqlite3 from 'sqlite3';
import * as v from 'valibot';
import { UnusableFile } from './checkFile';

/** Who holds a household's file, written beside it for whoever finds it taken. It stays when the server has stopped. */
const HolderSchema = v.object({
  pid: v.number(),
  since: v.number(),
  /** Where it answers, once it does. */
  address: v.optional(v.string()),
  /** The household's own number: that there was one here. */
  mark: v.optional(v.number()),
});
export type Holder = v.InferOutput<typeof HolderSchema>;

export interface FileLock {
  /** Tells more of who holds it. */
  tell(more: Partial<Holder>): void;
  release(): Promise<void>;
}

const holderOf = (file: string) => `${file}.holder`;

/** Who holds the file, or held it last. */
export function readHolder(file: string): Holder | undefined {
  try {
    const told = v.safeParse(HolderSchema, JSON.parse(readFileSync(holderOf(file), 'utf8')));
    return told.success ? told.output : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Takes a household's file for this process alone, until it is released or the process ends, however it ends: the lock is one of
 * the operating system, taken by SQLite upon an empty file beside it, so that none is left behind.
 * https://www.sqlite.org/lockingv3.html, "exclusive".
 *
 * @throws UnusableFile when another process holds it; its line says which
 */
export async function lockFile(file: string): Promise<FileLock> {
  const known = existsSync(file) ? realpathSync(file) : file;
  const lock = `${known}.lock`;
  closeSync(openSync(lock, 'a', 0o600));
  const db = new sqlite3.Database(lock);
  const run = promisify<string, unknown>(db.exec.bind(db) as never);
  try {
    await run('PRAGMA busy_timeout = 0; PRAGMA journal_mode = MEMORY; BEGIN EXCLUSIVE');
  } catch {
    await promisify(db.close.bind(db))();
    throw Object.assign(new UnusableFile(heldWords(file, readHolder(known))), { isHeld: true });
  }
  let holder: Holder = { ...readHolder(known), pid: process.pid, since: Date.now() };
  delete holder.address;
  const tell = (more: Partial<Holder>) => {
    holder = { ...holder, ...more };
    const fresh = `${holderOf(known)}.part`;
    writeFileSync(fresh, JSON.stringify(holder), { mode: 0o600 });
    renameSync(fresh, holderOf(known));
  };
  tell({});
  return { tell, release: () => promisify(db.close.bind(db))() };
}

function heldWords(file: string, holder: Holder | undefined): string {
  if (!holder) return `${file} is in use by another Hoddle. Stop that one first.`;
  const since = new Date(holder.since).toISOString().slice(0, 16).replace('T', ' ');
  const where = holder.address === undefined ? '' : ` at ${holder.address}`;
  return `${file} is in use by another Hoddle: process ${holder.pid}${where}, since ${since} UTC. Stop that one first.`;
}
