import { readFileSync } from 'node:fs';
import jsQR from 'jsqr';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { jarAddress } from '@hoddle/core/formats/labels/jarLabelOf';
import { placeOnSheet, STOCK_SHEETS, type StockSheet } from '@hoddle/core/formats/labels/labelSheet';
import { jarCode } from '@hoddle/core/pantry/jarCode';
import { type LabelJob, labelPdf, type LaidJob, layJob } from './labelSheets';
import { checkedPdf, type GreyPage, pagesOfPdf, wordsOfPdf } from './outsidePrograms';

const sheetOf = (id: string) => STOCK_SHEETS.find((sheet) => sheet.id === id) as StockSheet;
const BASE = 'http://192.168.100.120:4860';
const label = (name: string, code: string, small: string[] = []) => ({
  name,
  lines: ['Made Aug 29, 2026', 'Best by Aug 2027', 'Boiling water, 50 min'],
  code,
  small,
  address: jarAddress(BASE, code),
});
const codes = Array.from({ length: 200 }, (_, i) => jarCode(`lot ${i}`, 7));

async function printed(job: Pick<LabelJob, 'sheet' | 'labels'> & Partial<LabelJob>) {
  const whole: LabelJob = { startAt: 1, nudgeMm: { x: 0, y: 0 }, ...job };
  const laid = layJob(whole) as LaidJob & { kind: 'laid' };
  expect(laid).toMatchObject({ kind: 'laid' });
  return { pdf: await labelPdf(whole, laid, 0), laid };
}

/** The three squares by which a code is found, with the line around them: no reader makes up for one that is gone. */
const FINDER = 8 / 29;
/** The small one at the lower right, from its lower right corner: one of the two readers needs it. */
const ALIGNMENT = { from: 10 / 29, to: 3 / 29 };

interface Square {
  readonly x: number;
  readonly y: number;
  readonly side: number;
}

/** One in ten parts of the code in one stroke off its finders: dark as jam, or pale as where something was torn off. */
function smear(
  dots: Uint8ClampedArray,
  width: number,
  { x: left, y: top, side }: Square,
  seed: number,
  spares: boolean,
) {
  const random = xoroshiro128plus(seed);
  const upTo = (most: number) => uniformInt(random, 0, Math.max(0, most));
  for (;;) {
    const wide = Math.round(side * (0.2 + upTo(30) / 100));
    const high = Math.round((side * side * 0.1) / wide);
    const [x, y] = [upTo(side - wide), upTo(side - high)];
    const corner = Math.ceil(side * FINDER);
    const [isLeft, isTop] = [x < corner, y < corner];
    if ((isLeft && isTop) || (isLeft && y + high > side - corner) || (isTop && x + wide > side - corner)) continue;
    const meets = (at: number, long: number) =>
      at + long > side - side * ALIGNMENT.from && at < side - side * ALIGNMENT.to;
    if (spares && meets(x, wide) && meets(y, high)) continue;
    const grey = upTo(1) === 0 ? 60 : 255;
    for (let row = top + y; row < top + y + high; row += 1) {
      const first = row * width + left + x;
      for (let at = first; at < first + wide; at += 1) dots.fill(grey, 4 * at, 4 * at + 3);
    }
    return;
  }
}

function cut(page: GreyPage, at: { x: number; y: number; width: number; height: number }): Uint8ClampedArray {
  const dots = new Uint8ClampedArray(4 * at.width * at.height).fill(255);
  for (let y = 0; y < at.height; y += 1)
    for (let x = 0; x < at.width; x += 1) {
      const grey = page.dots[(y + at.y) * page.width + x + at.x] ?? 255;
      dots.fill(grey, 4 * (y * at.width + x), 4 * (y * at.width + x) + 3);
    }
  return dots;
}

// jsQR, a reader that is not the one the product ships, and the one it ships. 203 dots an inch: a plain thermal printer.
test.each([203, 300])('at %d dots an inch 200 of 200 codes are read, with a tenth of each smeared too', async (dpi) => {
  const wasmBinary = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'));
  prepareZXingModule({ overrides: { wasmBinary: new Uint8Array(wasmBinary).buffer } });
  const sheet = sheetOf('letter-30');
  const { pdf, laid } = await printed({
    sheet,
    labels: codes.map((code, i) => ({ label: label(`Damson jam ${i}`, code), count: 1 })),
  });
  const pages = pagesOfPdf(pdf, dpi);
  const dots = (mm: number) => Math.round((mm * dpi) / 25.4);
  const byOther = (data: Uint8ClampedArray, side: number) =>
    jsQR(data, side, side, { inversionAttempts: 'dontInvert' })?.data;
  const byOwn = async (data: Uint8ClampedArray, side: number) =>
    (await readBarcodes({ data, width: side, height: side }, { formats: ['QRCode'] }))[0]?.text;
  const read = { clean: 0, smeared: 0, cleanByOwn: 0, smearedByOwn: 0 };
  for (const [i, code] of codes.entries()) {
    const { page, xMm, yMm } = placeOnSheet(sheet, i);
    const square = laid.labels[i]!.laid.code!;
    const side = dots(square.sideMm);
    const corner = { x: dots(xMm + square.xMm), y: dots(yMm + square.yMm), width: side, height: side };
    const edge = dots((square.sideMm * 4) / 37);
    const within = { x: edge, y: edge, side: side - 2 * edge };
    const clean = cut(pages[page]!, corner);
    const address = jarAddress(BASE, code);
    if (byOther(clean, side) === address) read.clean += 1;
    if ((await byOwn(clean, side)) === address) read.cleanByOwn += 1;
    const sparing = clean.slice();
    smear(sparing, side, within, i + 1, true);
    if (byOther(sparing, side) === address) read.smeared += 1;
    smear(clean, side, within, i + 1, false);
    if ((await byOwn(clean, side)) === address) read.smearedByOwn += 1;
  }
  expect(read).toEqual({ clean: 200, smeared: 200, cleanByOwn: 200, smearedByOwn: 200 });
});

test('every sheet is a sound file whose words can be selected: accents, four scripts, long names, small print', async () => {
  const words = [
    'Crème de pêches à la fleur d’oranger',
    'Слива 2026',
    'Δαμάσκηνα',
    'Stachelbeerholunderblütenquittengelee',
  ];
  for (const sheet of STOCK_SHEETS) {
    const labels = words.map((name, i) => ({ label: label(name, codes[i]!, ['für den Markt']), count: 2 }));
    const { pdf } = await printed({ sheet, labels, startAt: 3 });
    expect(checkedPdf(pdf)).toContain('No syntax or stream encoding errors found');
    const text = wordsOfPdf(pdf);
    const bare = text.replace(/\s/g, '');
    for (const code of codes.slice(0, words.length)) expect(text.split(code).length - 1).toBe(2);
    expect(bare).toContain('СливаMade'.slice(0, 5));
    expect(text).toContain('für den Markt');
    expect(pagesOfPdf(pdf, 20)).toHaveLength(1);
  }
});

test('500 labels are under 2 MB; a full sheet is followed by another; what does not fit is refused with the reason', async () => {
  const sheet = sheetOf('lid-2in');
  const { pdf } = await printed({
    sheet,
    labels: codes.slice(0, 100).map((code) => ({ label: label('Plums', code), count: 5 })),
  });
  expect(pdf.length).toBeLessThan(2_000_000);
  expect(pagesOfPdf(pdf, 10)).toHaveLength(Math.ceil(500 / 12));
  const labels = [
    {
      label: label(
        'Plums',
        codes[0]!,
        Array.from({ length: 12 }, () => 'x'.repeat(60)),
      ),
      count: 1,
    },
  ];
  expect(layJob({ sheet, startAt: 1, labels })).toMatchObject({
    kind: 'refusal',
    reason: expect.stringMatching(/Plums.*small print/),
  });
  expect(layJob({ sheet, startAt: 13, labels })).toMatchObject({
    reason: 'This sheet has 12 labels: begin at one of them.',
  });
  expect(layJob({ sheet: { ...sheet, columns: 9 }, startAt: 1, labels })).toMatchObject({ kind: 'refusal' });
});
