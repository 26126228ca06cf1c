import { createHash } from 'node:crypto';
import { Tokenizer, TokenParser, TokenType } from '@streamparser/json';
import canonicalize from 'canonicalize';
import * as v from 'valibot';
import { BACKUP_FORMAT, BACKUP_VERSION, BackupData, BackupHead } from '@hoddle/contract/backup';
import { notPlain } from '../plainJson';
import { hideMarks, withMarks } from './marks';
import { Problem } from '../problem';

/** The largest file: twenty years of a large household are about 20 MB. */
export const LARGEST_BACKUP = 200 * 1_024 * 1_024;

/** One row is never more; without a bound a file of rubbish would be kept in memory until its end. */
const ROW_BYTES = 4 * 1_024 * 1_024;
const ROW_TOKENS = 200_000;
const DEEPEST = 48;

const UNCHANGED = 'Nothing was changed.';

/** Parts whose rows are read one by one; the others are of a few values. */
const ENTRIES = BackupData.entries as Record<
  string,
  v.GenericSchema & { wrapped?: v.GenericSchema; item?: v.GenericSchema }
>;

function rowSchemaOf(part: string): v.GenericSchema | undefined {
  const schema = ENTRIES[part];
  return schema?.item ?? (schema?.wrapped as { item?: v.GenericSchema } | undefined)?.item;
}

/**
 * Reads a backup as it comes in, row by row: what is not one of its rows ends it at once, whatever follows.
 *
 * @param pieces the file's bytes
 * @throws Problem 422 with a sentence for a file that is cut short, newer, damaged or none of ours; 413 for one too large
 */
export async function readBackup(pieces: AsyncIterable<Uint8Array>): Promise<{ data: BackupData; head: BackupHead }> {
  const reading = new BackupReading();
  let bytes = 0;
  try {
    for await (const piece of hideMarks(pieces)) {
      bytes += piece.length;
      if (bytes > LARGEST_BACKUP) {
        throw new Problem(413, 'too-large', `A backup of more than 200 MB is none. ${UNCHANGED}`);
      }
      reading.read(piece);
    }
  } catch (error) {
    if (error instanceof Problem) throw error;
    // The line broke, or what was compressed is cut.
    throw reading.isOurs() ? cutShort() : noBackup();
  }
  if (bytes === 0) throw cutShort();
  return reading.end();
}

class BackupReading {
  private readonly head: Record<string, unknown> = {};
  private readonly rows: Record<string, unknown[]> = {};
  /** Rows of each part in their canonical form, for the sum. */
  private readonly texts: Record<string, string[]> = {};
  private readonly others: Record<string, unknown> = {};
  /** Parts that are there, with rows or without. */
  private readonly parts = new Set<string>();
  private readonly tokens = new Tokenizer();
  private readonly values = new TokenParser({
    paths: [
      '$.format',
      '$.version',
      '$.madeAt',
      '$.writes',
      '$.sha256',
      '$.data.*.*',
      '$.data.mark',
      '$.data.demoOffsetMs',
    ],
    keepStack: false,
  });
  private depth = 0;
  private sinceRow = 0;
  private bytesSinceRow = 0;
  private last: unknown;
  private over = false;

  constructor() {
    this.tokens.onToken = (token) => {
      this.hold(token.token, token.value);
      this.values.write(token);
    };
    this.values.onValue = ({ value, key, stack }) =>
      this.take(
        value,
        key,
        stack.map((each) => each.key),
      );
    this.values.onEnd = () => (this.over = true);
    this.tokens.onError = (error) => {
      throw error;
    };
    this.values.onError = (error) => {
      throw error;
    };
  }

  read(piece: Uint8Array): void {
    this.bytesSinceRow += piece.length;
    this.tokens.write(piece);
    if (this.bytesSinceRow > ROW_BYTES + piece.length) throw damaged('it', 'holds a row that is no row');
  }

  end(): { data: BackupData; head: BackupHead } {
    if (!this.isOurs()) throw noBackup();
    if (!this.over) throw cutShort();
    const head = v.safeParse(BackupHead, this.head);
    if (!head.success) throw damaged(...issueOf(head.issues));
    // Rows were held one by one as they came in; the rest is held here, with what an older file does not have.
    const rowless = v.safeParse(BackupData, { ...this.withoutRows(), ...this.others });
    if (!rowless.success) throw damaged(...issueOf(rowless.issues));
    if (this.sum() !== head.output.sha256) {
      throw new Problem(
        422,
        'damaged',
        `This backup was changed or damaged since it was made: its sum does not fit. ${UNCHANGED}`,
      );
    }
    return { data: { ...rowless.output, ...(this.rows as Partial<BackupData>) }, head: head.output };
  }

  /** A part that is there without a row is an empty one. */
  private withoutRows(): object {
    return Object.fromEntries([...this.parts].map((part) => [part, []]));
  }

  isOurs(): boolean {
    return this.head.format === BACKUP_FORMAT;
  }

  private hold(token: TokenType, value: unknown): void {
    if (token === TokenType.COLON && ['__proto__', 'constructor', 'prototype'].includes(String(this.last))) {
      throw new Problem(422, 'hostile', `This file holds what no backup holds. ${UNCHANGED}`);
    }
    if (token === TokenType.COLON && this.depth === 2) this.parts.add(String(this.last));
    this.last = token === TokenType.STRING ? value : undefined;
    if (token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET) this.depth += 1;
    if (token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET) this.depth -= 1;
    this.sinceRow += 1;
    // The head comes first: without it nothing of the rest is looked at.
    if (this.depth >= 2 && !this.isOurs()) throw noBackup();
    if (this.depth === 0 && token !== TokenType.RIGHT_BRACE) throw noBackup();
    if (this.depth > DEEPEST || this.sinceRow > ROW_TOKENS) throw damaged('it', 'holds a row that is no row');
  }

  private take(read: unknown, key: string | number | undefined, path: readonly (string | number | undefined)[]): void {
    this.sinceRow = 0;
    this.bytesSinceRow = 0;
    const [, , part] = path;
    const value = withMarks(read);
    const plain = notPlain(value);
    if (plain !== undefined) throw damaged(String(part ?? key), plain);
    if (path.length <= 1) {
      this.head[String(key)] = value;
      if (key === 'format' && !this.isOurs()) throw noBackup();
      if (key === 'version' && typeof value === 'number' && value > BACKUP_VERSION) throw newer(value);
      return;
    }
    if (part === undefined) {
      this.others[String(key)] = value;
      return;
    }
    if (typeof key === 'string') {
      this.others[part] = { ...(this.others[part] as object | undefined), [key]: value };
      return;
    }
    const told = v.safeParse(rowSchemaOf(String(part)) ?? v.unknown(), value);
    if (!told.success) {
      const [where, what] = issueOf(told.issues);
      throw damaged(`${part}.${key}.${where}`, what);
    }
    (this.rows[part] ??= []).push(told.output);
    (this.texts[part] ??= []).push(canonicalize(value) ?? 'null');
  }

  /** Of the data as it is in the file: an older Hoddle did not know of all that is there since. */
  private sum(): string {
    const hash = createHash('sha256').update('{');
    [...this.parts].sort().forEach((part, at) => {
      hash.update(`${at > 0 ? ',' : ''}${JSON.stringify(part)}:`);
      if (part in this.others) return hash.update(canonicalize(this.others[part]) ?? 'null');
      hash.update('[');
      (this.texts[part] ?? []).forEach((text, row) => hash.update(row > 0 ? `,${text}` : text));
      return hash.update(']');
    });
    return hash.update('}').digest('hex');
  }
}

function issueOf(issues: readonly v.BaseIssue<unknown>[]): [string, string] {
  const [issue] = issues;
  return [(issue && v.getDotPath(issue)) ?? 'the file', issue?.message ?? 'cannot be read'];
}

const noBackup = () => new Problem(422, 'no-backup', `This is not a backup of Hoddle. ${UNCHANGED}`);

const cutShort = () =>
  new Problem(422, 'cut-short', `This file ends before its end, or is no JSON: was it copied whole? ${UNCHANGED}`);

const damaged = (where: string, what: string) =>
  new Problem(422, 'damaged', `This backup is damaged: ${where} ${what}. ${UNCHANGED}`);

const newer = (version: number) =>
  new Problem(
    422,
    'newer',
    `This backup was made by a newer Hoddle (version ${version}; this one reads ${BACKUP_VERSION}). Update first. ${UNCHANGED}`,
  );
