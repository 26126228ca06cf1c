import { Problem } from '../problem';

/** What keeps the household's file from being written, for people and for `GET /api/health`. */
export type FileState = 'ok' | 'gone' | 'full' | 'read-only' | 'damaged' | 'failing';

const WORDS: Readonly<Record<Exclude<FileState, 'ok'>, string>> = {
  gone: 'The household’s file is not where it was: it was deleted or moved while Hoddle ran.',
  full: 'The disk is full.',
  'read-only': 'The household’s file can only be read, not written.',
  damaged: 'The household’s file is damaged.',
  failing: 'The disk does not take what is written.',
};

/** https://www.sqlite.org/rescode.html */
const STATES: Readonly<Record<string, Exclude<FileState, 'ok'>>> = {
  SQLITE_FULL: 'full',
  SQLITE_READONLY: 'read-only',
  SQLITE_CANTOPEN: 'read-only',
  SQLITE_IOERR: 'failing',
  SQLITE_CORRUPT: 'damaged',
  SQLITE_NOTADB: 'damaged',
};

/** What SQLite's error says of the file, or undefined where it is of something else. */
export function fileStateOf(error: unknown): Exclude<FileState, 'ok'> | undefined {
  for (let cause: unknown = error; typeof cause === 'object' && cause !== null;) {
    const { code, original, parent } = cause as { code?: unknown; original?: unknown; parent?: unknown };
    if (typeof code === 'string' && code in STATES) return STATES[code];
    cause = original ?? parent;
  }
  return undefined;
}

/** Nothing was written, and why: reading goes on. */
export function notKept(state: Exclude<FileState, 'ok'>): Problem {
  return new Problem(503, `file-${state}`, `${WORDS[state]} Nothing was saved; what is there can still be read.`);
}
