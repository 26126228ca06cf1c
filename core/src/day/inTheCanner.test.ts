import { handbookCanner } from '../canner/handbookCanner';
import { CANNERS } from '../handbook/canners';
import { JAR_SIZES, JARS, type JarSize } from '../handbook/jars';
import { PRODUCTS, productRow } from '../handbook/products';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { type Method } from '../process/method';
import { ableCanners } from './ableCanners';
import { type Batch, ofLoad } from './batch';
import { batchOf } from './batchOf';
import { loadIn, placesFor, waysOf } from './inTheCanner';
import { USUAL_KITCHEN } from './kitchenSetup';
import { planDay } from './planDay';
import { minutesOf } from './sharedLoad';
import { type Wish } from './wish';

const enamel = handbookCanner(CANNERS[0]!, { id: 'enamel' });
const steam = handbookCanner(CANNERS[4]!, { id: 'steam pan' });

function made(
  product: string,
  jar: JarSize,
  altitudeFt: number,
  more: Partial<Batch> = {},
  pages: HouseholdPages = {},
) {
  const wish = { product: productRow(product), jar, method: 'boiling-water' as Method };
  const uses = [{ pickId: 'p', massKg: 18, softKg: 0 }];
  const at = { cannerId: 'enamel', loads: [7, 7], uses, startAt: 0 };
  const batch = batchOf(
    { ...wish, ...at, ...(more.method && { method: more.method as Method }) },
    { altitudeFt },
    pages,
    (of) => `${product} ${of}`,
  );
  return batch && { ...batch, ...more };
}
const inSteam = (batch: Batch | undefined, k = 0, batches = batch ? [batch] : []) => {
  const load = batch?.loads[k];
  return batch && load ? ofLoad(batch, loadIn(steam, batch, load, batches)) : undefined;
};

/** Typed here again: USDA Complete Guide 2015, guide 3, to 1,000, 3,000, 6,000 ft and above; steam to 45 min in all, rule 7. */
test.each([
  ['pint', [35, 40, 45, 50]],
  ['quart', [45, 50, 55, 60]],
] as const)('crushed tomatoes in %ss go into the steam pan as long as their minutes are 45 or less', (jar, printed) => {
  [800, 2_000, 5_000, 7_000].forEach((ft, k) => {
    const batch = made('tomatoes-crushed', jar, ft);
    expect(batch?.processMinutes).toBe(printed[k]);
    const own = inSteam(batch);
    expect([own?.method, own?.processMinutes]).toEqual([printed[k]! <= 45 ? 'steam' : 'boiling-water', printed[k]]);
  });
});

test('whatever goes into another canner is looked up for it, and is processed for no less', () => {
  let moved = 0;
  for (const { product } of PRODUCTS)
    for (const jar of JAR_SIZES)
      for (const ft of [0, 4_000, 8_000])
        for (const method of ['boiling-water', 'steam', 'low-temperature-bath', 'pressure-weighted'] as const) {
          const batch = made(product, jar, ft, { method });
          if (!batch) continue;
          for (const way of waysOf(batch, batch.loads[0]!, [batch]).slice(1)) {
            const tested = findProcess({ ...batch, method: way }, {});
            expect([way, batch.method].sort()).toEqual(['boiling-water', 'steam']);
            expect(tested).toMatchObject({ kind: 'tested' });
            if (tested.kind === 'tested') expect(batch.processMinutes).toBeGreaterThanOrEqual(tested.minutes);
            expect(batch.processMinutes).toBeLessThanOrEqual(45);
            expect(JARS[jar].nominalFlOz).toBeLessThanOrEqual(32);
            moved++;
          }
        }
  expect(moved).toBeGreaterThan(200);
});

test('a source of its own names one way, and beside what steam is not tested for nothing goes by steam', () => {
  const salsa = { product: 'Pear salsa', pack: 'hot', jar: 'pint', method: 'boiling-water' } as const;
  const common = {
    id: 's',
    title: 'A leaflet',
    kind: 'extension',
    page: '3',
    lowAcid: false,
    headspaceIn: 0.5,
  } as const;
  const sources = [{ ...common, ...salsa, bands: [{ upToFt: 1_000, minutes: 20 }] }];
  expect(findProcess({ ...salsa, altitudeFt: 500 }, { sources }).kind).toBe('tested');
  const longer = [{ ...common, ...salsa, product: 'tomatoes-crushed', bands: [{ upToFt: 1_000, minutes: 50 }] }];
  const batch = made('tomatoes-crushed', 'pint', 500, {}, { sources: longer });
  expect([batch?.processMinutes, inSteam(batch)?.method]).toEqual([50, 'boiling-water']);
  const host = made('applesauce', 'quart', 2_000)!;
  const guest = made('tomatoes-crushed', 'quart', 2_000)!;
  const shared = { ...guest, loads: [{ ...guest.loads[0]!, withLoadId: host.loads[0]!.id }] };
  expect(inSteam(host, 0, [host, shared])?.method).toBe('boiling-water');
  expect(inSteam(host, 1, [host, shared])?.method).toBe('steam');
  expect(minutesOf(host, host.loads[0]!, [host, shared])).toBe(50);
});

test('places are counted by the way each canner processes the jars, and none in one that serves no way of theirs', () => {
  // The handbook's racks: 7 quarts and 9 pints in the enamel pot, 7 quarts and 8 pints in the steam pan.
  expect(placesFor(made('tomatoes-crushed', 'pint', 800)!, [enamel, steam], [])).toEqual([9, 8]);
  expect(placesFor(made('tomatoes-crushed', 'quart', 800)!, [steam], [])).toEqual([7]);
  expect(placesFor(made('tomatoes-crushed', 'quart', 2_000)!, [steam], [])).toEqual([]);
});

test('a day with an enamel pot and a steam pan uses both, and is over sooner for it', () => {
  const batch = made('tomatoes-crushed', 'pint', 800)!;
  const { sameHeat: _, ...onlyBoiling } = batch;
  const question = { canners: [enamel, steam], setup: USUAL_KITCHEN, startMinute: 8 * 60, seed: 1 };
  const ends = [batch, onlyBoiling].map((own) => {
    const planner = planDay({ ...question, batches: [own] });
    if (planner.kind === 'refusal') throw new Error('no plan');
    return planner.step(4_000).plan!;
  });
  expect([...ableCanners({ ...question, batches: [batch] }).values()]).toEqual([
    ['enamel', 'steam pan'],
    ['enamel', 'steam pan'],
  ]);
  const [both, one] = ends as [(typeof ends)[0], (typeof ends)[0]];
  expect([...new Set(both.cannerOf.values())].sort()).toEqual(['enamel', 'steam pan']);
  expect(both.makespanMin).toBeLessThan(one.makespanMin);
  const runs = both.tasks.filter(({ task }) => task.kind === 'process');
  expect(runs.map(({ task, startMin, endMin }) => [task.words, endMin - startMin]).sort()).toEqual([
    ['35 min boil', 35],
    ['35 min steam', 35],
  ]);
});

test('whoever wishes one way has it: no load of that batch goes into a canner of another, whatever that costs', () => {
  const [own, other] = [made('tomatoes-crushed', 'pint', 800)!, made('applesauce', 'pint', 800)!];
  const question = { canners: [enamel, steam], setup: USUAL_KITCHEN, startMinute: 8 * 60, batches: [own, other] };
  const able = (wishes: readonly Wish[]) => [...ableCanners({ ...question, wishes }).values()].map(String);
  const both = 'enamel,steam pan';
  expect(able([])).toEqual([both, both, both, both]);
  const only: Wish = { kind: 'way', batchId: own.id, method: 'steam' };
  expect(able([only])).toEqual(['steam pan', 'steam pan', both, both]);
  expect(able([{ ...only, method: 'boiling-water' }])).toEqual(['enamel', 'enamel', both, both]);
  const planner = planDay({ ...question, batches: [own], wishes: [only], seed: 1 });
  const plan = planner.kind === 'planner' ? planner.step(2_000).plan : undefined;
  expect([...(plan?.cannerOf.values() ?? [])]).toEqual(['steam pan', 'steam pan']);
  // No canner serves it: refused, and said.
  expect(planDay({ ...question, canners: [enamel], batches: [own], wishes: [only] })).toMatchObject({
    cause: 'no-canner',
  });
});
