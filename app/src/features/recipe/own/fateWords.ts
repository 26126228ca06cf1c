import { type Fate, type Role } from '@hoddle/core/handbook/cards/card';
import { placeLines } from '@hoddle/core/recipe/own/placeLines';
import { type OpenQuestion, type OwnLine, type OwnStep } from '@hoddle/core/recipe/own/recipePage';

/** What becomes of an ingredient, on a key. */
export const FATE_WORDS: Readonly<Record<Fate, string>> = {
  jar: 'pot',
  'per-jar': 'each jar',
  drained: 'poured off',
  'taken-out': 'fished out',
};

/** What an ingredient is, on a key; in the order a cook would look for it. */
export const ROLE_WORDS: readonly (readonly [Role, string])[] = [
  ['acid-food', 'fruit, tomato'],
  ['low-acid', 'vegetable, unknown'],
  ['vinegar', 'vinegar'],
  ['lemon', 'bottled lemon'],
  ['citric-acid', 'citric acid'],
  ['water', 'water'],
  ['salt', 'salt'],
  ['sugar', 'sugar, honey'],
  ['spice', 'spice, herb'],
  ['pectin', 'pectin'],
  ['thickener', 'starch'],
  ['oil', 'oil, butter'],
  ['firming', 'firming salt'],
  ['ice', 'ice'],
  ['other', 'something else'],
];

/** What a line still asks, beside it. */
export const OPEN_WORDS: Readonly<Record<OpenQuestion, string>> = {
  food: 'what is it?',
  amount: 'how much?',
  strength: 'how strong?',
  where: 'where?',
};

/** One tap that settles a line: its words, and the line after it. */
export interface Settling {
  readonly words: string;
  readonly settled: OwnLine;
}

/** The keys of an open line, the likely one first; it is never taken by itself. */
export function settlingsOf(line: OwnLine, steps: readonly OwnStep[]): Settling[] {
  const { open, weak: _, ...plain } = line;
  switch (open) {
    case 'strength':
      return [
        { words: '5 % on the label', settled: plain },
        { words: 'Weaker', settled: { ...plain, weak: true } },
        { words: 'Not said', settled: { ...plain, weak: true } },
      ];
    case 'where':
      return [
        { words: 'Each jar', settled: withFate(plain, 'per-jar', steps) },
        { words: 'Pot', settled: withFate(plain, 'jar', steps) },
        { words: 'Fished out', settled: withFate(plain, 'taken-out', steps) },
      ];
    case 'food':
      return [
        { words: 'A vegetable or unknown', settled: { ...plain, role: 'low-acid' } },
        { words: 'Only a spice', settled: { ...plain, role: 'spice' } },
      ];
    case 'amount':
      return [{ words: 'As the page says', settled: plain }];
    default:
      return [];
  }
}

/** With another fate a line goes in at another step. */
export function withFate({ open: _, ...line }: OwnLine, then: Fate, steps: readonly OwnStep[]): OwnLine {
  const [placed] = placeLines([{ ...line, then }], steps);
  return { ...line, then, into: placed?.into ?? line.into };
}
