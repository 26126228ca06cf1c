import QRCode from 'qrcode';
import { type DrawnCode as DrawnQr } from '@hoddle/contract/labels';
import { PT_PER_MM, type SheetOfPaper } from './sheetOfPaper';

/** White modules around a code: ISO/IEC 18004 asks for four. */
const QUIET = 4;

/** A code as dark squares that lie in rows: one row's neighbours as one. */
interface DrawnCode {
  readonly modules: number;
  readonly runs: readonly (readonly [x: number, y: number, width: number])[];
}

const drawn = new Map<string, DrawnCode>();

/** Nearly a third of it may be soiled (level H). The jars of a lot have the same one. */
function codeOf(words: string): DrawnCode {
  const known = drawn.get(words);
  if (known) return known;
  const { modules } = QRCode.create(words, { errorCorrectionLevel: 'H' });
  const runs: [number, number, number][] = [];
  for (let y = 0; y < modules.size; y += 1) {
    for (let x = 0; x < modules.size; x += 1) {
      if (!modules.get(y, x)) continue;
      const last = runs.at(-1);
      if (last && last[1] === y && last[0] + last[2] === x) last[2] += 1;
      else runs.push([x, y, 1]);
    }
  }
  const made = { modules: modules.size, runs };
  if (drawn.size > MOST_KEPT) drawn.clear();
  drawn.set(words, made);
  return made;
}

const MOST_KEPT = 1_000;

/** The same as a path of an SVG in millimetres, its corner at 0: for a picture of what will be printed. */
export function qrPath(words: string, xMm: number, yMm: number, sideMm: number): string {
  const { modules, runs } = codeOf(words);
  const each = sideMm / (modules + 2 * QUIET);
  const fine = (mm: number) => Math.round(mm * 1_000) / 1_000;
  return runs
    .map(([x, y, width]) => {
      const [left, top] = [fine(xMm + (x + QUIET) * each), fine(yMm + (y + QUIET) * each)];
      return `M${left} ${top}h${fine(width * each)}v${fine(each)}h${fine(-width * each)}z`;
    })
    .join('');
}

/** A code by itself, a unit a module. */
export function qrSvg(words: string): DrawnQr {
  const side = codeOf(words).modules + 2 * QUIET;
  return { side, path: qrPath(words, 0, 0, side) };
}

/** Draws a QR code into a square, its white edge included. */
export function drawQr(paper: SheetOfPaper, words: string, xMm: number, yMm: number, sideMm: number): void {
  const { modules, runs } = codeOf(words);
  const each = (sideMm / (modules + 2 * QUIET)) * PT_PER_MM;
  const [left, top] = [xMm * PT_PER_MM + QUIET * each, yMm * PT_PER_MM + QUIET * each];
  const { pdf } = paper;
  for (const [x, y, width] of runs) pdf.rect(left + x * each, top + y * each, width * each, each);
  pdf.fill('#000000');
}
