/** The byte order mark U+FEFF in UTF-8, and the one character that no text of a household holds, which stands in for it. */
const MARK = Buffer.from('\uFEFF');
const STAND_IN = '\uFFFE';
const STANDS_IN = Buffer.from(STAND_IN);

/**
 * Puts another character in the place of byte order marks in a JSON text, because decoders drop them: a note that begins with one
 * would come out as another note, and the sum of the file would not fit. One at the very start, which an editor puts there, is
 * left away.
 */
export async function* hideMarks(pieces: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
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
      yield STANDS_IN;
      rest = rest.subarray(at + MARK.length);
    }
    // A mark may be cut by the end of a piece.
    const open = openMark(rest);
    held = Buffer.from(rest.subarray(rest.length - open));
    yield rest.subarray(0, rest.length - open);
  }
  if (held.length > 0) yield held;
}

/** A value with its marks back. */
export function withMarks(value: unknown): unknown {
  const text = JSON.stringify(value) ?? '';
  return text.includes(STAND_IN) ? (JSON.parse(text.replaceAll(STAND_IN, '\uFEFF')) as unknown) : value;
}

/** How many bytes at the end begin a mark. */
function openMark(bytes: Buffer): number {
  for (const length of [2, 1]) {
    if (bytes.length >= length && bytes.subarray(bytes.length - length).equals(MARK.subarray(0, length))) return length;
  }
  return 0;
}
