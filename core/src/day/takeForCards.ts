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

/** Less than this is a crumb. */
const CRUMB_KG = 0.01;

/**
 * The produce that jars of several cards take of the lots on hand, each crop once for all of them: for fillings under one
 * liquid, and for recipes of the household's own of which no yield is learned yet. What no figure weighs is not set apart.
 */
export function takeForCards(
  wanted: readonly CardJars[],
  lots: readonly Lot[],
): { readonly uses: readonly PickUse[]; readonly missing: readonly MissingProduce[] } {
  const needs = new Map<CropId, { kg: number; text: string }>();
  for (const { card, jar, jars } of wanted) {
    const batches = (jars * quartsPerJar(jar)) / (quartsPerBatch(card)?.mid ?? jars * quartsPerJar(jar));
    for (const line of card.ingredients) {
      if (!isProduce(line) || line.optional || line.crops.length === 0) continue;
      const there = (crop: CropId) => lots.some((lot) => lot.crop === crop);
      const crop = line.crops.find(there) ?? (line.crops[0] as CropId);
      const perBatch = kgAsPicked(line, crop, card);
      if (perBatch === undefined) continue;
      // A dose is for each jar.
      const kg = line.then === 'per-jar' ? perBatch * jars : perBatch * batches;
      needs.set(crop, { kg: (needs.get(crop)?.kg ?? 0) + kg, text: `${amountWords(line.amount)} ${line.item}` });
    }
  }
  const uses: PickUse[] = [];
  const missing: MissingProduce[] = [];
  for (const [crop, { kg, text }] of needs) {
    const taken = takeForBatch(
      lots.filter((lot) => lot.crop === crop),
      kg,
    );
    uses.push(...taken);
    const shortKg = kg - taken.reduce((sum, { massKg }) => sum + massKg, 0);
    if (shortKg > CRUMB_KG) missing.push({ crop, text, massKg: shortKg, stops: false });
  }
  return { uses, missing };
}
