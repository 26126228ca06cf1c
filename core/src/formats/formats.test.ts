import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { type Batch } from '../day/batch';
import { type JarLot, type Movement } from '../pantry/jarLot';
import { USUAL_PLACES } from '../pantry/place';
import { toCsv, readCsv } from './csv';
import { exportCsv } from './tablesOut/householdTables';
import { searchProducts } from '../handbook/searchProducts';
import { jarsIn } from './tablesIn/jarsIn';
import { readWhole } from './tablesIn/readTable';
import { readDay } from './readDay';

/** A household without anything, in kilograms. */
const NOTHING: Parameters<typeof exportCsv>[1] = {
  ...{
    mark: 7,
    places: USUAL_PLACES,
    bestMonths: 12,
    units: 'metric',
    picks: [],
    batches: [],
    batchRecords: [],
    lots: [],
  },
  ...{ movements: [], lotChanges: [], plantings: [], hardware: [], goals: [], shopping: [], ticked: [] },
};
const DAY = 24 * 60 * 60_000;
const NOW = Date.UTC(2026, 7, 29, 12);
const read = (text: string, { products = {}, ...more }: { products?: object; columns?: object } = {}) => {
  const ground = { places: USUAL_PLACES, now: NOW, search: searchProducts, products: products as never };
  const file = readWhole(text, jarsIn(ground), { dayFirst: false, idOf: (words) => `id ${words}`, ...more });
  if (file.kind !== 'read') return file;
  return { ...file, rows: file.rows.map(({ id, row }) => ({ jars: row.jars, lot: { id, ...row.lot } })) };
};
const rowsOf = (text: string) => {
  const file = read(text);
  if (file.kind !== 'read') throw new Error(`${file.kind}`);
  return file;
};

// csv-parse: a parser that is not the one the product writes and reads with.
test('whatever stands in a cell, another parser reads back what went out; formulas come out as words', () => {
  const cell = fc.string({ unit: fc.constantFrom(...'ab=+-@,;"\'\n\r\t é1＝＋－＠\u200b\ufeff\u2212'), maxLength: 8 });
  fc.assert(
    fc.property(fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 6 }), (rows) => {
      const csv = toCsv(['a', 'b', 'c'], rows);
      const back = parse(csv, { relax_column_count: false }) as string[][];
      expect(back[0]).toEqual(['a', 'b', 'c']);
      back.slice(1).forEach((cells, i) =>
        cells.forEach((each, j) => {
          const written = rows[i]![j]!;
          // papaparse puts the apostrophe where a spreadsheet would run the cell.
          expect([written, `'${written}`]).toContain(each);
          expect(each).not.toMatch(/^[=+\-@\t\r]/);
          // As a spreadsheet folds it: full-width signs made plain, what is not seen left out (Unicode NFKC).
          expect(each.normalize('NFKC').replace(/[\s\u200b\ufeff]/g, '')).not.toMatch(/^[=+\-@\u2212]/);
        }),
      );
    }),
  );
});

test('jars that go out come in again as they were, read by another parser on the way', () => {
  const lots: JarLot[] = Array.from({ length: 12 }, (_, i) => ({
    id: `0198f3a0-0000-7000-8000-0000000000${String(i + 10)}`,
    product: i % 2 === 0 ? 'tomatoes-crushed' : 'dilled-beans',
    jar: i % 3 === 0 ? 'half-pint' : 'quart',
    place: i === 5 ? 'refrigerator' : 'shelf',
    seal: i === 5 ? 'unsealed' : 'sealed',
    madeAt: new Date(2026, 5, 1 + i, 12).getTime(),
    keepsUntil: 0,
    // Two jams, of one name by two cards.
    ...(i >= 10 && { product: 'jam-with-pectin', recipe: 'jam-with-pectin/peach', crop: 'peach' }),
    ...(i === 11 && { product: 'jam-no-pectin', recipe: 'jam-no-pectin/peach' }),
  }));
  const movements = lots.map(({ id }, i): Movement => ({ id, lotId: id, kind: 'stored', jars: i + 1, at: NOW }));
  const parts = NOTHING;
  const csv = exportCsv('jars', { ...parts, lots, movements });
  const table = parse(csv, { columns: true }) as Record<string, string>[];
  const through = toCsv(
    Object.keys(table[0]!),
    table.map((row) => Object.values(row)),
  );
  const { rows, faults } = rowsOf(through);
  expect(faults).toEqual([]);
  const bare = ({ lot, jars }: { lot: JarLot; jars: number }) => [
    lot.id,
    lot.product,
    lot.jar,
    lot.place,
    lot.seal,
    lot.madeAt,
    lot.recipe,
    lot.crop,
    jars,
  ];
  expect(rows.map(bare)).toEqual(lots.map((lot, i) => bare({ lot, jars: i + 1 })));
  const moved = parse(exportCsv('movements', { ...parts, lots, movements }), { columns: true }) as Record<
    string,
    string
  >[];
  expect(moved.map(({ id, jars, kind }) => [id, jars, kind])).toEqual(
    movements.map(({ id, jars, kind }) => [id, String(jars), kind]),
  );
});

test.each([
  ['commas', 'product,size,jars,made\nCrushed tomatoes,quart,12,2025-09-14'],
  [
    'semicolons, a byte order mark and other names',
    '\uFEFFItem;Jar Size;Qty;Date canned\r\nstewed tomatoes;Quarts;12;14.09.2025\r\n',
  ],
  ['tabs and quotes', '"What"\t"Container"\t"How many"\t"Put up"\n"crushed tomato"\t"32 oz"\t"12"\t"Sep 14, 2025"'],
  ['an American date and empty lines', 'Contents,Size,On Hand,Made,\n\nCrushed tomatoes,qt,12,9/14/2025,\n,,,,\n'],
])('a file with %s is the same twelve quarts', (_, text) => {
  const { rows, faults } = rowsOf(text);
  expect(faults).toEqual([]);
  expect(rows).toMatchObject([
    { jars: 12, lot: { product: 'tomatoes-crushed', jar: 'quart', place: 'shelf', seal: 'sealed' } },
  ]);
  expect(new Date(rows[0]!.lot.madeAt).toDateString()).toBe('Sun Sep 14 2025');
});

test('the same file has the same lots, two like rows are two lots, and a changed row is another', () => {
  const text =
    'product,size,jars,made\nPlums or damsons in syrup,pint,6,2025-09\nPlums or damsons in syrup,pint,6,2025-09';
  const ids = (csv: string) => rowsOf(csv).rows.map(({ lot }) => lot.id);
  expect(ids(text)).toEqual(ids(text));
  expect(new Set(ids(text)).size).toBe(2);
  expect(ids(text.replace(/6,2025-09$/, '5,2025-09'))[1]).not.toBe(ids(text)[1]);
});

test('a cell that cannot be read is told with its line and what was typed; what is like a product is offered', () => {
  const { rows, faults } = rowsOf(
    [
      'product,size,jars,made,place',
      'Crushd tomatoes,quart,=2+3,tomorrow,Barn',
      'Plums,barrel,0,2031-01-01,',
      '=HYPERLINK("x"),pint,3,1987,',
    ].join('\n'),
  );
  expect(rows).toEqual([]);
  expect(faults.map(({ line, column, typed }) => [line, column, typed])).toEqual([
    [2, 'product', 'Crushd tomatoes'],
    [2, 'jars', '=2+3'],
    [2, 'made', 'tomorrow'],
    [2, 'place', 'Barn'],
    [3, 'size', 'barrel'],
    [3, 'jars', '0'],
    [3, 'made', '2031-01-01'],
    [4, 'product', '=HYPERLINK("x")'],
    [4, 'made', '1987'],
  ]);
  expect(faults[0]).toMatchObject({ meant: 'tomatoes-crushed' });
});

test('columns that nobody knows are asked for; too many rows, none, and two of one lot are refused', () => {
  const odd = 'Glas,Inhalt,Anzahl,Monat\nquart,Crushed tomatoes,3,2025-09';
  expect(read(odd)).toMatchObject({ kind: 'columns', header: ['Glas', 'Inhalt', 'Anzahl', 'Monat'] });
  expect(read(odd, { columns: { product: 1, size: 0, jars: 2, made: 3 } })).toMatchObject({
    kind: 'read',
    faults: [],
    rows: [{ jars: 3 }],
  });
  const many = `product,size,jars,made\n${'Crushed tomatoes,quart,1,2025-09\n'.repeat(50_000)}`;
  expect(read(many)).toMatchObject({ kind: 'refused', reason: expect.stringContaining('50,000 rows') });
  expect(read('product,size,jars,made\n').kind).toBe('refused');
  const own = '0198f3a0-0000-7000-8000-000000000010';
  expect(read(`product,size,jars,made,lot\nPlums,pint,1,2025-09,${own}\nPlums,pint,2,2025-09,${own}`).kind).not.toBe(
    'columns',
  );
  expect(readCsv('').rows).toEqual([]);
});

test.each([
  ['9/12/2025', false, '2025-09-12'],
  ['9/12/2025', true, '2025-12-09'],
  ['31/12/2025', false, '2025-12-31'],
  ['2025', false, '2025-09-01'],
  ['10/2025', false, '2025-10-15'],
  ['September 2025', false, '2025-09-15'],
])('%s with the day first %s is %s', (words, dayFirst, day) => {
  expect(readDay(words, { dayFirst, now: NOW })).toMatchObject({ kind: 'day', day });
});

test.each(['', '2025-02-30', '2026-12-01', '1999-05-05', 'jam', '99'])('"%s" is no day jars were made on', (words) => {
  expect(readDay(words, { dayFirst: false, now: NOW + 0 * DAY }).kind).toBe('fault');
});

test('a batch of which one load went by steam says both ways', () => {
  const batch: Batch = {
    ...{
      id: 'b',
      product: 'plums',
      jar: 'pint',
      pack: 'hot',
      method: 'boiling-water',
      altitudeFt: 0,
      processMinutes: 20,
    },
    ...{ cannerId: 'pot', startAt: NOW, uses: [] },
    loads: [1, 2, 3].map((number) => ({
      id: `l${number}`,
      number,
      jars: 6,
      ...(number === 2 && { way: 'steam' as const }),
    })),
  };
  const parts = NOTHING;
  const [row] = parse(exportCsv('batches', { ...parts, batches: [batch] }), { columns: true }) as Record<
    string,
    string
  >[];
  expect(row).toMatchObject({ method: 'boiling-water, steam', minutes: '20', loads: '3' });
});
