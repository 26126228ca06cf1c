import fc from 'fast-check';
import { readCode, jarCode } from '../../pantry/jarCode';
import { type Batch } from '../../day/batch';
import { type JarLot } from '../../pantry/jarLot';
import { codeInScan } from './codeInScan';
import { jarLabelOf, jarAddress, type LabelGround, labelsByHand } from './jarLabelOf';
import { type LabelSheet, labelsPerSheet, PAGES_MM, placeOnSheet, sheetFault, STOCK_SHEETS } from './labelSheet';
import { type JarLabel, layLabel, LEAST_SIZE_MM, type WidthOf } from './layLabel';

/** Every letter as wide as half its height, bold a tenth more: what a font says does not matter here. */
const widthOf: WidthOf = (words, weight) => [...words].length * (weight === 'bold' ? 0.55 : 0.5);

const someSheet: fc.Arbitrary<LabelSheet> = fc.oneof(
  fc.constantFrom(...STOCK_SHEETS),
  fc.record({ widthMm: fc.integer({ min: 20, max: 100 }), heightMm: fc.integer({ min: 15, max: 80 }) }).map((size) => ({
    page: 'a4' as const,
    shape: 'rect' as const,
    ...size,
    columns: 1,
    rows: 1,
    leftMm: 5,
    topMm: 5,
    gapXMm: 0,
    gapYMm: 0,
  })),
);
const letters = fc.string({ unit: fc.constantFrom(...'abcdefghiéמג '), maxLength: 40 });
const someLabel: fc.Arbitrary<JarLabel> = fc.record({
  name: fc
    .string({ unit: fc.constantFrom(...'abcdefgh '), minLength: 1, maxLength: 40 })
    .filter((name) => name.trim() !== ''),
  lines: fc.array(letters, { maxLength: 4 }),
  code: fc.constantFrom('7K3PM', ''),
  small: fc.array(letters, { maxLength: 4 }),
  address: fc.constant('HTTP://192.168.1.20:4860/J/7K3PM'),
});

test('what is laid keeps within its label, off the code and legible; no letter of it is lost, or it is refused', () => {
  const kinds = new Map<string, number>();
  fc.assert(
    fc.property(someLabel, someSheet, (label, sheet) => {
      const laid = layLabel(label, sheet, widthOf);
      kinds.set(laid.kind, (kinds.get(laid.kind) ?? 0) + 1);
      if (laid.kind === 'tooMuch') return expect(laid.reason).toContain(label.name);
      const all = (words: readonly string[]) => words.join('').replace(/\s/g, '');
      expect(all(laid.lines.map(({ words }) => words))).toBe(
        all([label.name, ...label.lines, label.code, ...label.small]),
      );
      let below = -Infinity;
      for (const { xMm, yMm, sizeMm, widthMm, words } of laid.lines) {
        expect(sizeMm).toBeGreaterThanOrEqual(LEAST_SIZE_MM - 1e-9);
        const [top, bottom] = [yMm - 0.9 * sizeMm, yMm + 0.26 * sizeMm];
        expect(top).toBeGreaterThanOrEqual(below - 1e-6);
        below = bottom;
        const corners = [xMm, xMm + widthMm].flatMap((x) => [top, bottom].map((y) => ({ x, y })));
        for (const { x, y } of corners) {
          if (sheet.shape === 'round') {
            const radius = sheet.widthMm / 2;
            expect(Math.hypot(x - radius, y - radius)).toBeLessThanOrEqual(radius);
          } else {
            expect(Math.min(x, y, sheet.widthMm - x, sheet.heightMm - y)).toBeGreaterThanOrEqual(0);
          }
        }
        const code = laid.code;
        if (!code || words === '') continue;
        const beside = xMm + widthMm <= code.xMm || bottom <= code.yMm + 1e-6 || top >= code.yMm + code.sideMm - 1e-6;
        expect(beside).toBe(true);
      }
    }),
    { numRuns: 400 },
  );
  expect(kinds.get('laid')).toBeGreaterThan(100);
});

test('a name of 40 letters without a space and two lines of notes stand whole on the smallest lid label', () => {
  const lid = STOCK_SHEETS.find(({ id }) => id === 'lid-1in5')!;
  const label = {
    ...{ name: 'Stachelbeerholunderblütenquittengeleelein', lines: ['Made 29 Aug 2026', 'Best by Aug 2027'] },
    ...{ code: '7K3PM', small: ['half the sugar', 'for the fair'], address: 'HTTP://192.168.1.20:4860/J/7K3PM' },
  };
  const laid = layLabel(label, lid, widthOf);
  expect(laid).toMatchObject({ kind: 'laid', code: { sideMm: 12.5 } });
  const essay = { ...label, small: Array.from({ length: 9 }, () => 'more than anybody writes on a lid') };
  expect(layLabel(essay, lid, widthOf)).toMatchObject({
    kind: 'tooMuch',
    reason: expect.stringContaining('small print'),
  });
});

test('labels of every sheet stand apart and on the paper; what does not fit says how many do', () => {
  for (const sheet of STOCK_SHEETS) {
    expect([sheet.id, sheetFault(sheet)]).toEqual([sheet.id, undefined]);
    const [width, height] = PAGES_MM[sheet.page];
    const count = labelsPerSheet(sheet);
    const places = Array.from({ length: count }, (_, i) => placeOnSheet(sheet, i));
    places.forEach(({ page, xMm, yMm }, i) => {
      expect(page).toBe(0);
      expect(xMm + sheet.widthMm).toBeLessThanOrEqual(width + 0.1);
      expect(yMm + sheet.heightMm).toBeLessThanOrEqual(height + 0.1);
      const apart = places
        .slice(0, i)
        .every(
          (other) =>
            Math.abs(other.xMm - xMm) >= sheet.widthMm - 1e-6 || Math.abs(other.yMm - yMm) >= sheet.heightMm - 1e-6,
        );
      expect(apart).toBe(true);
    });
    expect(placeOnSheet(sheet, count)).toEqual({ ...places[0], page: 1 });
  }
  // Sold sheets by what stands on their packets: 30 of 2 5/8 x 1 in, 21 of 63.5 x 38.1 mm, 24 of 70 x 37 mm.
  expect(STOCK_SHEETS.slice(0, 3).map((sheet) => [labelsPerSheet(sheet), Math.round(sheet.widthMm * 10) / 10])).toEqual(
    [
      [30, 66.7],
      [21, 63.5],
      [24, 70],
    ],
  );
  const free = { ...STOCK_SHEETS[1]!, columns: 4 };
  expect(sheetFault(free)).toBe('4 across do not fit: 3 do.');
  expect(sheetFault({ ...free, widthMm: 300 })).toBe('One label is larger than the sheet.');
  expect(sheetFault({ ...free, columns: 3, shape: 'round' })).toMatch(/as wide as it is high/);
});

const lot: JarLot = {
  ...{ id: '0198f3a0-0000-7000-8000-000000000010', loadId: 'l1', product: 'tomatoes-crushed', jar: 'quart' },
  ...{ place: 'shelf', seal: 'sealed', madeAt: Date.UTC(2026, 7, 29, 18), keepsUntil: 0 },
};
const batch: Batch = {
  ...{ id: 'b', product: 'tomatoes-crushed', jar: 'quart', pack: 'hot', method: 'boiling-water', altitudeFt: 3_420 },
  ...{ processMinutes: 50, cannerId: 'pot', startAt: 0, uses: [], loads: [{ id: 'l1', number: 1, jars: 7 }] },
};
const ground: LabelGround & { batch: Batch } = {
  ...{ placeKind: 'shelf', bestMonths: 12, code: '7K3PM', batch, base: 'http://192.168.1.20:4860/' },
  dates: { order: 'mdy', timeZone: 'America/Denver' },
};

test('a label says what, when, until when and how it was processed, in the order the household writes a date', () => {
  const label = jarLabelOf(lot, ground, {
    note: 'for the fair\nclass 12',
    allergens: ['celery'],
    netWeight: 'Net 32 fl oz',
  });
  expect(label).toEqual({
    name: 'Crushed tomatoes',
    lines: ['Made Aug 29, 2026', 'Best by Aug 2027', 'Boiling water, 50 min'],
    code: '7K3PM',
    small: ['for the fair', 'class 12', 'Contains celery', 'Net 32 fl oz', ''],
    address: 'HTTP://192.168.1.20:4860/J/7K3PM',
  });
  const first = (order: 'dmy' | 'ymd') => jarLabelOf(lot, { ...ground, dates: { order } }).lines[0];
  expect([first('dmy'), first('ymd')]).toEqual(['Made 29 Aug 2026', 'Made 2026-08-29']);
  const steamed = { ...batch, loads: [{ ...batch.loads[0]!, way: 'steam' as const }] };
  expect(jarLabelOf(lot, { ...ground, batch: steamed }).lines[2]).toBe('Steam canner, 50 min');
  // What did not seal, what is frozen, what came from another kitchen.
  const cold = { ...lot, seal: 'unsealed' as const, keepsUntil: Date.UTC(2026, 8, 5, 18) };
  expect(jarLabelOf(cold, { ...ground, placeKind: 'refrigerator' }).lines[1]).toBe('Keep cold, use by Sep 5, 2026');
  expect(jarLabelOf(cold, { ...ground, placeKind: 'freezer' }).lines[1]).toBe('Frozen, best by Sep 2026');
  const { batch: _, base: __, ...bare } = ground;
  expect(jarLabelOf(lot, bare)).toMatchObject({ lines: [expect.anything(), expect.anything(), ''] });
  expect(jarLabelOf(lot, bare)).not.toHaveProperty('address');
  expect(labelsByHand([{ label, jars: 7, lot }])).toContain('7 quarts:\n  Crushed tomatoes\n  Made Aug 29, 2026\n');
});

test('a camera reads the code of an address of this household and of where its server was before, and nothing else', () => {
  const code = jarCode(lot.id, 7);
  for (const base of ['http://127.0.0.1:4860', 'https://cellar.local/', 'http://[fe80::1]:80']) {
    expect(readCode(codeInScan(jarAddress(base, code))!, 7)).toEqual({ kind: 'code', code });
  }
  expect(codeInScan(code.toLowerCase())).toBe(code.toLowerCase());
  for (const other of [
    'https://example.org/',
    'WIFI:S:home;;',
    'http://a/j/toolong',
    'javascript:alert(1)',
    '',
    '4006381333931',
  ])
    expect(codeInScan(other)).toBeUndefined();
});
