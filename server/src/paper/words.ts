import bidiFactory from 'bidi-js';
import { type Weight, type WidthOf } from '@hoddle/core/formats/labels/layLabel';
import { type Face, facesOf } from './typeface';

const bidi = bidiFactory();

/** Letters of one face, in the order they are drawn from left to right. */
export interface Run {
  readonly face: Face;
  readonly words: string;
}

/** Written from right to left, Unicode Standard Annex 9: Hebrew, Arabic, Syriac, Thaana and their presentation forms. */
const FROM_RIGHT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;

/**
 * A line of words as it is drawn: what is written from the right is turned about, and each letter comes from a face that has it.
 * A letter that none has is drawn as the first face draws what it lacks.
 */
export function runsOf(words: string, weight: Weight): Run[] {
  const line = words.normalize('NFC');
  if (!FROM_RIGHT.test(line)) return inFaces(line, weight);
  const levels = bidi.getEmbeddingLevels(line);
  const places = Array.from({ length: line.length }, (_, i) => i);
  for (const [from = 0, to = -1] of bidi.getReorderSegments(line, levels)) {
    const turned = places.slice(from, to + 1).reverse();
    places.splice(from, turned.length, ...turned);
  }
  // Pieces of one direction, in the order they are seen; within one its letters are as they are spoken: the face turns them.
  const runs: Run[] = [];
  for (let i = 0; i < places.length;) {
    const isTurned = ((levels.levels[places[i] ?? 0] ?? 0) & 1) === 1;
    const own: number[] = [];
    for (; i < places.length; i += 1) {
      const place = places[i] ?? 0;
      const before = own.at(-1);
      const isSame = ((levels.levels[place] ?? 0) & 1) === Number(isTurned);
      if (!isSame || (before !== undefined && Math.abs(place - before) !== 1)) break;
      own.push(place);
    }
    const piece = own
      .sort((a, b) => a - b)
      .map((place) => line[place] ?? '')
      .join('');
    runs.push(...(isTurned ? turned(piece, weight) : inFaces(piece, weight)));
  }
  return runs;
}

/** A piece written from the right: its words from the last to the first, signs that have a side mirrored. */
function turned(piece: string, weight: Weight): Run[] {
  return piece
    .split(/(\s+|[^\p{L}\p{M}\s]+)/u)
    .filter((part) => part !== '')
    .reverse()
    .flatMap((part) => {
      const isSigns = !/[\p{L}\p{M}]/u.test(part);
      return inFaces(
        isSigns
          ? [...part]
              .reverse()
              .map((sign) => bidi.getMirroredCharacter(sign) ?? sign)
              .join('')
          : part,
        weight,
      );
    });
}

function inFaces(words: string, weight: Weight): Run[] {
  const faces = facesOf(weight);
  const [first] = faces;
  if (!first) throw new Error('there are no faces');
  const runs: { face: Face; words: string }[] = [];
  for (const letter of words) {
    const codePoint = letter.codePointAt(0) ?? 0;
    const last = runs.at(-1);
    // An accent and a space stay with what stands before.
    const stays = last && (/[\p{M}\s]/u.test(letter) || last.face === first) && last.face.has(codePoint);
    const face = stays ? last.face : (faces.find((each) => each.has(codePoint)) ?? first);
    if (last?.face === face) last.words += letter;
    else runs.push({ face, words: letter });
  }
  return runs;
}

/** How wide words are drawn, in parts of the letter size. */
export const widthOf: WidthOf = (words, weight) =>
  runsOf(words, weight).reduce((sum, { face, words: own }) => sum + face.widthOf(own), 0);
