import fc from 'fast-check';
import { type Write } from '../write';
import { backoffMs, heldBy, nextToSend } from './nextToSend';
import { isWaiting, type OutboxRow } from './outboxRow';

/** Things by small names: picks, batches with two loads each, lots. */
const write = fc.oneof(
  fc.nat(2).map((n) => ({ kind: 'pick', pick: { id: `p${n}` } })),
  fc.nat(2).map((n) => ({ kind: 'pick-struck', pickId: `p${n}` })),
  fc.nat(2).map((n) => ({ kind: 'lot-change', change: { id: `c${n}`, pickIds: [`p${n}`] } })),
  fc.nat(1).map((n) => ({
    kind: 'batch',
    batch: { id: `b${n}`, uses: [{ pickId: `p${n}` }], loads: [{ id: `l${n}0` }, { id: `l${n}1` }] },
  })),
  fc.tuple(fc.nat(1), fc.nat(1), fc.nat(99)).map(([n, k, e]) => ({
    kind: 'event',
    event: { id: `e${e}`, loadId: `l${n}${k}`, type: 'seal-checked', sealedLotId: `j${n}${k}` },
  })),
  fc.tuple(fc.nat(1), fc.nat(1), fc.nat(99)).map(([n, k, m]) => ({
    kind: 'movement',
    movement: { id: `m${m}`, lotId: `j${n}${k}`, kind: 'taken' },
  })),
) as fc.Arbitrary<Write>;

/** What the server does with an entry when it is sent: the first of these that is left; then it keeps it. */
const fates = fc.array(fc.constantFrom('kept', 'trouble', 'refused'), { maxLength: 3 });
const outbox = fc.array(fc.tuple(write, fates), { minLength: 1, maxLength: 14 });

/** The names in a write and those it makes, by looking at its text: not by the code under test. */
const texts = (each: Write) => new Set(JSON.stringify(each).match(/"[pbcljem]\d+"/g) ?? []);
const makes = (each: Write): Set<string> => {
  const own = [...texts(each)];
  const isOf = (letters: string) => own.filter((name) => letters.includes(name[1] ?? ''));
  if (each.kind === 'pick') return new Set(isOf('p'));
  if (each.kind === 'batch') return new Set(isOf('bl'));
  if (each.kind === 'event') return new Set(isOf('ej'));
  if (each.kind === 'movement') return new Set(isOf('m'));
  return new Set();
};
const share = (a: Set<string>, b: Set<string>) => [...a].some((name) => b.has(name));

test('each entry is sent until it is answered; what names one thing keeps its order; nothing waits for what it does not need', () => {
  fc.assert(
    fc.property(outbox, (entries) => {
      let rows: OutboxRow[] = entries.map(([each], i) => ({ seq: i, id: `${i}`, write: each, enteredAt: 0, tries: 0 }));
      const left = entries.map(([, each]) => [...each]);
      const answered: number[] = [];
      let now = 0;
      for (let turn = 0; turn < 500; turn++) {
        const next = nextToSend(rows, now);
        if (next === undefined) break;
        if ('at' in next) {
          expect(next.at).toBeGreaterThan(now);
          now = next.at;
          continue;
        }
        const { seq, tries } = next.row;
        expect(isWaiting(next.row)).toBe(true);
        expect(next.row.nextAt ?? 0).toBeLessThanOrEqual(now);
        const fate = left[seq]?.shift() ?? 'kept';
        if (fate !== 'trouble') answered.push(seq);
        const refused = { code: 'no', message: 'No.', at: now };
        const by =
          fate === 'trouble'
            ? { tries: tries + 1, nextAt: now + backoffMs(tries + 1, 0.5) }
            : fate === 'refused'
              ? { refused }
              : { sent: { epoch: 'a', revision: 1 } };
        rows = rows.map((row) => (row.seq === seq ? { ...row, ...by } : row));
      }
      expect(nextToSend(rows, Infinity)).toBeUndefined();
      // Once each, and in order where they name the same thing.
      expect(new Set(answered).size).toBe(answered.length);
      for (const [i, later] of answered.entries()) {
        for (const sooner of answered.slice(i + 1)) {
          if (sooner > later) continue;
          const [a, b] = [rows[sooner], rows[later]] as [OutboxRow, OutboxRow];
          expect(share(texts(a.write), texts(b.write))).toBe(false);
        }
      }
      // What is left needs what a refused one would have made, or what such a one needs.
      const missing = new Set<string>();
      for (const row of rows) {
        if (row.refused) for (const name of makes(row.write)) missing.add(name);
        if (!isWaiting(row)) continue;
        expect(share(texts(row.write), missing)).toBe(true);
        for (const name of texts(row.write)) missing.add(name);
      }
    }),
    { numRuns: 2_000, seed: 20261129 },
  );
});

test('what is held back is told by what; it goes once that is given up', () => {
  const [batch, event] = [
    { kind: 'batch', batch: { id: 'b', loads: [{ id: 'l' }] } },
    { kind: 'event', event: { id: 'e', loadId: 'l', type: 'jars-out' } },
  ] as unknown as Write[];
  if (!batch || !event) throw new Error('none');
  const refused = { code: 'no', message: 'No.', at: 0 };
  const first = { seq: 0, id: '0', write: batch, enteredAt: 0, tries: 0, refused };
  const second = { seq: 1, id: '1', write: event, enteredAt: 0, tries: 0 };
  expect(nextToSend([first, second], 0)).toBeUndefined();
  expect(heldBy(second, [first, second])).toBe(first);
  expect(nextToSend([second], 0)).toEqual({ row: second });
});
