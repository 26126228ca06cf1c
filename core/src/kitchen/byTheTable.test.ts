import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { layOwnPages, NO_OWN_PAGES } from '../handbook/ownPages';
import { ownCardId, ownProductId } from '../handbook/ownIds';
import { type HouseholdSource } from '../process/householdSource';
import { type OwnRecipe } from '../process/ownRecipe';
import { ownPagesOf } from '../recipe/own/pagesOf';
import { readRecipe } from '../recipe/own/readRecipe';
import { batchesNow } from './batchesNow';
import { byTheTable, tableWords } from './byTheTable';
import { isHeldToTheTable, type KitchenEvent } from './kitchenEvent';
import { loadNow } from './loadNow';
import { loadOrder } from './loadOrder';
import { heatUpsTaken } from './timesTaken';

const MIN = 60_000;
const RAN = ['resting', 'cooling', 'checked'];

/** Typed again here, boiling water to 1,000, 3,000, 6,000 ft and above: USDA Complete Guide 2015, guides 2 and 3, as recalled. */
const PRINTED: Readonly<Record<string, readonly [number, number, number, number]>> = {
  'applesauce pint': [15, 20, 20, 25],
  'applesauce quart': [20, 25, 30, 35],
  'tomatoes-crushed pint': [35, 40, 45, 50],
  'tomatoes-crushed quart': [45, 50, 55, 60],
};
const printed = (food: string, ft: number) =>
  PRINTED[food]?.[ft <= 1_000 ? 0 : ft <= 3_000 ? 1 : ft <= 6_000 ? 2 : 3] ?? NaN;

function planned(food: string, altitudeFt: number, more: Partial<Batch> = {}): Batch {
  const [product, jar] = food.split(' ') as ['applesauce', 'quart'];
  return {
    ...{
      id: 'b',
      product,
      jar,
      pack: 'hot',
      method: 'boiling-water',
      altitudeFt,
      cannerId: 'pot',
      startAt: 0,
      uses: [],
    },
    processMinutes: printed(food, altitudeFt),
    loads: [{ id: 'one', number: 1, jars: 7 }],
    ...more,
  };
}
const at = (altitudeFt: number, sources: readonly HouseholdSource[] = []) => ({ altitudeFt, pages: { sources } });
const minutesAt = (batch: Batch, ft: number, told: readonly KitchenEvent[] = []) => {
  const batches = byTheTable([batch], told, at(ft));
  const [now = batch] = batches;
  return loadNow(now, { id: 'one', number: 1, jars: 7 }, batches, told);
};
let count = 0;
const tell = (minute: number, type: KitchenEvent['type'], more: object = {}) =>
  ({
    id: `e${count++}`,
    loadId: 'one',
    at: minute * MIN,
    type,
    ...(type === 'load-started' && { jars: 7 }),
    ...more,
  }) as KitchenEvent;

test('planned at 800 ft, the kitchen at 6,500: 35 minutes, not 20, on the plan and on the clock', () => {
  const batch = planned('applesauce quart', 800);
  expect(minutesAt(batch, 800).order.processMinutes).toBe(20);
  expect(minutesAt(batch, 6_500).order.processMinutes).toBe(35);
  const [now] = byTheTable([batch], [], at(6_500));
  expect(now && tableWords(now)).toBe('35 min at 6,500 ft; planned with 20 min at 800 ft.');
  expect(tableWords(batch)).toBeUndefined();
  // And down again: the table rules both ways, until the clock starts.
  expect(minutesAt(planned('applesauce quart', 6_500), 800).order.processMinutes).toBe(20);
});

test('what has run keeps the minutes that were asked of it; what boils takes the longer', () => {
  const batch = planned('applesauce quart', 800);
  const boils = [tell(0, 'load-started'), tell(10, 'boil-reached', { tested: 20 })];
  const off = [...boils, tell(31, 'heat-off', { tested: 20 })];
  expect(minutesAt(batch, 6_500, off)).toMatchObject({ state: { phase: 'resting' }, order: { processMinutes: 20 } });
  expect(minutesAt(batch, 6_500, boils)).toMatchObject({ state: { phase: 'boiling' }, order: { processMinutes: 35 } });
  // The heat went off when the table asked for more already: the full time again.
  const short = [...boils, tell(31, 'heat-off', { tested: 35 })];
  expect(minutesAt(batch, 6_500, short)).toMatchObject({ state: { phase: 'heating', timesLost: 1 } });
  // Told before stamps were: by what it was planned with.
  const old = [tell(0, 'load-started'), tell(10, 'boil-reached'), tell(31, 'heat-off'), tell(40, 'jars-out')];
  expect(minutesAt(batch, 6_500, old).state.phase).toBe('cooling');
});

test('of two loads the one that has run keeps its minutes, the other goes by the table', () => {
  const [one, two] = [
    { id: 'one', number: 1, jars: 7 },
    { id: 'two', number: 2, jars: 3 },
  ];
  const batch = planned('applesauce quart', 800, { loads: [one, two] });
  const told = [
    tell(0, 'load-started'),
    tell(10, 'boil-reached', { tested: 20 }),
    tell(31, 'heat-off', { tested: 20 }),
  ];
  const batches = byTheTable([batch], told, at(6_500));
  const orderOf = (load: typeof one) => {
    const own = told.filter(({ loadId }) => loadId === load.id);
    const { order, state } = loadNow(batches[0] ?? batch, load, batches, own);
    return [state.phase, order.processMinutes];
  };
  expect([orderOf(one), orderOf(two)]).toEqual([
    ['resting', 20],
    ['planned', 35],
  ]);
});

test('longer than tested is the household’s own affair, at the altitude it was planned for', () => {
  const batch = planned('applesauce quart', 800, { processMinutes: 40 });
  expect(minutesAt(batch, 900).order.processMinutes).toBe(20);
  expect(minutesAt(batch, 800).order.processMinutes).toBe(40);
  expect(byTheTable([batch], [], { altitudeFt: null, pages: {} })[0]).toBe(batch);
});

test('a source that asks for more than before, or is gone, or a jar it never had', () => {
  const source = (minutes: number): HouseholdSource => ({
    ...{
      id: 's',
      product: 'Pear salsa',
      title: 'A leaflet',
      kind: 'extension',
      page: '3',
      lowAcid: false,
      headspaceIn: 0.5,
    },
    ...{ method: 'boiling-water', pack: 'hot', jar: 'quart', bands: [{ upToFt: 1_000, minutes }] },
  });
  const batch = planned('applesauce quart', 800, { product: 'Pear salsa' as Batch['product'], processMinutes: 25 });
  const now = (sources: readonly HouseholdSource[], ft = 800) => byTheTable([batch], [], at(ft, sources))[0];
  expect(now([source(25)])).toBe(batch);
  expect(now([source(30)])).toMatchObject({ processMinutes: 30, planned: { processMinutes: 25 } });
  for (const gone of [now([]), now([source(25)], 2_000)]) {
    expect(gone?.untested).toEqual(expect.any(String));
    expect(gone && tableWords(gone)).toMatch(/^Not to be started/);
    expect(gone && loadOrder(gone, { id: 'one', number: 1, jars: 7 }, [gone]).untested).toBe(gone?.untested);
  }
});

test('a recipe of one’s own keeps the page it was planned by, at whatever altitude', () => {
  const ID = '0198f3a0-0000-7000-8000-0000000000ee';
  const { processing: _, ...read } = readRecipe(
    'Our relish\n4 lb sweet peppers\n4 cups white vinegar (5 %)\nMethod\nChop the peppers.\nSimmer all 20 minutes.\nFill into pint jars.\nMakes 5 pints',
  );
  const page = (revision: number, minutes: number): OwnRecipe => ({
    ...read,
    ...{ id: ID, revision, draft: false },
    source: {
      ...{ title: 'A book', kind: 'tested-book', page: '3', method: 'boiling-water', jar: 'pint' },
      bands: [1_000, 3_000, 6_000].map((upToFt, i) => ({ upToFt, minutes: minutes + 5 * i })),
    },
  });
  const recipes = [page(1, 20), page(2, 40)];
  layOwnPages(ownPagesOf(recipes));
  const batch = planned('applesauce pint', 800, {
    product: ownProductId(ID),
    recipe: ownCardId(ID, 1),
    processMinutes: 20,
  });
  const now = (altitudeFt: number) => byTheTable([batch], [], { altitudeFt, pages: { recipes } })[0]?.processMinutes;
  expect([now(800), now(2_000), now(5_000)]).toEqual([20, 25, 30]);
  layOwnPages(NO_OWN_PAGES);
});

/** What a phone tells: after so many minutes, by what altitude it knew of, sent so much later. */
interface Told {
  readonly after: number;
  readonly type: KitchenEvent['type'];
  readonly lateBy: number;
}
const FEET = [0, 800, 1_000, 1_001, 2_500, 3_420, 6_000, 6_001, 9_000];
const taps = fc.array(
  fc.record<Told>({
    after: fc.integer({ min: 0, max: 45 }),
    type: fc.constantFrom('boil-reached', 'boil-reached', 'heat-off', 'heat-off', 'boil-lost', 'jars-out'),
    lateBy: fc.constantFrom(0, 0, 0, 5, 90),
  }),
  { minLength: 1, maxLength: 9 },
);
const moves = fc.array(fc.record({ minute: fc.integer({ min: 0, max: 200 }), ft: fc.constantFrom(...FEET) }), {
  maxLength: 3,
});

test('no jar counts as processed under the table, whatever was tapped, moved or told late', () => {
  let ran = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...Object.keys(PRINTED)),
      fc.constantFrom(...FEET),
      moves,
      taps,
      (food, plannedFt, moved, told) => {
        const feetAt = (minute: number) =>
          [...moved].sort((a, b) => a.minute - b.minute).findLast((move) => move.minute <= minute)?.ft ?? plannedFt;
        const batch = planned(food, plannedFt);
        // The server: each event as it arrives, held against its own table then.
        let minute = 3;
        const sent = told.map((each) => ({
          ...each,
          minute: (minute += each.after),
          phoneFt: feetAt(minute - each.lateBy),
        }));
        const events: KitchenEvent[] = [tell(0, 'load-started')];
        const asked = new Map<string, number>();
        for (const each of [...sent].sort((a, b) => a.minute + a.lateBy - b.minute - b.lateBy)) {
          const serverFt = feetAt(each.minute + each.lateBy);
          const now = byTheTable([batch], events, at(serverFt));
          const { processMinutes } = loadOrder(now[0] ?? batch, { id: 'one', number: 1, jars: 7 }, now);
          const event = tell(each.minute, each.type);
          const tested = Math.max(printed(food, each.phoneFt), processMinutes);
          events.push(isHeldToTheTable(event) ? ({ ...event, tested } as KitchenEvent) : event);
          // Said apart: the printed minutes at the altitude the phone knew of, and at the server's, if that was its altitude
          // both when it happened and when it was told: what it was an hour ago no server knows.
          const known = Math.min(printed(food, feetAt(each.minute)), printed(food, serverFt));
          asked.set(event.id, Math.max(printed(food, each.phoneFt), known));
        }
        const { order, state } = minutesAt(batch, feetAt(1_000), events);
        if (!RAN.includes(state.phase)) {
          // The next clock is never shorter than the table is now.
          expect(order.processMinutes).toBeGreaterThanOrEqual(printed(food, feetAt(1_000)));
          return;
        }
        ran += 1;
        // The checker's own reading: the longest stretch at the boil that nothing broke, and what was asked of it.
        let began: { minute: number; asked: number } | undefined;
        const inOrder = [...events].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
        const isLongEnough = inOrder.some((event) => {
          const need = Math.max(asked.get(event.id) ?? 0, began?.asked ?? 0);
          const here = event.at / MIN;
          if (event.type === 'boil-reached') began = { minute: here, asked: need };
          const isDone = event.type === 'heat-off' && began !== undefined && here - began.minute >= need;
          if (event.type === 'boil-lost' || event.type === 'heat-off') began = undefined;
          return isDone;
        });
        expect(isLongEnough).toBe(true);
      },
    ),
    { numRuns: 5_000, seed: 18 },
  );
  // The property says nothing unless jars come through.
  expect(ran).toBeGreaterThan(300);
});

test('jars put into a steam pan go by steam, and not into one that their minutes are too long for', () => {
  const batch = planned('tomatoes-crushed pint', 4_000);
  const put = tell(0, 'load-started', { cannerId: 'pan', way: 'steam' });
  const methodAt = (ft: number, told: readonly KitchenEvent[]) => {
    const batches = batchesNow([batch], [], told, at(ft));
    const [now = batch] = batches;
    const { method, processMinutes, untested } = loadOrder(now, now.loads[0]!, batches);
    return [method, processMinutes, untested !== undefined];
  };
  expect(methodAt(4_000, [put])).toEqual(['steam', 45, false]);
  expect(methodAt(4_000, [])).toEqual(['boiling-water', 45, false]);
  // Above 6,000 ft its 50 minutes are past the 45 that steam is tested for.
  expect(methodAt(7_000, [put])).toEqual(['steam', 50, true]);
  expect(methodAt(7_000, [])).toEqual(['boiling-water', 50, false]);
  const slip = tell(0.2, 'taken-back', { eventId: put.id });
  expect(methodAt(7_000, [put, slip])).toEqual(['boiling-water', 50, false]);
  const ran = [put, tell(9, 'boil-reached', { tested: 45 }), tell(54, 'heat-off', { tested: 45 })];
  expect(methodAt(7_000, ran).slice(0, 1)).toEqual(['steam']);
  expect(methodAt(7_000, [...ran, { ...slip, at: 55 * MIN }])[0]).toBe('steam');
  expect(
    heatUpsTaken(
      batchesNow([batch], [], ran, at(4_000)),
      new Map([['one', { ...minutesAt(batch, 4_000, ran).state }]]),
    ),
  ).toEqual(new Map([['steam pan', [9]]]));
});
