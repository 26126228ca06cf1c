import { existsSync, readFileSync } from 'node:fs';

/** https://www.sqlite.org/fileformat2.html, "The Write-Ahead Log": a header of 32 bytes, then frames, each with one of 24. */
const HEADER = 32;
const FRAME_HEADER = 24;
const MAGIC = 0x37_7f_06_82;

/**
 * Looks at the write-ahead log that a stopped server left: SQLite reads it up to the first frame whose sum does not fit, and
 * passes over the rest without a word. What was committed behind such a frame is lost then, and that has to be said.
 *
 * @param file the household's file; its log lies beside it
 * @returns how many commits stand behind the first damaged frame
 */
export function commitsLost(file: string): number {
  const log = `${file}-wal`;
  if (!existsSync(log)) return 0;
  const bytes = readFileSync(log);
  if (bytes.length < HEADER) return 0;
  const magic = bytes.readUInt32BE(0);
  const isBig = magic === MAGIC + 1;
  if (!isBig && magic !== MAGIC) return countCommits(bytes, HEADER, undefined);
  const pageSize = bytes.readUInt32BE(8) || 65_536;
  const salts = bytes.subarray(16, 24);
  let sum: Sum = sumOf(bytes.subarray(0, 24), [0, 0], isBig);
  if (!isSum(bytes, 24, sum)) return countCommits(bytes, HEADER, pageSize);
  for (let at = HEADER; at + FRAME_HEADER + pageSize <= bytes.length; at += FRAME_HEADER + pageSize) {
    const isOurs = bytes.subarray(at + 8, at + 16).equals(salts);
    const upTo = sumOf(
      bytes.subarray(at + FRAME_HEADER, at + FRAME_HEADER + pageSize),
      sumOf(bytes.subarray(at, at + 8), sum, isBig),
      isBig,
    );
    if (isOurs && isSum(bytes, at + 16, upTo)) {
      sum = upTo;
      continue;
    }
    // Frames of an earlier round of the log have other salts: it was begun anew, and nothing is lost.
    return countCommits(bytes, at, pageSize, salts);
  }
  return 0;
}

type Sum = readonly [number, number];

function isSum(bytes: Buffer, at: number, [a, b]: Sum): boolean {
  return bytes.readUInt32BE(at) === a && bytes.readUInt32BE(at + 4) === b;
}

/** The log's own checksum, "Checksum Algorithm" of the same page. */
function sumOf(bytes: Buffer, [a, b]: Sum, isBig: boolean): Sum {
  let [x, y] = [a, b];
  const word = (at: number) => (isBig ? bytes.readUInt32BE(at) : bytes.readUInt32LE(at));
  for (let at = 0; at + 8 <= bytes.length; at += 8) {
    x = (x + word(at) + y) >>> 0;
    y = (y + word(at + 4) + x) >>> 0;
  }
  return [x, y];
}

/** Frames that end a transaction, from a place on: those of these salts, where the header can still be believed. */
function countCommits(bytes: Buffer, from: number, pageSize: number | undefined, salts?: Buffer): number {
  if (pageSize === undefined || pageSize < 512 || pageSize > 65_536) return bytes.length > HEADER ? 1 : 0;
  let commits = 0;
  for (let at = from; at + FRAME_HEADER + pageSize <= bytes.length; at += FRAME_HEADER + pageSize) {
    const own = bytes.subarray(at + 8, at + 16);
    // One salt may itself be what was damaged.
    const isOurs =
      !salts || own.subarray(0, 4).equals(salts.subarray(0, 4)) || own.subarray(4).equals(salts.subarray(4));
    if (isOurs && bytes.readUInt32BE(at + 4) !== 0) commits += 1;
  }
  return commits;
}
