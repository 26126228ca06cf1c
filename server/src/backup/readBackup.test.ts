import fc from 'fast-check';
import canonicalize from 'canonicalize';
import { createHash } from 'node:crypto';
import { type BackupData } from '@hoddle/contract/backup';
import { fennickHollow } from '../demo/fennickHollow';
import { inCanonicalOrder, sumOf } from './householdData';
import { readBackup } from './readBackup';
import { backupPieces } from './writeBackup';

const { demoNow: _, ...demo } = fennickHollow(new Date(2026, 7, 29));
const data = inCanonicalOrder({ ...demo, demoOffsetMs: 0 });
const HEAD = { madeAt: Date.UTC(2026, 7, 29), writes: 7 };

/** The bytes in pieces of any size, as a network cuts them. */
async function* cutInto(text: string, sizes: readonly number[]): AsyncGenerator<Uint8Array> {
  const bytes = Buffer.from(text);
  for (let at = 0, n = 0; at < bytes.length; n++) {
    const size = sizes[n % sizes.length] ?? 1;
    yield bytes.subarray(at, at + size);
    at += size;
  }
}

// RFC 8785 by a library that knows nothing of rows or streams.
test('the sum taken row by row is the one of the whole canonical text', () => {
  expect(sumOf(data)).toBe(
    createHash('sha256')
      .update(canonicalize(data) ?? '')
      .digest('hex'),
  );
});

test('what is written is read back the same, however it is cut and whatever is in its words', async () => {
  const words = fc
    .string({ unit: 'grapheme', maxLength: 20 })
    .map((text) => text.replace(/[\u0000-\u001f\u007f\ufffe\uffff]/g, ''));
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.oneof(words, fc.constantFrom('\uFEFFjam', 'a\uFEFF', '"\\', '💥', '__proto__', '\\ufeff')), {
        maxLength: 6,
      }),
      fc.array(fc.integer({ min: 1, max: 9_000 }), { minLength: 1, maxLength: 5 }),
      async (notes, sizes) => {
        const ticked = [...new Set(notes.filter((note) => note.trim() !== '' && note.length < 60))];
        const own = { ...data, season: { ...data.season, ticked } } as BackupData;
        const text = [...backupPieces(own, HEAD)].join('');
        const back = await readBackup(cutInto(text, sizes));
        expect(sumOf(back.data)).toBe(sumOf(own));
        expect(back.head.writes).toBe(7);
      },
    ),
    { numRuns: 12, seed: 20_260_829 },
  );
});
