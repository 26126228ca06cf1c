import { FIRST_SHEET, readNudge, readSheet } from './sheetDraft';

const free = { ...FIRST_SHEET, sheet: 'own' };

test('a free size is read in inches with fractions, or in millimetres; the first one typed is the sheet of 30', () => {
  const stock = readSheet(FIRST_SHEET);
  const read = readSheet(free);
  expect(stock.kind === 'sheet' && read.kind === 'sheet' && read.sheet).toEqual(stock.kind === 'sheet' && stock.sheet);
  const metric = {
    ...free,
    page: 'a4',
    unit: 'mm',
    width: '70',
    height: '37',
    rows: '8',
    left: '0',
    top: '0,5',
    gapX: '0',
  };
  expect(readSheet(metric)).toMatchObject({ kind: 'sheet', sheet: { widthMm: 70, topMm: 0.5, rows: 8 } });
  expect(readSheet({ ...free, shape: 'round', width: '2', rows: '4', gapX: '1/2', gapY: '1/2' })).toMatchObject({
    sheet: { shape: 'round', widthMm: 50.8, heightMm: 50.8 },
  });
});

test.each([
  [{ width: 'two' }, 'width', /“two” is no length/],
  [{ width: '0' }, 'width', /no length/],
  [{ columns: '2.5' }, 'columns', /How many/],
  [{ columns: '4' }, undefined, /4 across do not fit: 3 do/],
  [{ rows: '11' }, undefined, /11 down do not fit: 10 do/],
  [{ width: '9' }, undefined, /larger than the sheet/],
] as const)('%j is told at its field', (typed, field, sentence) => {
  const read = readSheet({ ...free, ...typed });
  expect(read).toMatchObject({ kind: 'slip', field });
  expect(read.kind === 'slip' && read.sentence).toMatch(sentence);
});

test.each([
  ['', 0],
  ['1.5', 1.5],
  ['-2', -2],
  ['−1/2', -0.5],
  ['11', undefined],
  ['left', undefined],
  ['-', undefined],
] as const)('a printer that is off by "%s" mm', (typed, mm) => expect(readNudge(typed)).toBe(mm));
