import fc from 'fast-check';
import { type KitchenEvent, type KitchenEventType } from './kitchenEvent';
import { type Batch } from '../day/batch';
import { loadClock } from './loadClock';
import { loadOrder } from './loadOrder';
import { loadState } from './loadState';
import { toldOf } from './toldOf';

const MIN = 60_000;
const order = { jars: 7, processMinutes: 55, restMinutes: 5, leastRestMinutes: 5 };

let made = 0;
function event(type: KitchenEventType, atMin: number, jars = 7): KitchenEvent {
  const common = { id: `e${String(made++).padStart(6, '0')}`, loadId: 'l', at: atMin * MIN };
  if (type === 'load-started') return { ...common, type, jars };
  if (type === 'seal-checked')
    return { ...common, type, sealed: Array<boolean>(jars).fill(true), sealedLotId: 's', unsealedLotId: 'u' };
  return { ...common, type };
}

test('a load goes in, boils its time, rests, comes out, cools and is checked', () => {
  const told: [KitchenEventType, number, string][] = [
    ['load-started', 0, 'heating'],
    ['boil-reached', 20, 'boiling'],
    ['heat-off', 75, 'resting'],
    ['jars-out', 80, 'cooling'],
    ['seal-checked', 1_000, 'checked'],
  ];
  const events: KitchenEvent[] = [];
  for (const [type, atMin, phase] of told) {
    events.push(event(type, atMin));
    expect(loadState(order, events)).toMatchObject({ phase, outOfPlace: [] });
  }
});

test('a load that goes in with another lives through what happens to that one, and has its own lids pressed', () => {
  const batch = (id: string, processMinutes: number, load: object) =>
    ({
      id,
      jar: 'pint',
      method: 'boiling-water',
      processMinutes,
      loads: [{ id, number: 1, ...load }],
    }) as unknown as Batch;
  const batches = [batch('l', 55, { jars: 6 }), batch('g', 30, { jars: 3, withLoadId: 'l' })];
  const [host, guest] = batches.map((each) => ({ batch: each, load: each.loads[0]! }));
  const told = [
    event('load-started', 0, 6),
    event('boil-reached', 20),
    event('heat-off', 75),
    event('jars-out', 80),
    { ...event('seal-checked', 1_000, 3), loadId: 'g' },
  ];
  const stateOf = ({ batch: own, load }: NonNullable<typeof host>) =>
    loadState(loadOrder(own, load, batches), toldOf(load, batches, told));
  expect(loadOrder(guest!.batch, guest!.load, batches).processMinutes).toBe(55);
  expect(stateOf(guest!)).toMatchObject({ phase: 'checked', jars: 3, sealed: [true, true, true], outOfPlace: [] });
  expect(stateOf(host!)).toMatchObject({ phase: 'cooling', jars: 6, outOfPlace: [] });
});

test('the clock reads the same whether or not anybody looked in between', () => {
  const state = loadState(order, [event('load-started', 0), event('boil-reached', 20)]);
  expect(loadClock(order, state, 50 * MIN)).toEqual({
    kind: 'boiling',
    leftMs: 25 * MIN,
    endsAt: 75 * MIN,
    timeIsUp: false,
  });
  expect(loadClock(order, state, 76 * MIN)).toMatchObject({ kind: 'boiling', leftMs: 0, timeIsUp: true });
});

// Handbook rule 5: boil lost, bring it back and start the whole time again.
test('a lost boil starts the full time again', () => {
  const lost = loadState(order, [event('load-started', 0), event('boil-reached', 20), event('boil-lost', 70)]);
  expect(lost).toMatchObject({ phase: 'heating', timesLost: 1 });
  const again = loadState(order, [
    event('load-started', 0),
    event('boil-reached', 20),
    event('boil-lost', 70),
    event('boil-reached', 78),
  ]);
  expect(loadClock(order, again, 78 * MIN)).toMatchObject({ kind: 'boiling', leftMs: 55 * MIN });
});

test('a seal check of more or fewer jars than went in does not count', () => {
  const upToOut = [event('load-started', 0), event('boil-reached', 20), event('heat-off', 75), event('jars-out', 80)];
  expect(loadState(order, [...upToOut, event('seal-checked', 900, 8)])).toMatchObject({
    phase: 'cooling',
    outOfPlace: [{ type: 'seal-checked' }],
  });
});

/** Written apart from the fold: were the jars ever boiled for their whole time without a break, ended by heat off? */
function fullyBoiled(events: readonly KitchenEvent[]): boolean {
  const told = [...events].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const begun = told.findIndex(({ type }) => type === 'load-started');
  if (begun < 0) return false;
  const since = told.slice(begun + 1);
  return since.some((off, i) => {
    if (off.type !== 'heat-off') return false;
    const before = since.slice(0, i);
    const lastBoil = before.map(({ type }) => type).lastIndexOf('boil-reached');
    const broken = before.slice(lastBoil + 1).some(({ type }) => type === 'boil-lost' || type === 'heat-off');
    return lastBoil >= 0 && !broken && off.at - before[lastBoil]!.at >= order.processMinutes * MIN;
  });
}

const eventsArbitrary = fc
  .array(
    fc.tuple(
      fc.constantFrom<KitchenEventType>('load-started', 'boil-reached', 'boil-lost', 'heat-off', 'jars-out'),
      fc.integer({ min: 0, max: 240 }),
    ),
    { maxLength: 14 },
  )
  .map((told) => told.map(([type, atMin]) => event(type, atMin)));

test('jars only ever come out after a full, unbroken boil, whatever is tapped in whatever order', () => {
  fc.assert(
    fc.property(eventsArbitrary, (events) => {
      const { phase } = loadState(order, events);
      expect(['resting', 'cooling'].includes(phase) && !fullyBoiled(events)).toBe(false);
    }),
    { numRuns: 2_000 },
  );
});

test('events that come twice or out of order fold to the same state', () => {
  fc.assert(
    fc.property(eventsArbitrary, fc.infiniteStream(fc.nat()), (events, order_) => {
      const shuffled = [...events, ...events.filter((_, i) => i % 2 === 0)]
        .map((told) => ({ told, key: order_.next().value as number }))
        .sort((a, b) => a.key - b.key)
        .map(({ told }) => told);
      expect(loadState(order, shuffled)).toEqual(loadState(order, events));
    }),
  );
});
