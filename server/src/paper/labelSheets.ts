import { labelsPerSheet, type LabelSheet, placeOnSheet, sheetFault } from '@hoddle/core/formats/labels/labelSheet';
import { type JarLabel, type LaidLabel, layLabel } from '@hoddle/core/formats/labels/layLabel';
import { drawQr } from './qrSquare';
import { SheetOfPaper } from './sheetOfPaper';
import { widthOf } from './words';

/** So many of one label. */
export interface LabelRun {
  readonly label: JarLabel;
  readonly count: number;
}

export interface LabelJob {
  readonly sheet: LabelSheet;
  /** The first place on the first sheet that is not used up, from 1 on. */
  readonly startAt: number;
  /** How far everything is moved on the paper: printers draw it in a little askew. */
  readonly nudgeMm: { readonly x: number; readonly y: number };
  readonly labels: readonly LabelRun[];
}

export type LaidJob =
  | { readonly kind: 'laid'; readonly labels: readonly { readonly laid: LaidLabel; readonly count: number }[] }
  | { readonly kind: 'refusal'; readonly reason: string };

/** Lays every label of a job; the first that does not fit, or a sheet that is none, refuses it. */
export function layJob({ sheet, startAt, labels }: Pick<LabelJob, 'sheet' | 'startAt' | 'labels'>): LaidJob {
  const fault = sheetFault(sheet);
  if (fault !== undefined) return { kind: 'refusal', reason: fault };
  if (startAt > labelsPerSheet(sheet))
    return { kind: 'refusal', reason: `This sheet has ${labelsPerSheet(sheet)} labels: begin at one of them.` };
  const laid: { laid: LaidLabel; count: number }[] = [];
  for (const { label, count } of labels) {
    const own = layLabel(label, sheet, widthOf);
    if (own.kind === 'tooMuch') return { kind: 'refusal', reason: own.reason };
    laid.push({ laid: own, count });
  }
  return { kind: 'laid', labels: laid };
}

/** The job as PDF, as many sheets as it takes. */
export async function labelPdf(job: LabelJob, laid: LaidJob & { kind: 'laid' }, madeAt: number): Promise<Buffer> {
  const paper = new SheetOfPaper(job.sheet.page, 'Jar labels', madeAt);
  const addresses = job.labels.map(({ label }) => label.address);
  let place = job.startAt - 1;
  let page = -1;
  for (const [i, { laid: own, count }] of laid.labels.entries()) {
    for (let copy = 0; copy < count; copy += 1, place += 1) {
      const at = placeOnSheet(job.sheet, place);
      while (page < at.page) {
        paper.addPage();
        page += 1;
      }
      const [x, y] = [at.xMm + job.nudgeMm.x, at.yMm + job.nudgeMm.y];
      for (const { words, weight, sizeMm, xMm, yMm } of own.lines) paper.write(words, weight, sizeMm, x + xMm, y + yMm);
      const address = addresses[i];
      if (own.code && address !== undefined) {
        drawQr(paper, address, x + own.code.xMm, y + own.code.yMm, own.code.sideMm);
      }
    }
  }
  return paper.end();
}
