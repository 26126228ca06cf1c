import { type CardLine } from '../handbook/cards/card';

/** What a page says of its own amounts, in words that hold for a batch of any size. */
const OF_ANY_SIZE: readonly (readonly [said: RegExp, words: string | undefined])[] = [
  // Beside the line stands what may be taken instead, in this batch's measure.
  [/^or \d/, undefined],
  [/^inside the .* cups$/, 'part of the measured juice'],
  [/^for the .* cups of juice$/, 'for the juice'],
  [/^dissolved in the .* gallons$/, 'dissolved in the water'],
  [/^mixed with .* cups? of the hot liquid$/, 'mixed with a little of the hot liquid'],
  // How sure a page is, and how sweet a syrup has to be, is no matter of the pot.
  [/recalled|on the page/, undefined],
  [/^light syrup$/, undefined],
  [/\.csv$/, 'lighter or heavier as you like'],
];

/**
 * How an ingredient is cut and got ready, part by part, as its page says it for any amount of it; without what its measure
 * says already, as "chopped" in cups chopped.
 */
export function prepWords({ prep, as }: Pick<CardLine, 'prep' | 'as'>): string[] {
  return (prep?.split('; ') ?? []).flatMap((whole) => {
    const part = as !== undefined && whole.endsWith(`, ${as}`) ? whole.slice(0, -as.length - 2) : whole;
    const known = OF_ANY_SIZE.find(([said]) => said.test(part));
    if (known) return known[1] ?? [];
    return part === as ? [] : part;
  });
}
