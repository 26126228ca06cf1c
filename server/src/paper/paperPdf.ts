import { PAGES_MM, type PageSize } from '@hoddle/core/formats/labels/labelSheet';
import { type Weight } from '@hoddle/core/formats/labels/layLabel';
import { type Paper, type PaperPart, type PaperTable } from '@hoddle/core/formats/paper/paper';
import { SheetOfPaper } from './sheetOfPaper';
import { widthOf } from './words';

const MARGIN_MM = 13;
const GUTTER_MM = 6;
/** Letters of plain words, 10 points. */
const BODY_MM = 3.53;
const LINE = 1.28;
/** A smaller hand nobody reads at the stove: 6 points. */
const LEAST_SCALE = 0.6;
const SCALE_STEP = 0.04;
const RULE = '#B9C2BC';
const SOFT = '#4A5563';

/** A strip across a column: drawn as a whole, never parted between two sheets. */
interface Strip {
  readonly heightMm: number;
  draw(paper: SheetOfPaper, xMm: number, yMm: number): void;
  /** Stands on the sheet of what follows. */
  readonly withNext?: true;
  /** Head of its table, drawn anew where the table goes on. */
  readonly head?: Strip;
}

interface Setting {
  readonly widthMm: number;
  readonly scale: number;
}

/** A paper as PDF. What is to stand on one sheet is set smaller and in two columns until it does, as long as it can be read. */
export async function paperPdf(paper: Paper, page: PageSize, madeAt: number): Promise<Buffer> {
  const laid = paper.onePage ? onOneSheet(paper, page) : flow(paper, page, 1, 1);
  const sheet = new SheetOfPaper(page, paper.title, madeAt);
  const [widthMm, heightMm] = PAGES_MM[page];
  if (paper.recipe) {
    const file = Buffer.from(JSON.stringify(paper.recipe, null, 2));
    sheet.pdf.file(file, { name: 'recipe.jsonld', type: 'application/ld+json', description: 'The recipe, schema.org' });
  }
  laid.sheets.forEach((strips, i) => {
    sheet.addPage();
    for (const { strip, xMm, yMm } of strips) strip.draw(sheet, xMm, yMm);
    const footSize = BODY_MM * 0.68;
    const lines =
      paper.foot === undefined ? [] : wrapped(paper.foot, 'regular', footSize, widthMm - 2 * MARGIN_MM - 18);
    const top = heightMm - MARGIN_MM - lines.length * footSize * LINE + footSize;
    lines.forEach((line, n) => sheet.write(line, 'regular', footSize, MARGIN_MM, top + n * footSize * LINE, SOFT));
    if (laid.sheets.length > 1) {
      const number = `${i + 1} of ${laid.sheets.length}`;
      const wide = widthOf(number, 'regular') * footSize;
      sheet.write(number, 'regular', footSize, widthMm - MARGIN_MM - wide, heightMm - MARGIN_MM, SOFT);
    }
  });
  return sheet.end();
}

interface Laid {
  readonly sheets: readonly (readonly { strip: Strip; xMm: number; yMm: number }[])[];
}

function onOneSheet(paper: Paper, page: PageSize): Laid {
  let last: Laid | undefined;
  for (const columns of [1, 2]) {
    for (let scale = columns === 1 ? 1 : 0.8; scale >= LEAST_SCALE; scale -= SCALE_STEP) {
      last = flow(paper, page, scale, columns);
      if (last.sheets.length === 1) return last;
      // Two columns of larger letters are read more easily than one of the smallest.
      if (columns === 1 && scale < 0.76) break;
    }
  }
  return last ?? flow(paper, page, LEAST_SCALE, 2);
}

/** Lays strips into the columns of as many sheets as it takes. */
function flow(paper: Paper, page: PageSize, scale: number, columns: number): Laid {
  const [pageWidth, pageHeight] = PAGES_MM[page];
  const whole = pageWidth - 2 * MARGIN_MM;
  const widthMm = (whole - (columns - 1) * GUTTER_MM) / columns;
  const head = headStrip(paper, { widthMm: whole, scale });
  const footLines =
    paper.foot === undefined ? 0 : Math.ceil((widthOf(paper.foot, 'regular') * BODY_MM * 0.68) / (whole - 18));
  const bottom = pageHeight - MARGIN_MM - Math.max(1, footLines + 0.5) * BODY_MM * 0.68 * LINE;
  const strips = paper.parts.flatMap((part) => stripsOf(part, { widthMm, scale }));
  const sheets: { strip: Strip; xMm: number; yMm: number }[][] = [[{ strip: head, xMm: MARGIN_MM, yMm: MARGIN_MM }]];
  let column = 0;
  let top = MARGIN_MM + head.heightMm;
  let y = top;
  const next = () => {
    column += 1;
    if (column === columns) {
      column = 0;
      sheets.push([]);
      top = MARGIN_MM;
    }
    y = top;
  };
  const put = (strip: Strip) => {
    sheets.at(-1)?.push({ strip, xMm: MARGIN_MM + column * (widthMm + GUTTER_MM), yMm: y });
    y += strip.heightMm;
  };
  strips.forEach((strip, i) => {
    const follows = strip.withNext ? (strips[i + 1]?.heightMm ?? 0) : 0;
    // What is higher than a whole sheet is drawn all the same, from its top.
    if (y + strip.heightMm + follows > bottom && y > top) {
      next();
      if (strip.head) put(strip.head);
    }
    put(strip);
  });
  return { sheets };
}

function headStrip({ title, note }: Paper, { widthMm, scale }: Setting): Strip {
  const [large, small] = [BODY_MM * 1.75 * Math.max(scale, 0.75), BODY_MM * Math.max(scale, 0.75)];
  const titles = wrapped(title, 'bold', large, widthMm);
  const notes = note === undefined ? [] : wrapped(note, 'regular', small, widthMm);
  const heightMm = titles.length * large * 1.12 + notes.length * small * LINE + 2.5;
  return {
    heightMm,
    draw: (paper, x, y) => {
      titles.forEach((line, i) => paper.write(line, 'bold', large, x, y + large * (0.85 + 1.12 * i)));
      const from = y + titles.length * large * 1.12;
      notes.forEach((line, i) => paper.write(line, 'regular', small, x, from + small * (0.95 + LINE * i), SOFT));
      paper.rule(x, y + heightMm - 1.4, x + widthMm, y + heightMm - 1.4, 0.5, '#1D3F8F');
    },
  };
}

function stripsOf(part: PaperPart, setting: Setting): Strip[] {
  const size = BODY_MM * setting.scale;
  switch (part.kind) {
    case 'heading':
      return [{ ...words(part.words, 'bold', size * 1.2, setting.widthMm, { above: size * 0.7 }), withNext: true }];
    case 'words':
      return [words(part.words, part.bold ? 'bold' : 'regular', size, setting.widthMm, { above: size * 0.35 })];
    case 'list':
      return part.items.map(({ words: own, note }) => listStrip(own, note, part.tick === true, size, setting.widthMm));
    case 'table':
      return tableStrips(part, setting);
  }
}

function words(
  own: string,
  weight: Weight,
  size: number,
  widthMm: number,
  { above = 0, colour = '#16181D' } = {},
): Strip {
  const lines = wrapped(own, weight, size, widthMm);
  return {
    heightMm: above + lines.length * size * LINE,
    draw: (paper, x, y) =>
      lines.forEach((line, i) => paper.write(line, weight, size, x, y + above + size * (0.95 + LINE * i), colour)),
  };
}

function listStrip(own: string, note: string | undefined, tick: boolean, size: number, widthMm: number): Strip {
  const indent = size * (tick ? 1.7 : 1.1);
  const main = words(own, 'regular', size, widthMm - indent, { above: size * 0.25 });
  const more = note === undefined ? undefined : words(note, 'regular', size * 0.82, widthMm - indent, { colour: SOFT });
  return {
    heightMm: main.heightMm + (more?.heightMm ?? 0),
    draw: (paper, x, y) => {
      const line = y + size * 1.2;
      if (tick) {
        const [left, top, side] = [x, line - size * 0.85, size];
        paper.rule(left, top, left + side, top, 0.25, '#16181D');
        paper.rule(left, top + side, left + side, top + side, 0.25, '#16181D');
        paper.rule(left, top, left, top + side, 0.25, '#16181D');
        paper.rule(left + side, top, left + side, top + side, 0.25, '#16181D');
      } else paper.write('–', 'regular', size, x, line);
      main.draw(paper, x + indent, y);
      more?.draw(paper, x + indent, y + main.heightMm);
    },
  };
}

function tableStrips({ columns, rows }: PaperTable, { widthMm, scale }: Setting): Strip[] {
  const size = BODY_MM * scale;
  const gap = size * 0.6;
  const all = columns.reduce((sum, { share }) => sum + share, 0);
  const widths = columns.map(({ share }) => (widthMm * share) / all);
  const lefts = widths.map((_, i) => widths.slice(0, i).reduce((sum, each) => sum + each, 0));
  const row = (cells: readonly Strip[][], rule: string, above: number): Strip => {
    const high = Math.max(size * LINE, ...cells.map((cell) => cell.reduce((sum, each) => sum + each.heightMm, 0)));
    const heightMm = high + above * 2;
    return {
      heightMm,
      draw: (paper, x, y) => {
        cells.forEach((cell, i) => {
          let top = y + above;
          for (const each of cell) {
            each.draw(paper, x + (lefts[i] ?? 0), top);
            top += each.heightMm;
          }
        });
        paper.rule(x, y + heightMm, x + widthMm, y + heightMm, 0.2, rule);
      },
    };
  };
  const head = row(
    columns.map(({ words: own }, i) => [words(own, 'bold', size * 0.82, (widths[i] ?? 0) - gap, { colour: SOFT })]),
    '#16181D',
    size * 0.15,
  );
  const body = rows.map((cells): Strip => ({
    ...row(
      columns.map((_, i) => {
        const cell = cells[i];
        if (!cell) return [];
        const width = (widths[i] ?? 0) - gap;
        // The first two columns are what is looked for.
        const weight = i < 2 ? 'bold' : 'regular';
        const main = words(cell.words, weight, size, width);
        if (cell.note === undefined) return [main];
        const soft = size * 0.82;
        const more = words(cell.note, 'regular', soft, width, { colour: SOFT });
        // Beside its words where there is room: a sheet for the wall has many lines and one page.
        const from = widthOf(cell.words, weight) * size + size * 0.7;
        const isBeside = from + widthOf(cell.note, 'regular') * soft <= width;
        if (!isBeside) return [main, more];
        const beside = {
          ...main,
          draw: (...[paper, x, y]: Parameters<Strip['draw']>) => {
            main.draw(paper, x, y);
            more.draw(paper, x + from, y + (size - soft) * 0.95);
          },
        };
        return [beside];
      }),
      RULE,
      size * 0.18,
    ),
    head,
  }));
  return [{ ...head, withNext: true }, ...body];
}

/** Words as lines of a width; a word wider than that is broken where it must be. */
function wrapped(own: string, weight: Weight, size: number, widthMm: number): string[] {
  const fits = (line: string) => widthOf(line, weight) * size <= widthMm;
  const lines: string[] = [];
  let line = '';
  for (const word of own.split(/\s+/)) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (fits(longer)) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = '';
    for (const letter of fits(word) ? [word] : [...word]) {
      if (line !== '' && !fits(line + letter)) {
        lines.push(line);
        line = '';
      }
      line += letter;
    }
  }
  return [...lines, line];
}
