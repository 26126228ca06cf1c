/** U+FEFF in UTF-8, and as JSON writes it out. */
const MARK = Buffer.from('\uFEFF');
const ESCAPED = Buffer.from('\\ufeff');

/**
 * Writes out byte order marks that stand in a JSON text, because decoders drop them: a note that begins with one would come out
 * as another note, and the sum of the file would not fit. One at the very start, which an editor puts there, is left away.
 */
export async function* escapeMarks(pieces: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  let held = Buffer.alloc(0);
  let isFirst = true;
  for await (const piece of pieces) {
    let rest =
      held.length > 0 ? Buffer.concat([held, piece]) : Buffer.from(piece.buffer, piece.byteOffset, piece.length);
    if (isFirst && rest.length < MARK.length) {
      held = Buffer.from(rest);
      continue;
    }
    if (isFirst && rest.subarray(0, MARK.length).equals(MARK)) rest = rest.subarray(MARK.length);
    isFirst = false;
    for (let at = rest.indexOf(MARK); at >= 0; at = rest.indexOf(MARK)) {
      yield rest.subarray(0, at);
      yield ESCAPED;
      rest = rest.subarray(at + MARK.length);
    }
    // A mark may be cut by the end of a piece.
    const open = openMark(rest);
    held = Buffer.from(rest.subarray(rest.length - open));
    yield rest.subarray(0, rest.length - open);
  }
  if (held.length > 0) yield held;
}

/** How many bytes at the end begin a mark. */
function openMark(bytes: Buffer): number {
  for (const length of [2, 1]) {
    if (bytes.length >= length && bytes.subarray(bytes.length - length).equals(MARK.subarray(0, length))) return length;
  }
  return 0;
}
