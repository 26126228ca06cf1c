import PDFDocument from 'pdfkit';
import { PAGES_MM, type PageSize } from '@hoddle/core/formats/labels/labelSheet';
import { type Weight } from '@hoddle/core/formats/labels/layLabel';
import { facesOf } from './typeface';
import { runsOf } from './words';

export const PT_PER_MM = 72 / 25.4;

/** A document under way; lengths in millimetres from the top left of the sheet. */
export class SheetOfPaper {
  readonly pdf: PDFKit.PDFDocument;
  private readonly pieces: Buffer[] = [];
  private readonly whole: Promise<Buffer>;
  private readonly known = new Set<string>();

  constructor(
    readonly page: PageSize,
    title: string,
    madeAt: number,
  ) {
    const [widthMm, heightMm] = PAGES_MM[page];
    this.pdf = new PDFDocument({
      size: [widthMm * PT_PER_MM, heightMm * PT_PER_MM],
      margin: 0,
      autoFirstPage: false,
      bufferPages: true,
      displayTitle: true,
      lang: 'en',
      pdfVersion: '1.7',
      info: { Title: title, Creator: 'Hoddle', Producer: 'Hoddle', CreationDate: new Date(madeAt) },
      // Standard letters would be named though none of theirs is used.
      font: null as unknown as string,
    });
    this.pdf.on('data', (piece: Buffer) => this.pieces.push(piece));
    this.whole = new Promise((done, broken) => {
      this.pdf.on('end', () => done(Buffer.concat(this.pieces)));
      this.pdf.on('error', broken);
    });
  }

  addPage(): void {
    this.pdf.addPage();
  }

  /** Words on the line `yMm`, from `xMm` on. */
  write(words: string, weight: Weight, sizeMm: number, xMm: number, yMm: number, colour = '#16181D'): void {
    let x = xMm;
    for (const { face, words: own } of runsOf(words, weight)) {
      this.useFace(face.name, weight);
      this.pdf
        .fontSize(sizeMm * PT_PER_MM)
        .fillColor(colour)
        .text(own, x * PT_PER_MM, yMm * PT_PER_MM, { lineBreak: false, baseline: 'alphabetic' });
      x += face.widthOf(own) * sizeMm;
    }
  }

  /** A thin line. */
  rule(fromX: number, fromY: number, toX: number, toY: number, widthMm = 0.2, colour = '#9AA0A6'): void {
    this.pdf
      .moveTo(fromX * PT_PER_MM, fromY * PT_PER_MM)
      .lineTo(toX * PT_PER_MM, toY * PT_PER_MM)
      .lineWidth(widthMm * PT_PER_MM)
      .stroke(colour);
  }

  /** The finished file. */
  end(): Promise<Buffer> {
    this.pdf.end();
    return this.whole;
  }

  private useFace(name: string, weight: Weight): void {
    if (!this.known.has(name)) {
      const face = facesOf(weight).find((each) => each.name === name);
      if (!face) throw new Error(`no face ${name}`);
      this.pdf.registerFont(name, face.file);
      this.known.add(name);
    }
    this.pdf.font(name);
  }
}
