import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { searchProducts } from '../../handbook/searchProducts';
import { KG_PER_LB } from '../../measure/amount';
import { toCsv } from '../csv';
import { batchesIn } from './batchesIn';
import { decodeText } from './decodeText';
import { gardenIn } from './gardenIn';
import { goalsIn } from './goalsIn';
import { picksIn } from './picksIn';
import { sizeWithin, wholeNumber } from './readCells';
import { MOST_ROWS, readTable, readWhole, type TableChoices, type TableSpec } from './readTable';
import { suppliesIn } from './suppliesIn';

const NOW = Date.UTC(2026, 7, 29, 12);
const ground = { now: NOW, timeZone: 'America/Denver', units: 'us' as const, search: searchProducts };
const idOf = (words: string) => `id ${words}`;
function read<Column extends string, Row>(
  text: string,
  spec: TableSpec<Column, Row>,
  more: Partial<TableChoices<Column>> = {},
) {
  const file = readWhole(text, spec, { dayFirst: false, idOf, ...more });
  if (file.kind !== 'read') throw new Error(JSON.stringify(file));
  return file;
}

// WHATWG Encoding Standard; the letters are those a European kitchen writes.
test.each([
  ['UTF-8', (text: string) => Buffer.from(text, 'utf8')],
  ['UTF-8 with a mark', (text: string) => Buffer.from(`\uFEFF${text}`, 'utf8')],
  ['UTF-16 with a mark', (text: string) => Buffer.from(`\uFEFF${text}`, 'utf16le')],
  ['UTF-16 without', (text: string) => Buffer.from(text, 'utf16le')],
  ['UTF-16, the other end first', (text: string) => Buffer.from(`\uFEFF${text}`, 'utf16le').swap16()],
  ['Windows-1252', (text: string) => Buffer.from(text.replace('–', '\x96').replace('’', '\x92'), 'latin1')],
])('a file in %s is the same words', (_, write) => {
  const text = 'crop;kg;note\r\nÄpfel – Mary’s;12,5;süß\r\n';
  expect(decodeText(new Uint8Array(write(text))).text).toBe(text);
});

test('what a table cannot hold as bytes is still text, and never an error', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => expect(typeof decodeText(bytes).text).toBe('string')),
  );
});

// OWASP, CSV Injection; the signs a spreadsheet folds to its own, and what it leaves out before it looks.
test.each([
  '=1+1',
  '+1',
  '-1+1',
  '@SUM(A1)',
  '＝1+1',
  '＋1',
  '－1',
  '＠x',
  '\u200b=1',
  '\ufeff=1',
  ' \u2060=1',
  '\u00ad+1',
  '\t=1',
  '\u202e=1',
])('%j goes out as a word', (words) => {
  const [[, cell]] = parse(toCsv(['a', 'b'], [['', words]]), { from: 2 }) as [[string, string]];
  expect(cell.startsWith("'")).toBe(true);
  expect(cell.slice(1)).toBe(words);
});

test('the names of the columns stand where they stand: under a title, under merged cells, in any order', () => {
  const spec = picksIn(ground);
  const rows = '2026-08-20,Paste tomatoes,42\n2026-08-21,Damson plums,9';
  const plain = read(`date,crop,lb\n${rows}`, spec);
  expect(plain.rows.map(({ row }) => [row.crop, Math.round(row.massKg / KG_PER_LB)])).toEqual([
    ['tomato-paste', 42],
    ['damson', 9],
  ]);
  const titled = read(`Harvest 2026,,\n,,\nWhen,What,\ndate,crop,Weight (lb)\n${rows}`, spec);
  expect(titled.rows.map(({ id }) => id)).toEqual(plain.rows.map(({ id }) => id));
  expect(titled.rows[0]?.line).toBe(5);
  const asked = readWhole(`Wann,Sorte,Menge\n${rows}`, spec, { idOf });
  expect(asked).toMatchObject({ kind: 'columns', missing: ['picked', 'crop', 'amount'] });
  expect(read(`Wann,Sorte,Menge\n${rows}`, spec, { columns: { picked: 0, crop: 1, amount: 2 } }).rows).toHaveLength(2);
});

test('days and months: the file tells, or it is asked; two figures of a year, and a day that there is not', () => {
  const spec = picksIn(ground);
  const file = (...dates: string[]) => `date,crop,lb\n${dates.map((date) => `"${date}",Damson plums,9`).join('\n')}`;
  const days = (text: string, dayFirst?: boolean) => {
    const told = readWhole(text, spec, { idOf, ...(dayFirst !== undefined && { dayFirst }) });
    return told.kind === 'read' ? told.rows.map(({ row }) => new Date(row.pickedAt).toISOString().slice(0, 10)) : told;
  };
  // With the time of day behind it a date is as open.
  expect(days(file('9/8/2026 14:05'))).toMatchObject({ kind: 'dates', typed: ['9/8/2026 14:05'] });
  expect(days(file('9/8/2026 14:05'), true)).toEqual(['2026-08-09']);
  expect(days(file('9/8/26', '9/7/2026'))).toMatchObject({ kind: 'dates', typed: ['9/8/26', '9/7/2026'] });
  expect(days(file('9/8/25', '9/7/2025'), true)).toEqual(['2025-08-09', '2025-07-09']);
  expect(days(file('9/8/25', '9/7/2025'), false)).toEqual(['2025-09-08', '2025-09-07']);
  // One that can only be read one way tells for all.
  expect(days(file('9/8/25', '31/7/2025'), false)).toEqual(['2025-08-09', '2025-07-31']);
  expect(days(file('9/8/25', '7/31/2025'), true)).toEqual(['2025-09-08', '2025-07-31']);
  expect(days(file('2026-08-09', 'Aug 9, 2026', '9 Aug 2026', '9.8.2026'))).toEqual(Array(4).fill('2026-08-09'));
  const faulty = read(file('31/2/2026', '2026-02-31', '2027-01-01', '', '1998-05-05'), spec, { dayFirst: true });
  expect(faulty.faults.map(({ line, column, typed }) => [line, column, typed])).toEqual([
    [2, 'picked', '31/2/2026'],
    [3, 'picked', '2026-02-31'],
    [4, 'picked', '2027-01-01'],
    [5, 'picked', ''],
    [6, 'picked', '1998-05-05'],
  ]);
});

test.each([
  ['1,250', 1_250],
  ['1.250', 1_250],
  ['1 250', 1_250],
  ["1'250", 1_250],
  ['1,250,000', 1_250_000],
  ['12.0', 12],
  ['12,5', undefined],
  ['1.25', undefined],
  ['-3', undefined],
  ['twelve', undefined],
  ['', undefined],
])('%s is %s whole', (typed, count) => expect(wholeNumber(typed)).toBe(count));

test('amounts: in the unit of the cell, of the cell beside, of the column, of the household; thousands; bushels', () => {
  const kg = (header: string, amount: string, unit = '', units: 'us' | 'metric' = 'us') => {
    const told = readWhole(
      `date,crop,${header},unit\n2026-08-20,Apples,"${amount}",${unit}`,
      picksIn({ ...ground, units }),
      { idOf },
    );
    return told.kind === 'read' ? (told.rows[0]?.row.massKg ?? told.faults[0]?.says) : told.kind;
  };
  expect(kg('amount', '20')).toBeCloseTo(20 * KG_PER_LB, 6);
  expect(kg('amount', '20', '', 'metric')).toBe(20);
  expect(kg('Weight (kg)', '20')).toBe(20);
  expect(kg('amount', '20 kg')).toBe(20);
  expect(kg('amount', '20', 'kg')).toBe(20);
  expect(kg('amount', '1,250', 'lb')).toBeCloseTo(1_250 * KG_PER_LB, 6);
  expect(kg('amount', '1.250,5', 'lb')).toBeCloseTo(1_250.5 * KG_PER_LB, 6);
  // 48 lb to the bushel of apples: USDA Complete Guide to Home Canning, 2015, guide 2.
  expect(kg('amount', '1/2 bushel')).toBeCloseTo(24 * KG_PER_LB, 6);
  expect(kg('amount', 'a lot')).toMatch(/is no amount/);
  expect(kg('amount', '99999', 'lb')).toMatch(/cannot be/);
  expect(kg('amount', '')).toMatch(/is missing/);
});

test('beds, batches, drawers and wishes are read, a word that may mean something is asked about, and once said it holds', () => {
  const beds = read(
    'bed,crop,count,unit,first week\nEast,Paste tomatoes,60,plants,31\nWall,pears,2,trees,\nX,plumbs,1,,\nY,Beets,0,ft,60',
    gardenIn(ground),
  );
  expect(beds.rows.map(({ row }) => [row.name, row.crop, row.count, row.unit, row.firstWeek])).toEqual([
    ['East', 'tomato-paste', 60, 'plants', 31],
    ['Wall', 'pear', 2, 'trees', 30],
  ]);
  expect(beds.faults.map(({ line, column, meant }) => [line, column, meant])).toEqual([
    [4, 'crop', 'plum'],
    [5, 'count', undefined],
    [5, 'first', undefined],
  ]);
  expect(read('bed,crop,count\nX,plumbs,1', gardenIn({ ...ground, crops: { plumbs: 'plum' } })).rows).toHaveLength(1);
  const batches = read(
    'made,product,produce,jars,size,note\n2025-09-01,Applesauce,46 lb,15,quart,thin\n2025-09-02,Applesauce,46 lb,150,quart,\n2025-09-03,Aplesauce,46 lb,15,quart,',
    batchesIn(ground),
  );
  // 21 lb of apples make 7 quarts of sauce: guide 2. Ten times that is kept and nothing is learned from it.
  expect(batches.rows.map(({ row }) => [row.crop, row.jars[0]?.count, row.note, row.learnFrom, row.batchId])).toEqual([
    ['apple', 15, 'thin', true, null],
    ['apple', 150, '', false, null],
  ]);
  expect(batches.faults).toMatchObject([{ line: 4, column: 'product', typed: 'Aplesauce', meant: 'applesauce' }]);
  const drawer = read(
    'what,size,mouth,count\njars,quart,,60\nWide-mouth pint jars,,,12\nlids,,wide,144\nreusable lids,,,20\nbands,,,9\nspoons,,,3\njars,,,4',
    suppliesIn({ now: NOW }),
  );
  expect(drawer.rows.map(({ row }) => [row.kind, row.size, row.mouth, row.count])).toEqual([
    ['jar', 'quart', 'regular', 60],
    ['jar', 'pint', 'wide', 12],
    ['lid', undefined, 'wide', 144],
    ['reusable-lid', undefined, 'regular', 20],
    ['band', undefined, 'regular', 9],
  ]);
  expect(drawer.faults.map(({ line, column }) => [line, column])).toEqual([
    [7, 'what'],
    [8, 'size'],
  ]);
  expect(sizeWithin('wide-mouth half-pint jars')).toBe('half-pint');
  const goals = read(
    'product,size,jars,priority\nApplesauce,quart,20,staple\nDill pickles,pint,"1,000",',
    goalsIn(ground),
  );
  expect(goals.rows.map(({ row }) => [row.jar, row.jars, row.priority])).toEqual([
    ['quart', 20, 'staple'],
    ['pint', 1_000, 'want'],
  ]);
});

test('five thousand rows tell how far they are, and the same file has the same ids whatever stands around its rows', () => {
  const rows = Array.from(
    { length: MOST_ROWS },
    (_, i) => `2026-08-${String(1 + (i % 28)).padStart(2, '0')},Damson plums,${1 + (i % 40)}`,
  );
  const steps = readTable(`date,crop,lb\n${rows.join('\n')}`, picksIn(ground), { idOf });
  const parts: number[] = [];
  let step = steps.next();
  for (; !step.done; step = steps.next()) parts.push(step.value);
  expect(parts.length).toBeGreaterThan(40);
  expect([...parts].sort((a, b) => a - b)).toEqual(parts);
  if (step.value.kind !== 'read') throw new Error(step.value.kind);
  expect(new Set(step.value.rows.map(({ id }) => id)).size).toBe(MOST_ROWS);
  const again = read(
    `x;lb;crop;y;date\n${rows
      .map((row) => row.split(',').reverse())
      .map(([lb, crop, day]) => `;${lb};${crop};;${day}`)
      .join('\n')}`,
    picksIn(ground),
  );
  expect(again.rows.map(({ id }) => id)).toEqual(step.value.rows.map(({ id }) => id));
  expect(readWhole(`date,crop,lb\n${[...rows, rows[0]].join('\n')}`, picksIn(ground), { idOf })).toMatchObject({
    kind: 'refused',
  });
});
