import { CROP_NAMES } from '@hoddle/core/handbook/crops';
import { type MissingProduce } from '@hoddle/core/yields/otherCrops';

/** Less than this is counted in cloves and sprigs, not weighed. Common practice. */
const WEIGHED_FROM_KG = 0.06;

/** How much of it is missing, and whether that names the crop already: "2 1/4 lb"; "1 clove garlic a batch". */
export function missingAmount(
  { text, massKg }: MissingProduce,
  mass: (massKg: number) => string,
): { readonly words: string; readonly isNamed: boolean } {
  return massKg === undefined || massKg < WEIGHED_FROM_KG
    ? { words: `${text} a batch`, isNamed: true }
    : { words: mass(massKg), isNamed: false };
}

/** All that is missing in one line: "Missing: 2 1/4 lb sweet peppers, 1 clove garlic a batch." */
export function missingWords(missing: readonly MissingProduce[], mass: (massKg: number) => string): string {
  const each = missing.map((own) => {
    const { words, isNamed } = missingAmount(own, mass);
    return isNamed ? words : `${words} ${CROP_NAMES[own.crop].toLowerCase()}`;
  });
  return `Missing: ${each.join(', ')}.`;
}
