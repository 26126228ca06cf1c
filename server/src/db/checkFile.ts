import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';

/** The first 16 bytes of every SQLite 3 file. https://www.sqlite.org/fileformat.html, "The Database Header". */
const MAGIC = 'SQLite format 3\0';

/** A data file that cannot be used; the message is one line for whoever started the server. */
export class UnusableFile extends Error {
  /** Another process holds it: there is nothing wrong with it. */
  isHeld = false;
}

/**
 * Looks at a data file without opening it as a database, so that a wrong one is left untouched.
 * A file that is not there yet, or empty, is fine: it will be made.
 *
 * @throws UnusableFile when it is a folder or not SQLite
 */
export function checkFile(file: string): void {
  if (!existsSync(file)) return;
  const { size } = statSync(file);
  if (statSync(file).isDirectory()) throw new UnusableFile(`${file} is a folder, not a data file.`);
  if (size === 0) return;
  const header = Buffer.alloc(MAGIC.length);
  const handle = openSync(file, 'r');
  readSync(handle, header, 0, header.length, 0);
  closeSync(handle);
  if (header.toString('latin1', 0, MAGIC.length) !== MAGIC) {
    throw new UnusableFile(`${file} is not a SQLite file. It was left as it is; name another one in HODDLE_DB.`);
  }
}
