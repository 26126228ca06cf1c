import { CRUMB_KG } from '../harvest/crumb';
import { type Card } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { type JarSize, quartsPerJar } from '../handbook/jars';
import { type Lot } from '../harvest/onHand';
import { type PickUse } from '../harvest/pick';
import { takeForBatch } from '../harvest/takeForBatch';
import { quartsPerBatch } from '../recipe/cardColumns';
import { amountWords } from '../recipe/cardWords';
import { isProduce, kgAsPicked } from '../recipe/cardCrops';
import { type MissingProduce } from '../yields/otherCrops';

/** Jars of one card. */
export interface CardJars {
  readonly card: Card;
  readonly jar: JarSize;
  readonly jars: number;
}

/** Kilograms as picked that jars of several cards take, by crop, with the words of their page. What no figure weighs is left out. */
export function needsOfCards(
  wanted: readonly CardJars[],
  isThere: (crop: CropId) => boolean,
): ReadonlyMap<CropId, { readonly kg: number; readonly text: string }> {
  const needs = new Map<CropId, { kg: number; text: string }>();
  for (const { card, jar, jars } of wanted) {
    const quarts = jars * quartsPerJar(jar);
    const batches = quarts / (quartsPerBatch(card)?.mid ?? quarts);
    for (const line of card.ingredients) {
      if (!isProduce(line) || line.optional || line.crops.length === 0) continue;
      const crop = line.crops.find(isThere) ?? (line.crops[0] as CropId);
      const perBatch = kgAsPicked(line, crop, card);
      if (perBatch === undefined) continue;
      // A dose is for each jar.
      const kg = perBatch * (line.then === 'per-jar' ? jars : batches);
      needs.set(crop, { kg: (needs.get(crop)?.kg ?? 0) + kg, text: `${amountWords(line.amount)} ${line.item}` });
    }
  }
  return needs;
}

/** What of such needs is not there, where none of it stops the batch: it is bought. */
export function missingOfCards(
  wanted: readonly CardJars[],
  there: readonly { readonly crop: CropId; readonly massKg: number }[],
): MissingProduce[] {
  const massOf = (crop: CropId) => there.reduce((sum, own) => sum + (own.crop === crop ? own.massKg : 0), 0);
  return [...needsOfCards(wanted, (crop) => massOf(crop) > 0)].flatMap(([crop, { kg, text }]) => {
    const shortKg = kg - massOf(crop);
    return shortKg > CRUMB_KG ? [{ crop, text, massKg: shortKg, stops: false }] : [];
  });
}

/**
 * The produce that jars of several cards take of the lots on hand, each crop once for all of them: for fillings under one
 * liquid, and for recipes of the household's own. What no figure weighs is not set apart.
 */
export function takeForCards(
  wanted: readonly CardJars[],
  lots: readonly Lot[],
): { readonly uses: readonly PickUse[]; readonly missing: readonly MissingProduce[] } {
  const needs = needsOfCards(wanted, (crop) => lots.some((lot) => lot.crop === crop));
  const uses = [...needs].flatMap(([crop, { kg }]) =>
    takeForBatch(
      lots.filter((lot) => lot.crop === crop),
      kg,
    ),
  );
  return { uses, missing: missingOfCards(wanted, lots) };
}
