import { type ProductClass } from '../handbook/products';

/** What is seen, heard or smelt at a jar that is not as it should be. */
export const TROUBLE_SIGNS = [
  { sign: 'bulging', words: 'Lid bulges or has sprung', leaks: false },
  { sign: 'leaking', words: 'It leaks, or dried food runs down the glass', leaks: true },
  { sign: 'spurting', words: 'It spurted or hissed when opened', leaks: true },
  { sign: 'mould', words: 'Mould, under the lid or on the food', leaks: true },
  { sign: 'smell', words: 'It smells off', leaks: true },
  { sign: 'cloudy', words: 'Cloudy, slimy or bubbling', leaks: false },
  { sign: 'unsealed', words: 'The seal is gone', leaks: true },
] as const;
export type TroubleSign = (typeof TROUBLE_SIGNS)[number]['sign'];

export interface Disposal {
  /** What to do, in the order done. */
  readonly steps: readonly string[];
  readonly source: string;
}

/**
 * How a jar with such a sign is thrown away. Nothing here is ever tasted.
 *
 * Source: USDA Complete Guide to Home Canning, 2015, guide 1, "Identifying and handling spoiled canned food" (swollen but
 * sealed: bagged and binned or buried; unsealed, open or leaking: detoxified), as recalled. Low-acid food is handled as if
 * it held the toxin, handbook rule 9.
 */
export function disposalOf(signs: readonly TroubleSign[], productClass: ProductClass): Disposal {
  const open = TROUBLE_SIGNS.some(({ sign, leaks }) => leaks && signs.includes(sign));
  const toxic = productClass === 'low-acid' || open;
  const wear = 'Rubber gloves on. Keep children and animals away.';
  const steps =
    toxic && open
      ? [
          wear,
          'Lay the jars, lids off if they came off, on their sides in a pot of 8 quarts or more. Wash your gloved hands.',
          'Add water, without splashing, to at least 1 inch over them. Lid on, bring to a boil, boil 30 min.',
          'Let it cool, then throw jars, lids and food in the trash or bury them deep.',
          'Wipe what it touched with 1 part unscented household bleach in 5 parts water, wet for 30 min. Throw the cloths away in a bag.',
        ]
      : [
          wear,
          'Leave it closed. Put it into a heavy garbage bag, close the bag.',
          'Into the trash where no animal gets at it, or bury it deep.',
        ];
  return { steps, source: 'USDA guide 1, 2015, as recalled.' };
}
