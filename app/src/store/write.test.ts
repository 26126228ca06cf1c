import { NO_INSTRUMENTS } from '@hoddle/contract/instrument';
import { NOTHING_MORE } from '@hoddle/core/yields/batchRecord';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type Planting } from '@hoddle/core/harvest/planting';
import { type JarLot, jarCounts } from '@hoddle/core/pantry/jarLot';
import { type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { type HardwareMove } from '@hoddle/core/supplies/hardware';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import fc from 'fast-check';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
import { applyWrite, requestOf, wordsOf, type Write } from './write';

const HOUR = 60 * 60_000;
const START = Date.UTC(2026, 7, 29, 8);
const batch: Batch = {
  id: 'batch',
  product: 'tomatoes-crushed',
  jar: 'quart',
  pack: 'hot',
  method: 'boiling-water',
  altitudeFt: 3_420,
  processMinutes: 55,
  cannerId: 'canner',
  startAt: START,
  uses: [{ pickId: 'pick', massKg: 10, softKg: 0 }],
  loads: [{ id: 'load', number: 1, jars: 3 }],
};
const at = (hours: number) => START + hours * HOUR;
const check = {
  id: 'check',
  loadId: 'load',
  type: 'seal-checked',
  sealed: [true, true, false],
  sealedLotId: 'on-shelf',
  unsealedLotId: 'cold',
  at: at(16),
} as const;

const source: HouseholdSource = {
  id: 'source',
  title: 'Sauces of the valley',
  kind: 'extension',
  page: '4',
  product: 'tomato-taco-sauce',
  lowAcid: false,
  pack: 'hot',
  jar: 'quart',
  method: 'boiling-water',
  headspaceIn: 0.5,
  bands: [{ upToFt: 6_000, minutes: 30 }],
};

const pick: HarvestPick = {
  id: 'pick',
  crop: 'tomato-paste',
  massKg: 30,
  softKg: 5,
  ripeness: 'ripe',
  place: 'cool',
  pickedAt: START,
  told: '66 lb',
  source: 'garden',
  plantingId: null,
};
const planting: Planting = {
  id: 'bed',
  name: 'South bed',
  crop: 'tomato-paste',
  count: 60,
  unit: 'plants',
  firstWeek: 30,
  peakWeek: 35,
  lastWeek: 40,
  usualKg: null,
};
const change: LotChange = {
  id: 'change',
  pickId: 'pick',
  part: 'sound',
  from: 'cool',
  kind: 'moved',
  to: 'freezer',
  massKg: 4,
  at: START,
};
const record: BatchRecord = {
  id: 'record',
  batchId: 'batch',
  product: 'tomatoes-crushed',
  crop: 'tomato-paste',
  massKg: 10,
  waterMl: 0,
  sugarKg: 0,
  jars: [{ jar: 'quart', count: 7 }],
  partJar: null,
  madeAt: START,
  note: '',
  ...NOTHING_MORE,
  learnFrom: true,
};

const old: Omit<JarLot, 'loadId' | 'fromLotId'> = {
  id: 'old',
  product: 'plums',
  jar: 'pint',
  place: 'shelf',
  seal: 'sealed',
  madeAt: START - 300 * 24 * HOUR,
  keepsUntil: START + 65 * 24 * HOUR,
};
const drawer: HardwareMove = {
  id: 'drawer',
  kind: 'jar',
  size: 'pint',
  mouth: 'regular',
  way: 'found',
  count: 10,
  at: START,
};
const goal: ShelfGoal = { product: 'plums', jar: 'pint', jars: 12, perMonth: null, priority: 'want' };

/** The path of a pick and of one load, as it is entered. */
const PATH: readonly Write[] = [
  {
    kind: 'household',
    household: {
      name: 'Home',
      altitudeFt: 3_420,
      units: 'us',
      burners: 4,
      canners: [],
      kitchen: EMPTY_HOUSEHOLD.household.kitchen,
      ownJars: [],
      places: EMPTY_HOUSEHOLD.household.places,
      bestMonths: 12,
      dateOrder: null,
      instruments: NO_INSTRUMENTS(),
    },
  },
  {
    kind: 'pick',
    pick,
  },
  { kind: 'pick-corrected', pick: { ...pick, massKg: 31 } },
  { kind: 'planting', planting },
  { kind: 'look', look: { id: 'look', plantingId: 'bed', kind: 'nothing-ripe', at: START } },
  { kind: 'lot-change', change },
  { kind: 'own-measure', measure: { crop: 'tomatillo', measure: 'colander', massKg: 1.5 } },
  { kind: 'batch-record', record },
  { kind: 'batch', batch },
  { kind: 'event', event: { id: 'in', loadId: 'load', type: 'load-started', jars: 3, at: at(0) } },
  { kind: 'event', event: { id: 'boil', loadId: 'load', type: 'boil-reached', at: at(0.5) } },
  { kind: 'event', event: { id: 'off', loadId: 'load', type: 'heat-off', at: at(1.5) } },
  { kind: 'event', event: { id: 'out', loadId: 'load', type: 'jars-out', at: at(1.6) } },
  { kind: 'event', event: check },
  { kind: 'movement', movement: { id: 'take', lotId: 'on-shelf', kind: 'taken', jars: 1, at: at(20) } },
  { kind: 'hardware-move', move: drawer },
  { kind: 'goal', goal },
  { kind: 'jars-in', jars: { id: 'file', at: at(21), rows: [{ lot: old, jars: 4 }] } },
  {
    kind: 'movement',
    movement: {
      id: 'open',
      lotId: 'old',
      kind: 'opened',
      jars: 1,
      at: at(22),
      intoLotId: 'opened',
      toPlace: 'refrigerator',
    },
  },
  { kind: 'movement', movement: { id: 'eaten', lotId: 'old', kind: 'taken', jars: 1, at: at(23) } },
  { kind: 'movement', movement: { id: 'slip', lotId: 'old', kind: 'taken', jars: 1, at: at(24) } },
  { kind: 'movement', movement: { id: 'back', lotId: 'old', kind: 'undone', jars: 1, at: at(24), undoes: 'slip' } },
  { kind: 'row-checked', check: { rowId: 'row', checkedOn: '2026-08-29' } },
  { kind: 'source', source },
];

const empty = { ...EMPTY_HOUSEHOLD, now: START };

test('the path of a load shows on the screen as the server will have it', () => {
  const state = PATH.reduce(applyWrite, empty);
  const counts = jarCounts(state.lots, state.movements);
  expect(state.lots.map(({ id, place }) => [id, place, counts.get(id)])).toEqual([
    ['on-shelf', 'shelf', 1],
    ['cold', 'refrigerator', 1],
    ['old', 'shelf', 2],
    ['opened', 'refrigerator', 1],
  ]);
  // One pint was emptied and is back; the slip was none.
  expect(state.hardware).toEqual([{ kind: 'jar', size: 'pint', mouth: 'regular', count: 11 }]);
  expect(state.goals).toEqual([goal]);
});

test('what is entered twice, or sent again, shows once', () => {
  const sorted = (state: HouseholdState) => ({
    ...state,
    movements: [...state.movements].sort((a, b) => a.id.localeCompare(b.id)),
    events: [...state.events].sort((a, b) => a.at - b.at),
    lots: [...state.lots].sort((a, b) => a.id.localeCompare(b.id)),
  });
  // A pick and its correction are of one row: the last one sent stands, and the queue keeps their order.
  const whole = sorted(PATH.reduce(applyWrite, empty));
  fc.assert(
    fc.property(fc.array(fc.nat(PATH.length - 1), { maxLength: 12 }), (again) => {
      const state = again
        .map((i) => PATH[i]!)
        .filter(({ kind }) => kind !== 'pick')
        .reduce(applyWrite, PATH.reduce(applyWrite, empty));
      expect(sorted(state)).toEqual(whole);
    }),
  );
});

test('striking out undoes a pick and a batch, and nothing else', () => {
  const state = PATH.reduce(applyWrite, empty);
  const struck = applyWrite(applyWrite(state, { kind: 'batch-struck', batchId: 'batch' }), {
    kind: 'pick-struck',
    pickId: 'pick',
  });
  expect(struck).toEqual({ ...state, batches: [], picks: [] });
  const bare = applyWrite(applyWrite(state, { kind: 'source-struck', sourceId: 'source' }), {
    kind: 'row-checked',
    check: { rowId: 'row', checkedOn: null },
  });
  expect(bare).toEqual({ ...state, sources: [], checkedRows: [] });
  const strikes: Write[] = [
    { kind: 'lot-change-struck', changeId: 'change' },
    { kind: 'planting-struck', plantingId: 'bed' },
    { kind: 'batch-record-struck', recordId: 'record' },
  ];
  expect(strikes.reduce(applyWrite, state)).toEqual({
    ...state,
    lotChanges: [],
    plantings: [],
    gardenLooks: [],
    batchRecords: [],
  });
  expect(applyWrite(state, { kind: 'look-struck', lookId: 'look' })).toEqual({ ...state, gardenLooks: [] });
});

test('every write has an address and words of its own', () => {
  const all: Write[] = [
    ...PATH,
    { kind: 'batch-struck', batchId: 'b' },
    { kind: 'pick-struck', pickId: 'p' },
    { kind: 'source-struck', sourceId: 's' },
    { kind: 'lot-change-struck', changeId: 'c' },
    { kind: 'planting-struck', plantingId: 'p' },
    { kind: 'look-struck', lookId: 'l' },
    { kind: 'batch-record-struck', recordId: 'r' },
  ];
  for (const write of all) {
    expect(requestOf(write).path).toMatch(
      /^\/(household|picks|batches|kitchen\/events|movements|checked-rows|sources|lot-changes|plantings|garden-looks|own-measures|batch-records|jars-in|goals|hardware-moves)/,
    );
    expect(wordsOf(write)).not.toBe('');
  }
});

test('lids pressed twice, or more of them than came out, move no jar here that the server would not move', () => {
  const told: readonly Write[] = [
    { kind: 'batch', batch },
    { kind: 'event', event: { id: 'in', loadId: 'load', type: 'load-started', jars: 3, at: at(0) } },
    { kind: 'event', event: { id: 'boil', loadId: 'load', type: 'boil-reached', at: at(0.5) } },
    { kind: 'event', event: { id: 'off', loadId: 'load', type: 'heat-off', at: at(1.5) } },
    { kind: 'event', event: { id: 'out', loadId: 'load', type: 'jars-out', at: at(1.6) } },
  ];
  const out = told.reduce(applyWrite, EMPTY_HOUSEHOLD as HouseholdState);
  const press = (id: string, sealed: boolean[]) =>
    ({
      kind: 'event',
      event: { ...check, id, sealed, sealedLotId: `${id} shelf`, unsealedLotId: `${id} cold` },
    }) as Write;
  const once = applyWrite(out, press('first', [true, true, false]));
  expect(once.lots).toHaveLength(2);
  const twice = applyWrite(once, press('second', [true, true, true]));
  expect([twice.lots, twice.movements]).toEqual([once.lots, once.movements]);
  expect(twice.events).toHaveLength(once.events.length + 1);
  expect(applyWrite(out, press('many', [true, true, true, true])).lots).toEqual([]);
});
