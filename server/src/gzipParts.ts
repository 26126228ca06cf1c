import { promisify } from 'node:util';
import { constants, crc32, deflateRaw } from 'node:zlib';

const deflated = promisify(deflateRaw);

/** Text that is sent often, compressed once. */
export interface Zipped {
  readonly bytes: Buffer;
  readonly raw: Buffer;
}

/** Fast rather than small: a write may come every second. */
export async function zip(text: string): Promise<Zipped> {
  const raw = Buffer.from(text);
  return { raw, bytes: await deflated(raw, { level: constants.Z_BEST_SPEED }) };
}

/** Member header: deflate, no name, no time, unknown system. https://www.rfc-editor.org/rfc/rfc1952, 2.3. */
const HEADER = Buffer.from([0x1f, 0x8b, 8, 0, 0, 0, 0, 0, 0, 255]);

/**
 * A gzip member of a few fresh bytes and what was compressed before: the fresh ones go in as a stored block
 * (https://www.rfc-editor.org/rfc/rfc1951, 3.2.4), so that nothing large is compressed again.
 *
 * @param fresh at most 65,535 bytes
 */
export function gzipBehind(fresh: string, { bytes, raw }: Zipped): Buffer {
  const head = Buffer.from(fresh);
  if (head.length > 0xff_ff) throw new RangeError('a stored block holds 65,535 bytes');
  const block = Buffer.alloc(5);
  block.writeUInt16LE(head.length, 1);
  block.writeUInt16LE(~head.length & 0xff_ff, 3);
  const tail = Buffer.alloc(8);
  tail.writeUInt32LE(crc32(raw, crc32(head)), 0);
  tail.writeUInt32LE((head.length + raw.length) >>> 0, 4);
  return Buffer.concat([HEADER, block, head, bytes, tail]);
}
