import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { parse } from 'csv-parse/sync';
import { v7 as uuidV7 } from 'uuid';
import { read, utils } from 'xlsx';
import { everythingSchema } from '@hoddle/contract/everything';
import { EXPORT_TABLES } from '@hoddle/core/formats/tablesOut/householdTables';
import { fillHousehold } from './backup/insertHousehold';
import { demoStart, fennickHollow } from './demo/fennickHollow';
import { startServer } from './testServer';

const YEAR = new Date(2026, 2, 3);
let server: Awaited<ReturnType<typeof startServer>>;
const start = async (isDemo: boolean) => {
  server = await startServer(undefined, { now: () => demoStart(YEAR).getTime() });
  if (!isDemo) return;
  const { demoNow: _, ...household } = fennickHollow(YEAR);
  await fillHousehold(server.db, { ...household, demoOffsetMs: null });
};
afterEach(() => server.stop());

const bytesOf = async (path: string) => Buffer.from(await (await fetch(`${server.address}/api${path}`)).arrayBuffer());

// SheetJS and csv-parse: readers that are neither what writes these files nor what reads them here.
test('every list goes out as CSV and as a sheet, the same cells; days are days, and a word that looks like a formula is a word', async () => {
  await start(true);
  const { picks } = (await server.call('GET', '/state')).body;
  const evil = { ...picks.at(-1), id: uuidV7(), told: '=1+1', of: undefined };
  expect((await server.call('POST', '/picks', JSON.parse(JSON.stringify(evil)))).status).toBe(201);
  const { household } = (await server.call('GET', '/state')).body;
  await server.call('PUT', '/household', { ...household, dateOrder: 'dmy' });
  const book = read(await bytesOf('/export?table=all&format=xlsx'), {
    cellDates: true,
    cellFormula: true,
    cellNF: true,
  });
  expect(book.SheetNames).toEqual([...EXPORT_TABLES]);
  const filled: string[] = [];
  for (const table of EXPORT_TABLES) {
    const csv = parse(await bytesOf(`/export?table=${table}`), { bom: true }) as string[][];
    const sheet = book.Sheets[table]!;
    const rows = utils.sheet_to_json<unknown[]>(sheet, { header: 1, defval: null, blankrows: true });
    expect([table, rows.length]).toEqual([table, csv.length]);
    expect(rows[0]).toEqual(csv[0]);
    if (rows.length > 1) filled.push(table);
    rows.slice(1).forEach((row, i) =>
      row.forEach((cell, j) => {
        const plain = csv[i + 1]![j]!.replace(/^'(?=[=+\-@])/, '');
        if (cell instanceof Date) expect(Number.isNaN(cell.getTime())).toBe(false);
        else expect(String(cell ?? '')).toBe(plain);
      }),
    );
    for (const cell of Object.values(sheet)) if (typeof cell === 'object') expect(cell).not.toHaveProperty('f');
  }
  expect(filled.length).toBeGreaterThanOrEqual(7);
  const made = Object.entries(book.Sheets.jars!).find(([at, cell]) => at === 'D2' && cell.t === 'd')?.[1];
  expect(made?.z).toBe('d mmm yyyy');
  const lot = (await server.call('GET', '/state')).body.lots.length;
  expect(lot).toBeGreaterThan(5);
  expect((await fetch(`${server.address}/api/export?table=all`)).status).toBe(400);
});

test('everything as one JSON is what its schema says, and the schema is the one that ships', async () => {
  await start(true);
  const schema = everythingSchema();
  const shipped = resolve(process.cwd(), 'docs/household.schema.json');
  if (process.env.WRITE_SCHEMA === 'yes') writeFileSync(shipped, `${JSON.stringify(schema, null, 2)}\n`);
  expect(JSON.parse(readFileSync(shipped, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)));
  expect((await server.call('GET', '/everything/schema')).body).toEqual(JSON.parse(JSON.stringify(schema)));
  const { body } = await server.call('GET', '/everything');
  const ajv = addFormats(new Ajv2020({ strict: false }));
  expect([ajv.validate(schema, body), ajv.errorsText()]).toEqual([true, 'No errors']);
  const { state } = { state: (await server.call('GET', '/state')).body };
  expect([body.picks.length, body.garden.length, body.yields.length, body.recipes.length]).toEqual(
    [state.picks.length, state.plantings.length, state.batchRecords.length, state.recipes.length].map(
      (n) => expect.any(Number) && n,
    ),
  );
  expect(body.jars.every(({ count, name }: { count: number; name: string }) => count > 0 && name !== '')).toBe(true);
  expect(ajv.validate(schema, { ...body, picks: [{ id: 7 }] })).toBe(false);
});

test('a table that is brought along is put in once; what is old is not on hand; one bad row and nothing is kept', async () => {
  await start(false);
  const NOW = demoStart(YEAR).getTime();
  const pick = (massKg: number, days: number) => ({
    ...{ id: uuidV7(), crop: 'damson', massKg, softKg: 1, ripeness: 'ripe', place: 'cool', told: '' },
    ...{ pickedAt: NOW - days * 86_400_000, source: 'garden', plantingId: null },
  });
  const rows = [pick(10, 400), pick(8, 20), pick(6, 1)];
  const goneBefore = NOW - 14 * 86_400_000;
  const put = (body: object) => server.call('POST', '/rows-in', body);
  expect(await put({ table: 'picks', rows, goneBefore })).toMatchObject({ status: 201, body: { added: 3, known: 0 } });
  expect(await put({ table: 'picks', rows, goneBefore })).toMatchObject({ status: 200, body: { added: 0, known: 3 } });
  const onHand = parse(await bytesOf('/export?table=on-hand'), { bom: true, columns: true }) as Record<
    string,
    string
  >[];
  expect(onHand.map(({ lb, part }) => [part, Number(lb)])).toEqual(
    expect.arrayContaining([
      ['soft', expect.closeTo(1 / 0.45359237, 2)],
      ['sound', expect.closeTo(5 / 0.45359237, 2)],
    ]),
  );
  expect(onHand).toHaveLength(2);
  const record = {
    ...{ id: uuidV7(), batchId: null, product: 'applesauce', crop: 'apple', massKg: 20, waterMl: 0, sugarKg: 0 },
    ...{ jars: [{ jar: 'quart', count: 14 }], partJar: null, madeAt: NOW - 4e9, note: '', learnFrom: true },
  };
  expect((await put({ table: 'batches', rows: [record] })).status).toBe(201);
  expect((await put({ table: 'batches', rows: [record, { ...record, id: uuidV7(), massKg: -1 }] })).status).toBe(400);
  expect((await put({ table: 'batches', rows: [{ ...record, id: uuidV7(), batchId: uuidV7() }] })).status).toBe(422);
  const jar = { id: uuidV7(), kind: 'jar', size: 'quart', mouth: 'regular', way: 'found', count: 60, at: NOW };
  expect((await put({ table: 'supplies', rows: [jar, jar] })).status).toBe(409);
  expect((await put({ table: 'supplies', rows: [jar] })).status).toBe(201);
  const bed = {
    id: uuidV7(),
    name: 'East',
    crop: 'beet',
    count: 20,
    unit: 'row-feet',
    firstWeek: 27,
    peakWeek: 31,
    lastWeek: 38,
    usualKg: null,
  };
  expect((await put({ table: 'garden', rows: [bed] })).status).toBe(201);
  const goal = { product: 'applesauce', jar: 'quart', jars: 20, perMonth: null, priority: 'staple' };
  expect((await put({ table: 'goals', rows: [goal] })).status).toBe(201);
  const { batchRecords, plantings, goals, hardware, lotChanges } = (await server.call('GET', '/state')).body;
  expect([batchRecords.length, plantings.length, goals.length, lotChanges.length]).toEqual([1, 1, 1, 4]);
  expect(hardware).toEqual([{ kind: 'jar', size: 'quart', mouth: 'regular', count: 60 }]);
});
