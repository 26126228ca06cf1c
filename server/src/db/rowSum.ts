import { crc32 } from 'node:zlib';

/**
 * A sum of what a row holds, kept beside it: SQLite does not see a digit that changed on the disk. Of the values as they are
 * read, columns in the order of their names; what is null is left out, so that a column that comes later changes no sum.
 *
 * Method: CRC-32 (ISO 3309), which finds every change of up to 32 bits in a row.
 *
 * @param row plain values by column, its own sum left aside
 */
export function sumOfRow(row: object): number {
  const told = Object.entries(row)
    .filter(([column, value]) => column !== SUM && value !== null && value !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return crc32(JSON.stringify(told));
}

/** The column that holds it. */
export const SUM = 'sum';
