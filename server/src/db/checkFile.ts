import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';

/** The first 16 bytes of every SQLite 3 file. https://www.sqlite.org/fileformat.html, "The Database Header". */
const MAGIC = 'SQLite format 3\0';

/** Where the header keeps the application's number (same page), and Hoddle's: the letters "HODL". */
const APPLICATION_ID_AT = 68;
export const APPLICATION_ID = 0x48_4f_44_4c;

/** A data file that cannot be used; the message is one line for whoever started the server. */
export class UnusableFile extends Error {}

/**
 * Looks at a data file without opening it as a database, so that a wrong one is left untouched.
 * A file that is not there yet, or empty, is fine: it will be made.
 *
 * @throws UnusableFile when it is a folder, not SQLite, or another program's database
 */
export function checkFile(file: string): void {
  if (!existsSync(file)) return;
  const { size } = statSync(file);
  if (statSync(file).isDirectory()) throw new UnusableFile(`${file} is a folder, not a data file.`);
  if (size === 0) return;
  const header = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  readSync(handle, header, 0, header.length, 0);
  closeSync(handle);
  if (header.toString('latin1', 0, MAGIC.length) !== MAGIC) {
    throw new UnusableFile(`${file} is not a SQLite file. It was left as it is; name another one in HODDLE_DB.`);
  }
  if (header.readUInt32BE(APPLICATION_ID_AT) !== APPLICATION_ID) {
    throw new UnusableFile(`${file} belongs to another program. It was left as it is; name another one in HODDLE_DB.`);
  }
}
