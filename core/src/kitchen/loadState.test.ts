import fc from 'fast-check';
import { type KitchenEvent, type KitchenEventType } from './kitchenEvent';
import { type Batch } from '../day/batch';
import { loadClock } from './loadClock';
import { loadOrder } from './loadOrder';
import { type LoadState, loadState, processEndsAt } from './loadState';
import { toldOf } from './toldOf';

const MIN = 60_000;
const order = { method: 'boiling-water', jars: 7, processMinutes: 55, restMinutes: 5, leastRestMinutes: 5 } as const;
const pressure = {
  method: 'pressure-weighted',
  jars: 7,
  processMinutes: 25,
  restMinutes: 55,
  leastRestMinutes: 10,
} as const;

let made = 0;
type Plain = Exclude<KitchenEventType, 'taken-back' | 'machine-started' | 'jars-left' | 'kept-cold'>;

function event(type: Plain, atMin: number, jars = 7): KitchenEvent {
  const common = { id: `e${String(made++).padStart(6, '0')}`, loadId: 'l', at: atMin * MIN };
  if (type === 'load-started') return { ...common, type, jars };
  if (type === 'seal-checked')
    return { ...common, type, sealed: Array<boolean>(jars).fill(true), sealedLotId: 's', unsealedLotId: 'u' };
  return { ...common, type };
}

test('a load goes in, boils its time, rests, comes out, cools and is checked', () => {
  const told: [Plain, number, string][] = [
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
    wholeMs: 55 * MIN,
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

// Common practice: a full canner is not back at the boil in two minutes; handbook rule 5: the clock starts at the full boil.
test('a boil sooner than can be counts only when the cook was asked, and is kept to be told', () => {
  const soon = event('boil-reached', 0.1);
  expect(loadState(order, [event('load-started', 0), soon])).toMatchObject({ phase: 'heating', outOfPlace: [soon] });
  const sure = { ...soon, sure: true } as KitchenEvent;
  expect(loadState(order, [event('load-started', 0), sure])).toMatchObject({ phase: 'boiling', soonBoils: [sure] });
});

// USDA Complete Guide to Home Canning, 2015, guide 1, from memory: vent 10 min, and let the pressure fall by itself; the
// weight is off for 10 min before the lid comes off.
test('under pressure it vents ten minutes first, and comes down by itself before the weight is off ten minutes', () => {
  const upTo = (...more: KitchenEvent[]) => loadState(pressure, [event('load-started', 0), ...more]);
  expect(upTo(event('boil-reached', 20)).phase).toBe('heating');
  const vented = [event('venting-started', 8), event('boil-reached', 19)];
  expect(upTo(event('venting-started', 8), event('boil-reached', 17)).phase).toBe('venting');
  expect(loadClock(pressure, upTo(vented[0]!), 10 * MIN)).toMatchObject({ kind: 'venting', leftMs: 8 * MIN });
  const off = upTo(...vented, event('heat-off', 44));
  expect(loadClock(pressure, off, 60 * MIN)).toMatchObject({ kind: 'falling', leftMs: 29 * MIN });
  const down = upTo(...vented, event('heat-off', 44), event('pressure-down', 80));
  expect(loadClock(pressure, down, 89 * MIN)).toMatchObject({ kind: 'resting', leftMs: 1 * MIN, mayLiftOut: false });
  expect(loadClock(pressure, down, 90 * MIN)).toMatchObject({ mayLiftOut: true, timeIsUp: true });
});

test('a canner that times itself runs its own minutes, which are never fewer than the tested ones', () => {
  const machine = (minutes: number) =>
    loadState(order, [
      event('load-started', 0),
      { id: 'm', loadId: 'l', at: 5 * MIN, type: 'machine-started', minutes },
    ]);
  expect(machine(54)).toMatchObject({ phase: 'heating', outOfPlace: [{ type: 'machine-started' }] });
  expect(loadClock(order, machine(80), 6 * MIN)).toMatchObject({ kind: 'boiling', leftMs: 79 * MIN, endsAt: 85 * MIN });
});

test('a jar that broke is told by what is left, and counts once on two screens', () => {
  const broke = (id: string, at: number): KitchenEvent => ({
    id,
    loadId: 'l',
    at: at * MIN,
    type: 'jars-left',
    jars: 6,
  });
  const state = loadState(order, [event('load-started', 0), broke('x', 30), broke('y', 31)]);
  expect(state).toMatchObject({ jars: 6, broken: 1 });
});

/** The same kitchen in plain words, told apart from the fold: what stands on the stove, minute by minute. */
class Stove {
  phase: LoadState['phase'] = 'planned';
  inAt = NaN;
  fullBoilAt = NaN;
  lost = 0;
  /** How it stood before each tap that counted, the last one on top. */
  readonly before: { id: string; wasLost: boolean; second: boolean; at: number; stood: object }[] = [];

  tap(id: string, type: Plain, at: number, sure = false): void {
    const stood = { phase: this.phase, inAt: this.inAt, fullBoilAt: this.fullBoilAt, lost: this.lost };
    const was = this.lost;
    const second = type === 'boil-reached' && this.phase === 'boiling';
    if (!this.counts(type, at, sure)) return;
    this.before.push({ id, wasLost: this.lost > was, second, at, stood });
  }

  undo(id: string, at: number, sure: boolean): void {
    const last = this.before.at(-1);
    if (last?.id !== id || last.second || (last.wasLost && !(sure && at - last.at <= 20_000))) return;
    Object.assign(this, last.stood);
    this.before.pop();
  }

  private counts(type: Plain, at: number, sure: boolean): boolean {
    if (type === 'load-started' && this.phase === 'planned') [this.phase, this.inAt] = ['heating', at];
    else if (type === 'boil-reached' && ['heating', 'boiling'].includes(this.phase)) {
      if (this.phase === 'heating' && this.lost === 0 && at < this.inAt + 120_000 && !sure) return false;
      [this.phase, this.fullBoilAt] = ['boiling', at];
    } else if (type === 'boil-lost' && this.phase === 'boiling') this.cool();
    else if (type === 'heat-off' && this.phase === 'boiling') {
      if (at < this.fullBoilAt + 55 * MIN) this.cool();
      else this.phase = 'resting';
    } else if (type === 'jars-out' && this.phase === 'resting') this.phase = 'cooling';
    else return false;
    return true;
  }

  private cool(): void {
    this.phase = 'heating';
    this.fullBoilAt = NaN;
    this.lost++;
  }
}

interface Real {
  now: number;
  readonly told: KitchenEvent[];
}

const same = (stove: Stove, { told }: Real) => {
  const state = loadState(order, told);
  expect(state.phase).toBe(stove.phase);
  expect(state.timesLost).toBe(stove.lost);
  const ends = Number.isNaN(stove.fullBoilAt) ? undefined : stove.fullBoilAt + 55 * MIN;
  expect(processEndsAt(order, state)).toBe(ends);
  // Whatever came in whatever order over a network, the state is the same.
  expect(loadState(order, [...told].reverse().concat(told.slice(0, 2)))).toEqual(state);
};

class Tap implements fc.Command<Stove, Real> {
  constructor(
    readonly type: Plain,
    readonly afterMs: number,
    readonly sure: boolean,
  ) {}
  check = () => true;
  run(stove: Stove, real: Real): void {
    real.now += this.afterMs;
    const told = {
      ...event(this.type, real.now / MIN),
      ...(this.sure && this.type === 'boil-reached' && { sure: true }),
    };
    real.told.push(told as KitchenEvent);
    stove.tap(told.id, this.type, real.now, this.sure);
    same(stove, real);
  }
  toString = () => `${this.type}${this.sure ? ', sure' : ''} after ${this.afterMs} ms`;
}

class TakeBack implements fc.Command<Stove, Real> {
  constructor(
    readonly nth: number,
    readonly afterMs: number,
    readonly sure: boolean,
  ) {}
  check = () => true;
  run(stove: Stove, real: Real): void {
    real.now += this.afterMs;
    const target = real.told.at(-1 - (this.nth % Math.max(1, real.told.length)));
    if (!target) return;
    const id = `e${String(made++).padStart(6, '0')}`;
    real.told.push({
      ...{ id, loadId: 'l', at: real.now, type: 'taken-back', eventId: target.id },
      ...(this.sure && { sure: true }),
    });
    stove.undo(target.id, real.now, this.sure);
    same(stove, real);
  }
  toString = () => `take back ${this.nth} before, after ${this.afterMs} ms${this.sure ? ', sure' : ''}`;
}

test('the fold is the kitchen in plain words, whatever is tapped, taken back, and when', () => {
  const after = fc.oneof(fc.integer({ min: 1, max: 30_000 }), fc.integer({ min: 60_000, max: 70 * MIN }));
  const tap = fc
    .tuple(
      fc.constantFrom<Plain>('load-started', 'boil-reached', 'boil-reached', 'boil-lost', 'heat-off', 'jars-out'),
      after,
      fc.boolean(),
    )
    .map((drawn) => new Tap(...drawn));
  const takeBack = fc.tuple(fc.nat(2), after, fc.boolean()).map((drawn) => new TakeBack(...drawn));
  fc.assert(
    fc.property(fc.commands([tap, tap, tap, takeBack], { maxCommands: 40 }), (commands) => {
      fc.modelRun(() => ({ model: new Stove(), real: { now: 0, told: [] } }), commands);
    }),
    { numRuns: 600 },
  );
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
      fc.constantFrom<Plain>('load-started', 'boil-reached', 'boil-lost', 'heat-off', 'jars-out'),
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
