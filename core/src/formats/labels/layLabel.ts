import { type LabelSheet } from './labelSheet';

/** What stands on one label; what is empty is left out. */
export interface JarLabel {
  /** What is in the jar. */
  readonly name: string;
  /** Below it, each from a line of its own on: when it was made, how long it keeps, how it was processed. */
  readonly lines: readonly string[];
  /** The code that is written on a lid, as it is typed. */
  readonly code: string;
  /** Small, at the end: a note, what it holds that some cannot eat, net weight, what a label of what is sold must say. */
  readonly small: readonly string[];
  /** What the drawn code leads to; no code is drawn without. */
  readonly address?: string;
}

export type Weight = 'regular' | 'bold';

/** How wide words are, in millimetres at a letter size of one millimetre. */
export type WidthOf = (words: string, weight: Weight) => number;

/** A line of words; `yMm` is where its letters stand, from the label's top. */
export interface LaidLine {
  readonly words: string;
  readonly weight: Weight;
  readonly sizeMm: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
}

/** A label with all its words placed, from its top left corner on. */
export interface LaidLabel {
  readonly kind: 'laid';
  readonly lines: readonly LaidLine[];
  /** The square of the drawn code, its white edge included. */
  readonly code?: { readonly xMm: number; readonly yMm: number; readonly sideMm: number };
}

export type LabelLayout = LaidLabel | { readonly kind: 'tooMuch'; readonly reason: string };

const MM_PER_PT = 25.4 / 72;
/** Smaller letters nobody reads in a cellar; 5 points are about what food law asks for at least. Common practice. */
export const LEAST_SIZE_MM = 5 * MM_PER_PT;
const MOST_SIZE_MM = 11 * MM_PER_PT;
const SIZE_STEP_MM = 0.05;
const SIZES = Math.ceil((MOST_SIZE_MM - LEAST_SIZE_MM) / SIZE_STEP_MM);
const STRIDE = 6;
const SMALL_SCALE = 0.9;
/** From one line to the next, and how much of it lies above the line the letters stand on. */
const LINE_HEIGHT = 1.16;
const ABOVE = 0.9;
/** Printers are off by a millimetre. */
const INSET_MM = 1.8;
/** Nearer to the paper's edge no home printer prints. Common practice. */
const UNPRINTED_MM = 5;
const CODE_GAP_MM = 1;
/** So large, 29 modules and their white edge are read from 203 dots an inch on: four dots and more a module. */
const CODE_MM = { least: 12.5, most: 21 } as const;

/**
 * Places what stands on a label: as large as it fits, words wrapped, a word broken only where even the smallest letters do not
 * take it whole. Nothing is cut: what does not fit is refused.
 */
export function layLabel(label: JarLabel, sheet: LabelSheet, measured: WidthOf): LabelLayout {
  const widthOf = remembered(measured);
  for (const { breaking, nameScale, isCodeSmall } of WAYS) {
    const side = codeSide(label, sheet, isCodeSmall);
    const lay = sheet.shape === 'round' ? layRound : layRect;
    const laidAt = (steps: number) => {
      const sizeMm = Math.max(LEAST_SIZE_MM, MOST_SIZE_MM - steps * SIZE_STEP_MM);
      return lay(partsOf(label, sizeMm, nameScale), sheet, side, { widthOf, breaking });
    };
    // In long strides down to a size that fits, then back by short ones to the largest.
    for (let steps = 0; steps < SIZES + STRIDE; steps += STRIDE) {
      const laid = laidAt(steps);
      if (!laid) continue;
      for (let larger = Math.max(0, steps - STRIDE + 1); larger < steps; larger += 1) {
        const better = laidAt(larger);
        if (better) return better;
      }
      return laid;
    }
  }
  const what = label.small.some((words) => words !== '') ? 'Leave out some of the small print' : 'Shorten the name';
  return { kind: 'tooMuch', reason: `“${label.name}” does not fit on this label. ${what}, or take a larger one.` };
}

/** The same words are tried in every size: a font is asked once. */
function remembered(widthOf: WidthOf): WidthOf {
  const known = { regular: new Map<string, number>(), bold: new Map<string, number>() };
  return (words, weight) => {
    const width = known[weight].get(words) ?? widthOf(words, weight);
    known[weight].set(words, width);
    return width;
  };
}

/** What is given up, one after the other, before a label is refused: whole words, a large name, a large code. */
const WAYS = [
  { breaking: false, nameScale: 1.45, isCodeSmall: false },
  { breaking: true, nameScale: 1.45, isCodeSmall: false },
  { breaking: false, nameScale: 1, isCodeSmall: true },
  { breaking: true, nameScale: 1, isCodeSmall: true },
] as const;

interface Part {
  readonly words: string;
  readonly weight: Weight;
  readonly sizeMm: number;
}

interface Setting {
  readonly widthOf: WidthOf;
  readonly breaking: boolean;
}

function partsOf(
  { name, lines, code, small }: JarLabel,
  sizeMm: number,
  nameScale: number,
): { above: Part[]; below: Part[] } {
  const regular = (words: string, scale = 1): Part => ({
    ...{ words, weight: 'regular', sizeMm: Math.max(LEAST_SIZE_MM, sizeMm * scale) },
  });
  const said = (words: readonly string[]) => words.filter((each) => each.trim() !== '');
  return {
    above: [{ words: name, weight: 'bold', sizeMm: sizeMm * nameScale }, ...said(lines).map((words) => regular(words))],
    below: [
      ...(code === '' ? [] : [{ words: code, weight: 'bold' as const, sizeMm }]),
      ...said(small).map((words) => regular(words, SMALL_SCALE)),
    ],
  };
}

function codeSide({ address }: JarLabel, { shape, widthMm, heightMm }: LabelSheet, isSmall: boolean): number {
  if (address === undefined) return 0;
  const room = shape === 'round' ? widthMm * 0.36 : Math.min(heightMm - 2 * INSET_MM, widthMm * 0.4);
  return room < CODE_MM.least ? 0 : Math.min(room, isSmall ? CODE_MM.least : CODE_MM.most);
}

/** How far from each edge of a label nothing stands; more where the label lies at the paper's own edge. */
function insetsOf({ leftMm, topMm }: LabelSheet): { x: number; y: number } {
  return { x: Math.max(INSET_MM, UNPRINTED_MM - leftMm), y: Math.max(INSET_MM, UNPRINTED_MM - topMm) };
}

function layRect(
  { above, below }: ReturnType<typeof partsOf>,
  sheet: LabelSheet,
  side: number,
  setting: Setting,
): LaidLabel | undefined {
  const inset = insetsOf(sheet);
  const width = sheet.widthMm - 2 * inset.x - (side > 0 ? side + CODE_GAP_MM : 0);
  const lines = [...above, ...below].map((part) => ({ part, wrapped: wrap(part, () => width, setting) }));
  if (lines.some(({ wrapped }) => !wrapped)) return undefined;
  const all = lines.flatMap(({ part, wrapped = [] }) => wrapped.map((words) => ({ ...part, words })));
  const height = all.reduce((sum, { sizeMm }) => sum + sizeMm * LINE_HEIGHT, 0);
  if (height > sheet.heightMm - 2 * inset.y) return undefined;
  let y = (sheet.heightMm - height) / 2;
  const placed = all.map((line): LaidLine => {
    const yMm = y + line.sizeMm * ABOVE;
    y += line.sizeMm * LINE_HEIGHT;
    return { ...line, xMm: inset.x, yMm, widthMm: setting.widthOf(line.words, line.weight) * line.sizeMm };
  });
  if (side === 0) return { kind: 'laid', lines: placed };
  const code = { xMm: sheet.widthMm - inset.x - side, yMm: (sheet.heightMm - side) / 2, sideMm: side };
  return { kind: 'laid', lines: placed, code };
}

/** A wrap changes how high all is, and that where a line stands and how long it may be: looked at again so often. */
const ROUNDS = 8;

function layRound(
  { above, below }: ReturnType<typeof partsOf>,
  sheet: LabelSheet,
  side: number,
  setting: Setting,
): LaidLabel | undefined {
  const radius = sheet.widthMm / 2;
  const chordAt = (fromY: number, toY: number) => {
    const far = Math.max(Math.abs(fromY - radius), Math.abs(toY - radius));
    const reach = radius - INSET_MM;
    return far >= reach ? 0 : 2 * Math.sqrt(reach * reach - far * far);
  };
  const codeHeight = side > 0 ? side + 2 * CODE_GAP_MM : 0;
  const least = [...above, ...below].reduce((sum, { sizeMm }) => sum + sizeMm * LINE_HEIGHT, codeHeight);
  let height = least;
  for (let round = 0; round < ROUNDS && height <= 2 * (radius - INSET_MM); round += 1) {
    let y = radius - height / 2;
    const placed: LaidLine[] = [];
    let isWhole = true;
    let code: LaidLabel['code'];
    for (const part of [...above, undefined, ...below]) {
      if (!part) {
        if (side > 0) code = { xMm: radius - side / 2, yMm: y + CODE_GAP_MM, sideMm: side };
        isWhole &&= side === 0 || chordAt(y, y + codeHeight) >= side;
        y += codeHeight;
        continue;
      }
      const from = y;
      const lineMm = part.sizeMm * LINE_HEIGHT;
      const wrapped = wrap(part, (line) => chordAt(from + line * lineMm, from + (line + 1) * lineMm), setting);
      isWhole &&= wrapped !== undefined;
      for (const words of wrapped ?? [part.words]) {
        const widthMm = setting.widthOf(words, part.weight) * part.sizeMm;
        placed.push({ ...part, words, xMm: radius - widthMm / 2, yMm: y + part.sizeMm * ABOVE, widthMm });
        y += lineMm;
      }
    }
    const used = y - (radius - height / 2);
    if (isWhole && used <= height + 1e-9) return { kind: 'laid', lines: placed, ...(code && { code }) };
    // It is centred anew by what it took; where nothing more was taken, it does not fit in these letters.
    height = Math.max(used, height + SIZE_STEP_MM * 4);
  }
  return undefined;
}

/** Words as lines no wider than there is room; undefined where one word alone is wider and may not be broken. */
function wrap(part: Part, roomMm: (line: number) => number, { widthOf, breaking }: Setting): string[] | undefined {
  const fits = (words: string, line: number) => widthOf(words, part.weight) * part.sizeMm <= roomMm(line) + 1e-9;
  const lines: string[] = [];
  let line = '';
  const close = () => {
    if (line !== '') lines.push(line);
    line = '';
  };
  for (const word of part.words.split(/\s+/).filter((each) => each !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (fits(longer, lines.length)) {
      line = longer;
      continue;
    }
    close();
    if (fits(word, lines.length)) {
      line = word;
      continue;
    }
    if (!breaking) return undefined;
    for (const letter of lettersOf(word)) {
      if (!fits(line + letter, lines.length)) {
        if (line === '') return undefined;
        close();
      }
      line += letter;
    }
    if (!fits(line, lines.length)) return undefined;
  }
  close();
  return lines;
}

/** What is read as one letter: an accent stays with what it stands on. */
function lettersOf(word: string): string[] {
  return [...new Intl.Segmenter('en', { granularity: 'grapheme' }).segment(word)].map(({ segment }) => segment);
}
