import fc from 'fast-check';
import { type Announced, MEASURES, stepInBase } from './instrument';
import { InstrumentBoard, type InstrumentLine } from './instrumentBoard';

const NOW = Date.UTC(2026, 7, 29, 14);
const probe: Announced = { id: 'p1', name: 'Canner', kind: 'probe', unit: 'C', step: 0.1, battery: 80 };
const announce = (more: Partial<Announced> = {}): InstrumentLine => ({ type: 'announce', ...probe, ...more });
const reading = (at: number, value: number, id = 'p1'): InstrumentLine => ({ type: 'reading', id, at, value });

test('readings come in one unit; a reading of nobody, in a unit of another kind or beyond a kitchen is set aside and counted', () => {
  const board = new InstrumentBoard();
  expect(board.take(reading(NOW, 100), NOW)).toEqual({ kind: 'set-aside', why: 'unannounced' });
  expect(board.take(announce({ unit: 'kg' }), NOW)).toEqual({ kind: 'set-aside', why: 'wrong-unit' });
  expect(board.take(announce({ step: 0 }), NOW)).toEqual({ kind: 'set-aside', why: 'wrong-step' });
  board.take(announce(), NOW);
  expect(board.take(reading(NOW, 100), NOW)).toEqual({ kind: 'reading', id: 'p1', at: NOW, value: 212 });
  for (const value of [4_000, -300, NaN, Infinity])
    expect(board.take(reading(NOW + 1, value), NOW + 1)).toEqual({ kind: 'set-aside', why: 'cannot-be' });
  expect(board.take(reading(NOW - 5, 99), NOW + 2)).toEqual({ kind: 'set-aside', why: 'out-of-order' });
  expect(board.take(announce({ kind: 'kitchen-scale', unit: 'g' }), NOW)).toMatchObject({ why: 'another-kind' });
  const last = { at: NOW, value: 212 };
  expect(board.instruments).toEqual([
    {
      ...probe,
      last,
      isLost: false,
      sharesName: false,
      setAside: { 'cannot-be': 4, 'out-of-order': 1, 'another-kind': 1 },
    },
  ]);
});

// NIST Special Publication 811: 1 lb is 453.59237 g, 1 psi is 6.894757 kPa; a degree Celsius is 1.8 Fahrenheit.
test('every unit leads to its base, and a step is no shift of the scale', () => {
  expect(MEASURES['hanging-scale'].toBase.lb?.(10)).toBeCloseTo(4_535.9237, 6);
  expect(MEASURES['kitchen-scale'].toBase.oz?.(16)).toBeCloseTo(453.59237, 6);
  expect(MEASURES['pressure-gauge'].toBase.kPa?.(68.94757)).toBeCloseTo(10, 6);
  expect(stepInBase({ kind: 'probe', unit: 'C', step: 0.5 })).toBeCloseTo(0.9, 9);
  expect(stepInBase({ kind: 'jar-counter', unit: 'F', step: 1 })).toBeUndefined();
});

test('a clock that is off by any amount is told, and what was kept while out of reach comes in where it belongs', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -36e5 * 30, max: 36e5 * 30 }),
      fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 3, maxLength: 30 }),
      (offMs, ways) => {
        const board = new InstrumentBoard();
        board.take(announce(), NOW);
        const shortest = Math.min(...ways);
        // Learned by one reading that came the shortest way, the later ones are right within what that took.
        board.take(reading(NOW - 1_000 + offMs, 20), NOW - 1_000 + shortest);
        ways.forEach((way, i) => {
          const at = NOW + i * 1_000;
          const taken = board.take(reading(at + offMs, 20), at + way);
          expect(taken).toEqual({ kind: 'reading', id: 'p1', at: at + shortest, value: 68 });
        });
        board.take({ type: 'lost', id: 'p1', at: NOW + offMs }, NOW + 40_000);
        expect(board.instruments[0]?.isLost).toBe(true);
        // Ten minutes later it tells what it kept.
        const kept = board.take(reading(NOW + 60_000 + offMs, 30), NOW + 660_000);
        expect(kept).toMatchObject({ kind: 'reading', at: NOW + 60_000 + shortest });
        expect(board.instruments[0]?.isLost).toBe(false);
        expect(board.instruments[0]?.clockBehindMs !== undefined).toBe(Math.abs(shortest - offMs) > 60_000);
      },
    ),
  );
});

test('a flood is cut at fifty a second, two of one name are told apart, and no list grows without end', () => {
  const board = new InstrumentBoard();
  board.take(announce(), NOW);
  board.take(announce({ id: 'p2', name: 'canner ' }), NOW);
  const taken = Array.from({ length: 400 }, (_, i) => board.take(reading(NOW + i, 50), NOW + i).kind);
  expect(taken.filter((kind) => kind === 'reading')).toHaveLength(50);
  expect(board.take(reading(NOW + 1_000, 50), NOW + 1_000).kind).toBe('reading');
  expect(board.instruments.map(({ id, sharesName }) => [id, sharesName])).toEqual([
    ['p1', true],
    ['p2', true],
  ]);
  for (let i = 0; i < 500; i++) board.take(announce({ id: `x${i}`, name: `x${i}` }), NOW);
  expect(board.instruments).toHaveLength(200);
});
