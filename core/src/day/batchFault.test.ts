import { type Batch } from './batch';
import { batchFault, loadSizesFault } from './batchFault';
import { sharedLoadFault } from './sharedLoadFault';

// Times and pressures are typed from the handbook pages: crushed tomatoes, hot, quarts in boiling water 45 min to 1,000 ft, 50 to
// 3,000, 55 to 6,000 (NCHFP); in a dial-gauge canner 15 min at 11 psi to 2,000 ft, 12 psi to 4,000.
const crushed: Batch = {
  ...{ id: 'own', product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water' },
  ...{ altitudeFt: 3_420, processMinutes: 55, cannerId: 'pot', startAt: 0 },
  uses: [{ pickId: 'basket', crop: 'tomato-paste', massKg: 10, softKg: 0 }],
  loads: [{ id: 'load', number: 1, jars: 7 }],
};
const gauge: Batch = { ...crushed, method: 'pressure-dial', processMinutes: 15, pressurePsi: 12 };

test.each<[what: string, batch: Batch, code: string | undefined]>([
  ['what is tested', crushed, undefined],
  ['longer than tested', { ...crushed, processMinutes: 70 }, undefined],
  ['a minute short', { ...crushed, processMinutes: 54 }, 'too-short'],
  ['the minutes of a lower kitchen', { ...crushed, processMinutes: 45 }, 'too-short'],
  ['under a gauge', gauge, undefined],
  ['the pressure of a lower kitchen', { ...gauge, pressurePsi: 11 }, 'too-low'],
  ['no pressure told', (({ pressurePsi: _, ...none }) => none)(gauge), 'too-low'],
  ['steam beyond its 45 min', { ...crushed, method: 'steam', processMinutes: 90 }, 'not-tested'],
  ['a gauge higher than any table', { ...gauge, altitudeFt: 12_000, pressurePsi: 20 }, 'not-tested'],
  ['green beans in boiling water', { ...crushed, product: 'snap-beans', processMinutes: 180 }, 'not-tested'],
  ['onions added', { ...crushed, ingredients: ['22 lb tomatoes', '2 lb onions'], processMinutes: 90 }, 'changed'],
  ['another product’s recipe', { ...crushed, recipe: 'tomato-chile-salsa' }, 'not-tested'],
  ['a load of another product’s recipe', { ...crushed, loads: [{ ...crushed.loads[0]!, recipe: 'x' }] }, 'no-recipe'],
  ['no canner', { ...crushed, cannerId: '' }, 'no-canner'],
  ['kept cold in a canner', { ...crushed, method: 'refrigerator', processMinutes: 0 }, 'kept-cold'],
  ['what its pot does not give', { ...crushed, gives: ['skins' as never] }, 'no-output'],
])('%s', (_, batch, code) => {
  expect(batchFault(batch, {})?.code).toBe(code);
});

test('a load in other jars is held against the time of those, not of its batch', () => {
  // Pints: 45 min at 3,420 ft.
  const sized = (processMinutes: number): Batch => ({
    ...crushed,
    loads: [{ ...crushed.loads[0]!, size: { jar: 'pint', processMinutes } }],
  });
  expect(loadSizesFault(sized(45), {})).toBeUndefined();
  expect(loadSizesFault(sized(44), {})).toMatchObject({ code: 'too-short', field: 'processMinutes' });
  expect(batchFault(sized(44), {})?.code).toBe('too-short');
});

const pot = {
  ...{ id: 'pot', name: 'Pot', method: 'boiling-water', measured: null },
  ...{ diameterIn: 12, heightIn: 10, rack: true },
} as never;

test.each<[what: string, host: Partial<Batch>, guest: Partial<Batch>, begun: boolean, code: string | undefined]>([
  ['one way', {}, {}, false, undefined],
  ['other minutes: the longer hold', { processMinutes: 80 }, {}, false, undefined],
  ['another way', { method: 'steam', processMinutes: 30 }, {}, false, 'share'],
  ['another pressure', { ...gauge, pressurePsi: 13 }, gauge, false, 'share'],
  ['kept cold', {}, { method: 'refrigerator', cannerId: '' }, false, 'share'],
  ['it boils already', {}, {}, true, 'begun'],
])('goes in with another: %s', (_, hostOf, guestOf, begun, code) => {
  const host: Batch = { ...crushed, ...hostOf, id: 'host', loads: [{ id: 'host load', number: 1, jars: 3 }] };
  const guest: Batch = { ...crushed, ...guestOf, loads: [{ id: 'l', number: 1, jars: 2, withLoadId: 'host load' }] };
  const ground = {
    batches: [host],
    canners: [pot],
    ownJars: [],
    hasBegun: (id: string) => begun && id === 'host load',
  };
  expect(sharedLoadFault(guest, ground)?.code).toBe(code);
  expect(sharedLoadFault(guest, { ...ground, batches: [] })?.code).toBe('share');
  expect(sharedLoadFault(crushed, ground)).toBeUndefined();
});
