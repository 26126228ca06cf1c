import fc from 'fast-check';
import { arrivalOf } from './arrival';
import { type JarLot, jarCounts, type Movement, MOVEMENT_KINDS, MOVEMENT_WAYS } from './jarLot';
import { Ledger } from './ledger';
import { USUAL_PLACES } from './place';

const DAY = 24 * 60 * 60_000;

const lots: JarLot[] = ['a', 'b', 'c'].map((id, i) => ({
  id,
  product: i === 2 ? 'plums' : 'tomatoes-crushed',
  jar: 'quart',
  place: 'shelf',
  seal: 'sealed',
  madeAt: i * DAY,
  keepsUntil: (365 + i) * DAY,
}));

/** What many hands might ask for, some of it nonsense. */
const asked = fc.record({
  kind: fc.constantFrom(...MOVEMENT_KINDS),
  lot: fc.nat(2),
  jars: fc.integer({ min: 1, max: 4 }),
  day: fc.nat(400),
  undoes: fc.nat(60),
});

test('whatever is asked, in whatever order: the ledger counts as the plain sum does, and no lot ever holds fewer than none', () => {
  fc.assert(
    fc.property(fc.array(asked, { maxLength: 60 }), (wishes) => {
      const ledger = new Ledger(USUAL_PLACES);
      const known: JarLot[] = [...lots];
      lots.forEach((lot) => ledger.enterLot(lot));
      const kept: Movement[] = [];
      wishes.forEach(({ kind, lot, jars, day, undoes }, i) => {
        const lotId = lots[lot]!.id;
        const common = { id: `m${i}`, lotId, kind, jars, at: day * DAY };
        const target = kept[undoes];
        const movement: Movement | undefined =
          kind === 'undone'
            ? target && target.kind !== 'undone'
              ? { ...common, lotId: target.lotId, undoes: target.id }
              : undefined
            : MOVEMENT_WAYS[kind] === 'across'
              ? { ...common, intoLotId: `${lotId} ${kind}`, toPlace: 'refrigerator' }
              : common;
        if (!movement || !ledger.allows(movement)) return;
        const arrival = arrivalOf(lots[lot]!, movement, USUAL_PLACES);
        if (arrival.kind === 'lot' && !known.some(({ id }) => id === arrival.lot.id)) {
          known.push(arrival.lot);
          ledger.enterLot(arrival.lot);
        }
        ledger.enterMovement(movement);
        // Told twice, it is the same movement.
        ledger.enterMovement(movement);
        kept.push(movement);
        for (const each of known) expect(ledger.jars(each.id)).toBeGreaterThanOrEqual(0);
      });
      const plain = jarCounts(known, kept);
      for (const { id } of known) expect(ledger.jars(id)).toBe(plain.get(id) ?? 0);
    }),
    { numRuns: 400 },
  );
});

test('what is used is what was taken and opened, less what came back and was undone; gifts are no use', () => {
  const ledger = new Ledger(USUAL_PLACES);
  lots.forEach((lot) => ledger.enterLot(lot));
  const at = Date.UTC(2026, 0, 10);
  const move = (id: string, kind: Movement['kind'], jars: number, more: Partial<Movement> = {}) =>
    ledger.enterMovement({ id, lotId: 'a', kind, jars, at, ...more });
  move('in', 'stored', 12, { at: Date.UTC(2026, 0, 1) });
  move('1', 'taken', 3);
  move('2', 'given', 2);
  move('3', 'taken', 1);
  move('4', 'undone', 1, { undoes: '3' });
  move('5', 'returned', 1);
  ledger.enterLot({ ...lots[0]!, id: 'open', fromLotId: 'a', seal: 'opened', place: 'refrigerator' });
  move('6', 'opened', 1, { intoLotId: 'open', toPlace: 'refrigerator' });
  // The opened jar is finished: it counted when it was opened.
  move('7', 'taken', 1, { lotId: 'open' });
  const [record] = ledger.useRecords(at);
  // 3 taken, 1 opened, 1 came back.
  expect(record!.months[0]!.jars).toBeCloseTo(3, 9);
  expect(record!.months[0]!.days).toBeCloseTo(10, 1);
  expect(ledger.jars('a')).toBe(12 - 3 - 2 + 1 - 1);
});

test('days with an empty shelf say nothing of what would have been eaten', () => {
  const ledger = new Ledger(USUAL_PLACES);
  ledger.enterLot(lots[2]!);
  const on = (month: number, day: number) => Date.UTC(2026, month, day);
  ledger.enterMovement({ id: 'in', lotId: 'c', kind: 'stored', jars: 2, at: on(0, 1) });
  ledger.enterMovement({ id: 'out', lotId: 'c', kind: 'taken', jars: 2, at: on(0, 20) });
  const [record] = ledger.useRecords(on(5, 1));
  expect(record!.months.map(({ days }) => Math.round(days)).slice(1)).toEqual(Array(11).fill(0));
  expect(record!.months[0]!.jars / record!.months[0]!.days).toBeCloseTo(2 / 20, 2);
});
