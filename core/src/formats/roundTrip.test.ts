import fc from 'fast-check';
import { ALL_HARDWARE } from '../supplies/hardware';
import { JAR_SIZES } from '../handbook/jars';
import { PRINTED_PRODUCE } from '../handbook/produce';
import { PRODUCTS } from '../handbook/products';
import { searchProducts } from '../handbook/searchProducts';
import { PICK_SOURCES, PLACES } from '../harvest/pick';
import { PLANTING_UNITS } from '../handbook/harvestYields';
import { localDay } from '../measure/localTime';
import { PRIORITIES } from '../pantry/shelfGoal';
import { NOTHING_MORE } from '../yields/batchRecord';
import { exportCsv, type ExportParts } from './tablesOut/householdTables';
import { batchesIn } from './tablesIn/batchesIn';
import { gardenIn } from './tablesIn/gardenIn';
import { goalsIn } from './tablesIn/goalsIn';
import { picksIn } from './tablesIn/picksIn';
import { readWhole, type TableSpec } from './tablesIn/readTable';
import { suppliesIn } from './tablesIn/suppliesIn';

const timeZone = 'America/Denver';
const NOW = Date.UTC(2026, 7, 29, 12);
const EMPTY: ExportParts = {
  ...{ mark: 7, places: [], bestMonths: 12 as const, units: 'us' as const, timeZone, picks: [], lotChanges: [] },
  ...{ plantings: [], batches: [], batchRecords: [], lots: [], movements: [], hardware: [], goals: [] },
  ...{ shopping: [], ticked: [] },
};

/** What a household's own file gives when it is put in again: every row, nothing asked, each by the id it has. */
function again<Row>(
  table: Parameters<typeof exportCsv>[0],
  parts: Partial<ExportParts>,
  spec: TableSpec<string, Row>,
  ids?: readonly { readonly id: string }[],
) {
  const file = readWhole(exportCsv(table, { ...EMPTY, ...parts }), spec, { dayFirst: false, idOf: (words) => words });
  if (file.kind !== 'read') throw new Error(JSON.stringify(file));
  expect(file.faults).toEqual([]);
  if (ids) expect(file.rows.map(({ id }) => id)).toEqual(ids.map(({ id }) => id));
  return file.rows.map(({ row }) => row);
}

const units = fc.constantFrom('us' as const, 'metric' as const);
const grams = (most: number) => fc.integer({ min: 1, max: most }).map((g) => g / 1_000);
const crop = fc.constantFrom(...PRINTED_PRODUCE.map((row) => row.crop));
const words = fc.string({ minLength: 1, maxLength: 20 }).map((each) => `a${each.replace(/\s+/g, ' ').trim()}`);
const day = fc.integer({ min: Date.UTC(2022, 0, 1), max: NOW - 36e5 * 24 });
const near = (kg: number) => expect.closeTo(kg, 2);
const unlike = <T extends { id: string }>(one: fc.Arbitrary<T>) =>
  fc.uniqueArray(one, { minLength: 1, maxLength: 12, selector: ({ id }) => id });

test('picks that went out come in again: the day, the crop, how much, how much of it soft, where from and to', () => {
  const pick = fc.record({
    ...{ id: fc.uuid(), crop, massKg: grams(90_000), pickedAt: day, softPart: fc.constantFrom(0, 0.25, 1) },
    ...{ place: fc.constantFrom(...PLACES), source: fc.constantFrom(...PICK_SOURCES) },
  });
  fc.assert(
    fc.property(units, unlike(pick), (own, told) => {
      const picks = told.map(({ softPart, ...each }) => ({
        ...each,
        ...{ softKg: each.massKg * softPart, ripeness: 'ripe' as const, told: '', plantingId: null },
      }));
      const back = again('picks', { picks, units: own }, picksIn({ now: NOW, timeZone, units: own }), picks);
      expect(back.map((row) => ({ ...row, pickedAt: localDay(row.pickedAt, timeZone) }))).toEqual(
        picks.map(({ crop: what, massKg, softKg, place, source, pickedAt }) =>
          expect.objectContaining({
            ...{ crop: what, place, source, pickedAt: localDay(pickedAt, timeZone) },
            ...{ massKg: near(massKg), softKg: near(softKg) },
          }),
        ),
      );
    }),
  );
});

test('beds that went out come in again, with their weeks and what they usually give', () => {
  const bed = fc.record({
    ...{ id: fc.uuid(), name: words, crop, count: fc.integer({ min: 1, max: 999 }) },
    ...{ unit: fc.constantFrom(...PLANTING_UNITS), usualKg: fc.option(grams(90_000)) },
    weeks: fc.tuple(fc.integer({ min: 1, max: 52 }), fc.integer({ min: 1, max: 52 }), fc.integer({ min: 1, max: 52 })),
  });
  fc.assert(
    fc.property(units, unlike(bed), (own, told) => {
      const plantings = told.map(({ weeks, ...each }) => {
        const [firstWeek = 1, peakWeek = 1, lastWeek = 1] = [...weeks].sort((a, b) => a - b);
        return { ...each, firstWeek, peakWeek, lastWeek };
      });
      const back = again('garden', { plantings, units: own }, gardenIn({ now: NOW, units: own }), plantings);
      expect(back).toEqual(
        plantings.map(({ id: _, usualKg, ...each }) => ({ ...each, usualKg: usualKg === null ? null : near(usualKg) })),
      );
    }),
  );
});

test('what is wanted and what lies in the drawer come in again', () => {
  const goal = fc.record({
    ...{ product: fc.constantFrom(...PRODUCTS.map((row) => row.product)), jar: fc.constantFrom(...JAR_SIZES) },
    ...{ jars: fc.integer({ min: 0, max: 400 }), perMonth: fc.constant(null) },
    priority: fc.constantFrom(...PRIORITIES),
  });
  fc.assert(
    fc.property(fc.uniqueArray(goal, { minLength: 1, selector: ({ product, jar }) => `${product} ${jar}` }), (goals) =>
      expect(again('goals', { goals }, goalsIn({ search: searchProducts }))).toEqual(goals),
    ),
  );
  const thing = fc.tuple(fc.constantFrom(...ALL_HARDWARE), fc.integer({ min: 1, max: 999 }));
  fc.assert(
    fc.property(fc.uniqueArray(thing, { minLength: 1, selector: ([each]) => each }), (things) => {
      const hardware = things.map(([each, count]) => ({ ...each, count }));
      const back = again('supplies', { hardware }, suppliesIn({ now: NOW }));
      expect(back).toEqual(hardware.map((each) => ({ ...each, way: 'found', at: NOW })));
    }),
  );
});

test('batches that went out come in again as what estimates learn from: produce, jars of each size, the note', () => {
  const jars = fc
    .uniqueArray(fc.constantFrom('half-pint' as const, 'pint' as const, 'quart' as const), { minLength: 1 })
    .chain((sizes) =>
      fc.tuple(...sizes.map((jar) => fc.record({ jar: fc.constant(jar), count: fc.integer({ min: 1, max: 40 }) }))),
    );
  const made = fc.record({
    ...{ id: fc.uuid(), record: fc.uuid() },
    kg: grams(60_000),
    startAt: day,
    jars,
    note: fc.oneof(fc.constant(''), words),
  });
  fc.assert(
    fc.property(
      units,
      unlike(made).filter((all) => new Set(all.map(({ record }) => record)).size === all.length),
      (own, told) => {
        const batches = told.map(({ id, kg, startAt, jars: counts }) => ({
          ...{ id, product: 'tomatoes-crushed' as const, jar: counts[0]!.jar, pack: 'hot' as const, startAt },
          ...{ method: 'boiling-water' as const, altitudeFt: 0, processMinutes: 35, cannerId: 'c' },
          uses: [{ pickId: 'p', crop: 'tomato-paste' as const, massKg: kg, softKg: 0 }],
          loads: [{ id: `${id} 1`, number: 1, jars: counts[0]!.count }],
        }));
        const batchRecords = told.map(({ id, record, kg, startAt, jars: counts, note }) => ({
          ...{ id: record, batchId: id, product: 'tomatoes-crushed' as const, crop: 'tomato-paste' as const },
          ...{
            massKg: kg,
            waterMl: 0,
            sugarKg: 0,
            jars: counts,
            partJar: null,
            madeAt: startAt,
            note,
            learnFrom: true,
          },
          ...NOTHING_MORE,
        }));
        const ground = { now: NOW, timeZone, units: own, search: searchProducts };
        const back = again('batches', { batches, batchRecords, units: own }, batchesIn(ground), batchRecords);
        expect(back.map((row) => ({ ...row, madeAt: localDay(row.madeAt, timeZone) }))).toEqual(
          batchRecords.map((record) =>
            expect.objectContaining({
              ...{ product: record.product, crop: record.crop, massKg: near(record.massKg), jars: record.jars },
              ...{ madeAt: localDay(record.madeAt, timeZone), note: record.note },
            }),
          ),
        );
      },
    ),
  );
});
