import { type Card } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { type MeasuredPart, mainLine, measuredPart } from '../recipe/cardCrops';
import { type RecipeAmounts, recipeFor } from '../recipe/recipeFor';
import { potsFor, setsByTheBox } from '../recipe/pots';

/** What is to be made of the fruit or juice that was really there. */
export type Gate =
  | {
      readonly kind: 'make';
      readonly measured: MeasuredPart;
      /** Pots side by side, each with `factor` of the card. */
      readonly pots: number;
      readonly factor: number;
      readonly amounts: RecipeAmounts;
      /** Jars of all pots together, of the card's own size. */
      readonly jars?: { readonly low: number; readonly high: number };
      /** Measured and not used, in the unit it was measured in: what is left for another day. */
      readonly left: number;
    }
  /** Too little for a card that cannot be made smaller. */
  | { readonly kind: 'wait'; readonly measured: MeasuredPart; readonly missing: number };

/**
 * The measure gate: sugar, pectin, acid and jars worked out again for what was really got. A card with pectin is made whole
 * or not at all, since a box sets one batch; any other is made smaller in proportion. What may not be doubled goes into
 * pots side by side.
 *
 * Source: handbook rule 14 and the cards' own proportions.
 *
 * @param amount of what {@link measuredPart} names, in its unit, above 0
 * @returns undefined for a card that nothing is measured of
 */
export function measureGate(card: Card, amount: number): Gate | undefined {
  const measured = measuredPart(card);
  if (!measured || !(amount > 0)) return undefined;
  const part = amount / measured.perBatch;
  const { pots, factor } = potsFor(card, part);
  if (setsByTheBox(card) && pots < 1) return { kind: 'wait', measured, missing: measured.perBatch - amount };
  const { yields } = card;
  const made = pots * factor;
  const jars = [
    { jar: yields?.jar ?? ('quart' as const), count: made * (yields ? (yields.low + yields.high) / 2 : 4) },
  ];
  const batches = new Map<CropId, number>((mainLine(card)?.crops ?? []).map((crop) => [crop, made]));
  return {
    kind: 'make',
    measured,
    pots,
    factor,
    amounts: recipeFor(card, { jars, batches, pots, measured: true }),
    ...(yields && { jars: { low: Math.floor(yields.low * made + 1e-9), high: Math.floor(yields.high * made + 1e-9) } }),
    left: Math.max(0, amount - made * measured.perBatch),
  };
}
