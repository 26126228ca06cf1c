import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A page as it was drawn: one byte of grey a dot, rows from the top. */
export interface GreyPage {
  readonly width: number;
  readonly height: number;
  readonly dots: Uint8Array;
}

function within<Made>(pdf: Buffer, run: (file: string, folder: string) => Made): Made {
  const folder = mkdtempSync(join(tmpdir(), 'hoddle-paper-'));
  try {
    const file = join(folder, 'paper.pdf');
    writeFileSync(file, pdf);
    return run(file, folder);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** For tests: what `qpdf --check` says of a file. It fails where something is wrong. */
export function checkedPdf(pdf: Buffer): string {
  return within(pdf, (file) => execFileSync('qpdf', ['--check', file], { encoding: 'utf8' }));
}

/** For tests: the words that can be selected in a file, read by `pdftotext`. */
export function wordsOfPdf(pdf: Buffer): string {
  return within(pdf, (file) => execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }));
}

/** For tests: its pages as a printer of so many dots an inch draws them, by `pdftoppm`. */
export function pagesOfPdf(pdf: Buffer, dotsPerInch: number): GreyPage[] {
  return within(pdf, (file, folder) => {
    execFileSync('pdftoppm', ['-gray', '-r', String(dotsPerInch), file, join(folder, 'page')]);
    return readdirSync(folder)
      .filter((name) => name.endsWith('.pgm'))
      .sort()
      .map((name) => greyPage(readFileSync(join(folder, name))));
  });
}

/** Netpbm's binary grey map. https://netpbm.sourceforge.net/doc/pgm.html */
function greyPage(file: Buffer): GreyPage {
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 64).toString('latin1'));
  if (!head) throw new Error('no grey map');
  const [all, width, height] = head;
  return { width: Number(width), height: Number(height), dots: file.subarray(all.length) };
}
