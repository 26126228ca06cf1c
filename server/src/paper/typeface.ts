import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import * as fontkit from 'fontkit';
import { type Weight } from '@hoddle/core/formats/labels/layLabel';

/** A cut of a typeface, as it is put into a file. */
export interface Face {
  readonly name: string;
  readonly file: Buffer;
  has(codePoint: number): boolean;
  /** In parts of the letter size. */
  widthOf(words: string): number;
}

/** The app's own letters first; what they lack (Greek, Cyrillic, Hebrew, Arabic) from a family that has it. */
const FAMILIES = [
  ['@expo-google-fonts/atkinson-hyperlegible-next', 'AtkinsonHyperlegibleNext'],
  ['@expo-google-fonts/noto-sans', 'NotoSans'],
  ['@expo-google-fonts/noto-sans-hebrew', 'NotoSansHebrew'],
  ['@expo-google-fonts/noto-sans-arabic', 'NotoSansArabic'],
] as const;
const CUTS: Readonly<Record<Weight, string>> = { regular: '400Regular', bold: '700Bold' };

/** Packages are found from the program that runs: the bundled server, or a test's runner. */
const require = createRequire(process.argv[1] ?? `${process.cwd()}/`);
const faces = new Map<Weight, readonly Face[]>();

/** The faces of a weight, the one to be asked first in front. Read when the first paper is printed. */
export function facesOf(weight: Weight): readonly Face[] {
  const known = faces.get(weight) ?? FAMILIES.map(([family, name]) => readFace(family, name, CUTS[weight]));
  faces.set(weight, known);
  return known;
}

function readFace(family: string, name: string, cut: string): Face {
  const file = readFileSync(require.resolve(`${family}/${cut}/${name}_${cut}.ttf`));
  const font = fontkit.create(file);
  if (!('hasGlyphForCodePoint' in font)) throw new Error(`${name} is no single font`);
  const widths = new Map<string, number>();
  return {
    name: `${name} ${cut}`,
    file,
    has: (codePoint) => font.hasGlyphForCodePoint(codePoint),
    widthOf: (words) => {
      const known = widths.get(words) ?? font.layout(words).advanceWidth / font.unitsPerEm;
      if (widths.size < MOST_WIDTHS) widths.set(words, known);
      return known;
    },
  };
}

/** Measured words that are remembered: those of some hundred labels. */
const MOST_WIDTHS = 20_000;
