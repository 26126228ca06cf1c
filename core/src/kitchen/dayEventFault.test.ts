import { type Batch } from '../day/batch';
import { anotherCardFault, closeFault, joinedPotsFault, leftOverFault, moveFault } from './dayEventFault';
import { type DayEvent } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';

const HOUR = 60 * 60_000;
const ZONE = 'America/Denver';
/** Saturday, 29 August 2026, 9 in the morning in Denver. */
const NINE = Date.UTC(2026, 7, 29, 15);
const batchOf = (id: string, startAt = NINE, more: Partial<Batch> = {}): Batch => ({
  ...{ id, product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water' },
  ...{ altitudeFt: 3_420, processMinutes: 55, cannerId: 'pot', startAt },
  uses: [{ pickId: 'basket', crop: 'tomato-paste', massKg: 10, softKg: 0 }],
  loads: [{ id: `${id} load`, number: 1, jars: 7 }],
  ...more,
});
const day = <Type extends DayEvent['type']>(type: Type, more: object, at = NINE + HOUR, date = '2026-08-29') =>
  ({ id: `${type} ${at}`, day: date, at, type, ...more }) as Extract<DayEvent, { type: Type }>;
const load = (type: string, id: string, at: number) =>
  ({
    id: `${type} ${id}`,
    loadId: `${id} load`,
    type,
    at,
    ...(type === 'load-started' && { jars: 7 }),
  }) as KitchenEvent;
const own = batchOf('own');
const told = { batches: [own], dayEvents: [] as DayEvent[], events: [] as KitchenEvent[] };

test('no more stays over of a basket than the batch took; the same gate told again counts once', () => {
  const left = (massKg: number) =>
    day('measured', { batchId: 'own', jars: 5, left: [{ pickId: 'basket', massKg, softKg: 0 }] });
  expect(leftOverFault(left(4), told)).toBeUndefined();
  expect(leftOverFault(left(10.005), told)).toBeUndefined();
  expect(leftOverFault(left(10.02), told)?.code).toBe('not-taken');
  expect(leftOverFault(left(10), { ...told, dayEvents: [left(4)] })).toBeUndefined();
  expect(leftOverFault({ ...left(4), batchId: 'other' }, told)?.code).toBe('no-batch');
});

test('another card comes with its own tested time, and before a jar is in a canner', () => {
  const purée = (processMinutes: number, at = NINE + HOUR) =>
    day(
      'recipe-changed',
      { batchId: 'own', product: 'tomato-juice', recipe: 'tomato-juice', pack: 'hot', processMinutes },
      at,
    );
  // Tomato juice, quarts: 40 min to 1,000 ft, 50 min at 3,001 to 6,000 (NCHFP).
  expect(anotherCardFault(purée(49), told, {})?.code).toBe('too-short');
  expect(anotherCardFault(purée(50), told, {})).toBeUndefined();
  const events = [load('load-started', 'own', NINE + HOUR)];
  expect(anotherCardFault(purée(50, NINE + 2 * HOUR), { ...told, events }, {})?.code).toBe('begun');
  // Told later of an earlier time, as by a phone that had no signal.
  expect(anotherCardFault(purée(50, NINE), { ...told, events }, {})).toBeUndefined();
});

test('what has begun is not put off; a slip that was taken back begins nothing', () => {
  const move = (at: number) => day('batch-moved', { batchId: 'own', startAt: NINE + 24 * HOUR }, at);
  const begun = day('step-started', { taskId: 'wash own' }, NINE + HOUR);
  expect(moveFault(move(NINE), { ...told, dayEvents: [begun] })).toBeUndefined();
  expect(moveFault(move(NINE + 2 * HOUR), { ...told, dayEvents: [begun] })?.code).toBe('begun');
  const back = day('taken-back', { eventId: begun.id }, NINE + 1.5 * HOUR);
  expect(moveFault(move(NINE + 2 * HOUR), { ...told, dayEvents: [begun, back] })).toBeUndefined();
});

test('pots are joined of one card, and until a jar is filled', () => {
  const batches = [own, batchOf('second'), batchOf('sauce', NINE, { product: 'tomato-sauce-thin' })];
  const join = (withId: string) => day('pots-joined', { batchId: 'own', withId });
  expect(joinedPotsFault(join('second'), { ...told, batches })).toBeUndefined();
  expect(joinedPotsFault(join('sauce'), { ...told, batches })?.code).toBe('two-pots');
  expect(joinedPotsFault(join('none'), { ...told, batches })?.code).toBe('no-batch');
  const events = [load('load-started', 'second', NINE)];
  expect(joinedPotsFault(join('second'), { ...told, batches, events })?.code).toBe('two-pots');
});

// It was the kitchen's whole day and a half around noon in Greenwich: Sunday's pot kept Saturday open.
test('a day is closed when its own jars are out, by the calendar of the household', () => {
  const kitchen = {
    ...{ canners: [], ownJars: [] },
    setup: { timeZone: ZONE, cooks: [], burners: 2, pots: [], leftAloneOn: [] },
  } as never;
  const close = (date: string) => day('day-closed', {}, NINE + 60 * HOUR, date);
  const sunday = batchOf('sunday', NINE + 24 * HOUR);
  const batches = [own, sunday];
  const out = ['load-started', 'boil-reached', 'heat-off', 'jars-out'].map((type, k) =>
    load(type, 'own', NINE + k * HOUR),
  );
  const boils = ['load-started', 'boil-reached'].map((type, k) => load(type, 'sunday', NINE + (24 + k) * HOUR));
  expect(closeFault(close('2026-08-29'), { ...told, batches, events: out.slice(0, 2) }, kitchen)?.code).toBe(
    'still-in',
  );
  expect(closeFault(close('2026-08-29'), { ...told, batches, events: [...out, ...boils] }, kitchen)).toBeUndefined();
  expect(closeFault(close('2026-08-30'), { ...told, batches, events: [...out, ...boils] }, kitchen)?.code).toBe(
    'still-in',
  );
  // Past midnight in Greenwich, and Saturday evening still where the kitchen is.
  const evening = batchOf('own', Date.UTC(2026, 7, 30, 3));
  const late = { ...told, batches: [evening], events: [load('load-started', 'own', Date.UTC(2026, 7, 30, 4))] };
  expect(closeFault(close('2026-08-29'), late, kitchen)?.code).toBe('still-in');
});
