import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { type LoadCurve } from '../kitchen/loadCurve';
import { startFault } from '../kitchen/startFault';
import { jarsStored } from './jarsStored';

const MIN = 60_000;
const batch: Batch = {
  ...{ id: 'b', product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water' },
  ...{ altitudeFt: 3_420, processMinutes: 55, cannerId: 'pot', startAt: 0 },
  uses: [{ pickId: 'basket', crop: 'tomato-paste', massKg: 10, softKg: 0 }],
  loads: [{ id: 'l', number: 1, jars: 7 }],
};
const own = { batch, load: batch.loads[0]! };
const event = (type: string, minute: number, more: object = {}) =>
  ({ id: `${type} ${minute}`, loadId: 'l', type, at: minute * MIN, ...more }) as KitchenEvent;
const ran = (boil: object = {}) => [
  event('load-started', 0, { jars: 7 }),
  event('boil-reached', 20, boil),
  event('heat-off', 76),
  event('jars-out', 81),
];
const seals = (sealed: readonly boolean[], more: object = {}) =>
  event('seal-checked', 900, { sealed, sealedLotId: 'shelf', unsealedLotId: 'cold', ...more });
const ground = (events: readonly KitchenEvent[], curve?: LoadCurve) => ({
  ...{ batches: [batch], events, recipes: [] },
  ...(curve && { curve }),
});
const all = (sealed: boolean) => Array<boolean>(7).fill(sealed);
/** Read at 205.2 F all the time of the process, or for ten minutes 6 F under it. */
const curve = (dips: boolean): LoadCurve => ({
  ...{ id: 'l', instrument: 'probe', measures: 'F', startAt: 0, wants: 205.4, readsMoreF: 0 },
  points: Array.from({ length: 170 }, (_, k) => [30 * k, dips && k > 80 && k < 100 ? 1_994 : 2_056] as const),
});
const codeOf = (stored: ReturnType<typeof jarsStored>) => (stored?.kind === 'fault' ? stored.fault.code : stored?.kind);

test('every jar that came out goes somewhere, once: sealed ones to the shelf, and no other number is taken', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 9 }), (sealed) => {
      const stored = jarsStored(seals(sealed), own, ground(ran()));
      if (sealed.length !== 7) return expect(codeOf(stored)).toBe('seal-check');
      if (stored?.kind !== 'stored') throw new Error('seven jars came out');
      const jarsOf = (place: string) => {
        const ids = stored.lots.filter((lot) => lot.place === place).map(({ id }) => id);
        const of = stored.movements.filter(({ lotId }) => ids.includes(lotId));
        return of.reduce((sum, { jars }) => sum + jars, 0);
      };
      const good = sealed.filter(Boolean).length;
      expect([jarsOf('shelf'), jarsOf('refrigerator')]).toEqual([good, 7 - good]);
    }),
  );
});

test.each<[what: string, told: readonly KitchenEvent[], check: KitchenEvent, read: LoadCurve | undefined, to: string]>([
  ['pressed twice', [...ran(), { ...seals(all(true)), id: 'first' }], seals(all(true)), undefined, 'seal-check'],
  ['the same told again', [...ran(), seals(all(true))], seals(all(true)), undefined, 'stored'],
  ['still boiling', ran().slice(0, 2), seals(all(true)), undefined, 'seal-check'],
  ['never boiled', [], seals(all(true)), undefined, 'seal-check'],
  ['a probe began its clock', ran({ by: 'probe' }), seals(all(true)), undefined, 'boil-unseen'],
  ['of such one, none sealed', ran({ by: 'probe' }), seals(all(false)), undefined, 'stored'],
  ['read at the boil', ran(), seals(all(true)), curve(false), 'stored'],
  ['read under the boil', ran(), seals(all(true)), curve(true), 'boil-short'],
  ['of such one, none sealed', ran(), seals(all(false)), curve(true), 'stored'],
  ['looked at, and taken', ran(), seals(all(true), { curveSeen: true }), curve(true), 'stored'],
  [
    'looked at, and nobody saw it boil',
    ran({ by: 'probe' }),
    seals(all(true), { curveSeen: true }),
    curve(true),
    'boil-unseen',
  ],
  ['put into the cold out of a canner', ran(), event('kept-cold', 90, { jars: 7, lotId: 'x' }), undefined, 'kept-cold'],
])('%s', (_, told, check, read, to) => {
  expect(codeOf(jarsStored(check, own, ground(told, read)))).toBe(to);
});

test('other events move no jar; a load of which nothing is tested any more, or not that way, is not started', () => {
  expect(jarsStored(event('jars-out', 81), own, ground(ran()))).toBeUndefined();
  const start = event('load-started', 0, { jars: 7 });
  expect(startFault(start, own, [batch])).toBeUndefined();
  expect(startFault({ ...start, way: 'boiling-water' } as KitchenEvent, own, [batch])).toBeUndefined();
  expect(startFault({ ...start, way: 'steam' } as KitchenEvent, own, [batch])?.code).toBe('not-tested');
  const gone: Batch = { ...batch, untested: 'Its page was struck.' };
  for (const type of ['load-started', 'boil-reached', 'machine-started'])
    expect(startFault(event(type, 0), { ...own, batch: gone }, [gone])?.sentence).toBe('Its page was struck.');
  expect(startFault(event('jars-out', 81), { ...own, batch: gone }, [gone])).toBeUndefined();
});
