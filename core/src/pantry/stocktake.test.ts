import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { ALL_HARDWARE, hardwareKey, type HardwareMove } from '../supplies/hardware';
import { arrivalOf } from './arrival';
import { eatNext } from './eatNext';
import { hardwareChanges, hardwareNeeds, hardwareStock, withChanges } from './hardwareStock';
import { type JarLot, jarCounts, type Movement } from './jarLot';
import { USUAL_PLACES } from './place';
import { recallOf } from './recall';
import { stockedLots } from './shelf';
import { corrections } from './stocktake';
import { disposalOf } from './trouble';

const DAY = 24 * 60 * 60_000;
const lot = (id: string, more: Partial<JarLot> = {}): JarLot => ({
  ...{
    id,
    product: 'tomatoes-crushed',
    jar: 'quart',
    place: 'shelf',
    seal: 'sealed',
    madeAt: 0,
    keepsUntil: 365 * DAY,
  },
  ...more,
});
const stored = (lotId: string, jars: number): Movement => ({ id: `${lotId} in`, lotId, kind: 'stored', jars, at: 1 });

test('after a stocktake there are as many as were counted, and what went, went from the front', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 }),
      fc.nat(60),
      (jars, counted) => {
        const lots = jars.map((_, i) => lot(`l${i}`, { madeAt: i * DAY }));
        const before = jars.map((count, i) => stored(`l${i}`, count));
        const stocked = stockedLots(lots, before, USUAL_PLACES);
        let ids = 0;
        const written = corrections(stocked, counted, 'missing', { at: 2, note: '', newId: () => `c${ids++}` });
        const counts = jarCounts(lots, [...before, ...written]);
        expect([...counts.values()].reduce((sum, count) => sum + count, 0)).toBe(counted);
        const left = lots.map(({ id }) => counts.get(id)!);
        // Older lots are emptied before younger ones are touched.
        const firstLeft = left.findIndex((count) => count > 0);
        expect(left.every((count, i) => i <= firstLeft || firstLeft < 0 || count >= jars[i]!)).toBe(true);
      },
    ),
  );
});

// Handbook rules 9 and 10: an unsealed or opened jar is refrigerated and used first; it does not go back to the shelf.
test('opened and unsealed jars go only into the cold, with the days of their kind', () => {
  const move = (kind: 'moved' | 'opened', toPlace: string): Movement => ({
    ...{ id: 'm', lotId: 'a', kind, jars: 1, at: 10 * DAY, intoLotId: 'b', toPlace },
  });
  expect(
    arrivalOf(lot('a', { seal: 'unsealed', place: 'refrigerator' }), move('moved', 'shelf'), USUAL_PLACES).kind,
  ).toBe('refused');
  expect(arrivalOf(lot('a'), move('opened', 'shelf'), USUAL_PLACES).kind).toBe('refused');
  const days = (product: JarLot['product'], to = 'refrigerator') => {
    const arrival = arrivalOf(lot('a', { product }), move('opened', to), USUAL_PLACES);
    return arrival.kind === 'lot' ? (arrival.lot.keepsUntil - 10 * DAY) / DAY : NaN;
  };
  expect([
    days('jam-with-pectin'),
    days('dilled-beans'),
    days('plums'),
    days('snap-beans'),
    days('marinated-peppers'),
  ]).toEqual([30, 60, 7, 3, 3]);
  expect(arrivalOf(lot('a'), move('moved', 'freezer'), USUAL_PLACES)).toMatchObject({
    lot: { seal: 'sealed', fromLotId: 'a' },
  });
});

test('carrying an open or unsealed jar, or opening an unsealed one, never gives it new days; past them it goes nowhere', () => {
  const second = { id: 'second', name: 'Cellar refrigerator', kind: 'refrigerator' } as const;
  const places = [...USUAL_PLACES, second];
  const cold = lot('a', { seal: 'unsealed', place: 'second', keepsUntil: 12 * DAY });
  for (const kind of ['moved', 'opened'] as const) {
    const movement = { id: 'm', lotId: 'a', kind, jars: 1, at: 10 * DAY, intoLotId: 'b', toPlace: 'refrigerator' };
    expect(arrivalOf(cold, movement, places)).toMatchObject({ lot: { keepsUntil: 12 * DAY } });
    expect(arrivalOf(cold, { ...movement, at: 13 * DAY, toPlace: 'freezer' }, places).kind).toBe('refused');
  }
});

test('eat next: what is open before what is unsealed, before what is past its best; past its days it is thrown away', () => {
  const lots = [
    lot('past', { madeAt: -400 * DAY }),
    lot('open', { seal: 'opened', place: 'refrigerator', keepsUntil: 3 * DAY }),
    lot('gone', { seal: 'opened', place: 'refrigerator', keepsUntil: -1 * DAY }),
    lot('unsealed', { seal: 'unsealed', place: 'refrigerator', keepsUntil: 1 * DAY }),
    lot('new', { product: 'plums', madeAt: -1 * DAY }),
  ];
  const list = eatNext(
    stockedLots(
      lots,
      lots.map(({ id }) => stored(id, 4)),
      USUAL_PLACES,
    ),
    [],
    0,
  );
  expect(list.map(({ lot: { id }, reason }) => [id, reason])).toEqual([
    ['gone', 'past-use'],
    ['open', 'opened'],
    ['unsealed', 'unsealed'],
    ['past', 'past-best'],
  ]);
});

test('a recall finds every jar of the batch: carried, opened, given away, and those of a load that shared the canner', () => {
  const load = (id: string, more = {}) => ({ id, number: 1, jars: 7, ...more });
  const batches = [
    { id: 'B', product: 'tomatoes-crushed', loads: [load('L1'), load('L2')] },
    { id: 'C', product: 'plums', loads: [load('M', { withLoadId: 'L1' })] },
    { id: 'D', product: 'plums', loads: [load('N')] },
  ] as unknown as Batch[];
  const lots = [
    lot('a', { loadId: 'L1' }),
    lot('kitchen', { loadId: 'L1', fromLotId: 'a', place: 'freezer' }),
    lot('b', { loadId: 'L2' }),
    lot('guest', { loadId: 'M', product: 'plums' }),
    lot('other', { loadId: 'N', product: 'plums' }),
  ];
  const movements: Movement[] = [
    ...['a', 'b', 'guest', 'other'].map((id) => stored(id, 7)),
    { id: 'x', lotId: 'a', kind: 'moved', jars: 2, at: 2, intoLotId: 'kitchen', toPlace: 'freezer' },
    { id: 'y', lotId: 'kitchen', kind: 'given', jars: 1, at: 3, note: 'to the fair' },
    { id: 'z', lotId: 'b', kind: 'taken', jars: 3, at: 4 },
    { id: 'w', lotId: 'b', kind: 'taken', jars: 1, at: 5 },
    { id: 'v', lotId: 'b', kind: 'undone', jars: 1, at: 6, undoes: 'w' },
  ];
  const recall = recallOf('kitchen', { batches, lots, movements })!;
  expect(recall.batch?.id).toBe('B');
  expect(recall.loads[0]?.load?.id).toBe('L1');
  const found = recall.loads.flatMap((each) => each.lots);
  expect(found.map((each) => [each.lot.id, each.jars]).sort()).toEqual([
    ['a', 5],
    ['b', 4],
    ['guest', 7],
    ['kitchen', 1],
  ]);
  expect([recall.made, recall.here]).toEqual([21, 17]);
  expect(found.flatMap((each) => each.movements.map(({ id }) => id))).not.toContain('w');
  expect(recallOf('nowhere', { batches, lots, movements })).toBeUndefined();
});

// USDA Complete Guide to Home Canning, 2015, guide 1, "Identifying and handling spoiled canned food", from memory.
test('an open or leaking jar is boiled 30 min before it is thrown away, a swollen sealed one is bagged unopened', () => {
  expect(disposalOf(['leaking'], 'tomato').steps.join(' ')).toMatch(
    /boil 30 min.*1 part unscented household bleach in 5 parts/s,
  );
  expect(disposalOf(['bulging'], 'low-acid').steps.join(' ')).toMatch(/Leave it closed.*heavy garbage bag/);
  for (const signs of [['bulging'], ['mould']] as const)
    expect(disposalOf(signs, 'fruit').steps.join(' ')).not.toMatch(/taste/);
});

test('jars and lids: what the shelf fills and empties is counted from when it was first told of, step by step as all at once', () => {
  const own = lot('a', { loadId: 'L' });
  const moveArbitrary = fc.record({
    kind: fc.constantFrom(
      'stored' as const,
      'taken' as const,
      'given' as const,
      'broken' as const,
      'returned' as const,
    ),
    jars: fc.integer({ min: 1, max: 5 }),
  });
  const told: HardwareMove[] = [
    { id: '1', kind: 'jar', size: 'quart', mouth: 'regular', way: 'found', count: 30, at: 1 },
    { id: '2', kind: 'lid', mouth: 'regular', way: 'bought', count: 24, at: 1 },
  ];
  fc.assert(
    fc.property(fc.array(moveArbitrary, { maxLength: 20 }), (wishes) => {
      const movements = wishes.map((wish, i): Movement => ({ ...wish, id: String(i), lotId: 'a', at: 2 + i }));
      const atOnce = hardwareStock(
        told,
        () => own,
        movements,
        () => 'single-use',
      );
      const step = movements.reduce(
        (counts, movement) => withChanges(counts, hardwareChanges(movement, own, 'single-use', told)),
        hardwareStock(
          told,
          () => own,
          [],
          () => 'single-use',
        ),
      );
      expect(step).toEqual(atOnce);
      const sum = (kind: string) => wishes.reduce((all, wish) => all + (wish.kind === kind ? wish.jars : 0), 0);
      expect(atOnce[0]!.count).toBe(30 - sum('stored') + sum('taken') - sum('returned'));
      expect(atOnce[1]!.count).toBe(24 - sum('stored'));
    }),
  );
  expect(new Set(ALL_HARDWARE.map(hardwareKey)).size).toBe(ALL_HARDWARE.length);
});

test('what the goals still need of jars and lids is told with what lacks and by when', () => {
  const moves: HardwareMove[] = [
    { id: '1', kind: 'jar', size: 'pint', mouth: 'wide', way: 'found', count: 10, at: 1 },
    { id: '2', kind: 'lid', mouth: 'wide', way: 'found', count: 4, at: 1 },
  ];
  const counts = hardwareStock(
    moves,
    () => undefined,
    [],
    () => 'single-use',
  );
  const goals = [{ product: 'plums', jar: 'pint', jars: 20, perMonth: null, priority: 'want' }] as const;
  expect(
    hardwareNeeds(
      goals,
      () => 8,
      () => 99,
      counts,
      moves,
    ),
  ).toEqual([
    { kind: 'jar', size: 'pint', mouth: 'wide', needed: 12, here: 10, short: 2, from: 99 },
    { kind: 'lid', mouth: 'wide', needed: 12, here: 4, short: 8, from: 99 },
  ]);
  expect(
    hardwareNeeds(
      goals,
      () => 20,
      () => 99,
      counts,
      moves,
    ),
  ).toEqual([]);
});
