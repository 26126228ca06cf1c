import { type Batch, mainCropOf, massKgOf, type PlannedLoad, quartsIn } from '../day/batch';
import { type Card } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { JARS, type JarSize, quartsPerJar } from '../handbook/jars';
import { stepRowNamed } from '../handbook/steps';
import { type PickUse } from '../harvest/pick';
import { timesUse } from '../harvest/usesOf';
import { type AmountLine } from '../recipe/recipeFor';
import { cropNeeds, isProduce, mainLine } from '../recipe/cardCrops';
import { type Gate, measureGate } from '../supplies/measureGate';
import { cropCard } from '../yields/cardForCrop';
import { pickedKgPerBatch } from '../yields/pickedKg';
import { type LearnedYields } from '../yields/yieldModel';

/** What a measure makes of a batch: of its pots, its jars, and what of its produce is left for another day. */
export interface AtTheGate {
  readonly gate: Gate;
  /** Whole jars of the batch's own size, in all loads that are meant; none where it waits. */
  readonly jars: number;
  /** What does not go in, as picked: of each pick its own part. */
  readonly left: readonly PickUse[];
}

/** Measured and left below this part of the unit, it is eaten by whoever stands at the stove. */
const CRUMB = 0.02;

/**
 * A batch at its measure gate: how many jars what was measured fills, and which part of which pick stays over.
 *
 * @param meant the loads it is measured for
 * @param amount cups or pounds, as the card measures, above 0
 * @returns undefined for a card that nothing is measured of
 */
export function atTheGate(
  batch: Batch,
  card: Card,
  meant: readonly PlannedLoad[],
  amount: number,
  learned?: LearnedYields,
): AtTheGate | undefined {
  const gate = measureGate(card, amount);
  if (!gate) return undefined;
  // Jars of another size are filled as many as were meant: the batch's own follow from the rest.
  const own = meant.filter(({ size }) => !size);
  const jarsMeant = own.reduce((sum, { jars }) => sum + jars, 0);
  const besides = quartsIn({ jar: batch.jar, loads: meant.filter(({ size }) => size) }) / quartsPerJar(batch.jar);
  if (gate.kind === 'wait') return { gate, jars: 0, left: [] };
  const over = gate.left > CRUMB ? gate.left / gate.measured.perBatch : 0;
  return {
    gate,
    jars: jarsOfGate(gate, card, batch.jar, jarsMeant, besides),
    left: leftOf(batch, card, over, learned),
  };
}

/** What still goes in once it is measured: what was steeped, pressed or boiled before is in it already. */
export function stillToGoIn(card: Card, lines: readonly AmountLine[]): readonly AmountLine[] {
  const names = card.steps.map(({ step }) => step);
  const gateAt = names.findIndex((step) => stepRowNamed(step)?.note === 'measure gate');
  const later = lines.filter(({ line }) => names.indexOf(line.into) >= gateAt);
  return later.length > 0 ? later : lines;
}

/** Whole jars of the batch's size in the middle of what the card gives; what was planned, where the page's own range holds it. */
function jarsOfGate(
  { jars }: Extract<Gate, { kind: 'make' }>,
  { yields }: Card,
  jar: JarSize,
  jarsMeant: number,
  besides: number,
): number {
  if (!jars || !yields) return jarsMeant;
  const [least, most] = [jars.low, jars.high].map((each) => jarsFor(each, yields.jar, jar)) as [number, number];
  if (jarsMeant + besides >= least && jarsMeant + besides <= most) return jarsMeant;
  const rest = Math.floor(jarsFor((jars.low + jars.high) / 2, yields.jar, jar) - besides + 1e-9);
  return Math.max(besides > 0 ? 0 : 1, rest);
}

/** Jars of one size for the jars a page names in another, whole ones. */
function jarsFor(printed: number, printedJar: JarSize, jar: JarSize): number {
  return Math.floor((printed * JARS[printedJar].nominalFlOz) / JARS[jar].nominalFlOz + 1e-9);
}

/** What so many batches too much were as picked, of every pick that was measured the same part of its crop. */
function leftOf(batch: Batch, card: Card, over: number, learned?: LearnedYields): PickUse[] {
  if (over <= 0) return [];
  const kgOver = measuredKg(batch, card, learned);
  return batch.uses.flatMap((use): PickUse[] => {
    const kg = use.crop === undefined ? undefined : kgOver.get(use.crop);
    if (kg === undefined || use.crop === undefined) return [];
    const part = Math.min(1, (kg * over) / massKgOf(batch, use.crop));
    return part > 0 ? [timesUse(use, part)] : [];
  });
}

/** Kilograms as picked that one batch takes of each crop that is in the measure: of the main one, of all that a juice is pressed from. */
function measuredKg(batch: Batch, card: Card, learned?: LearnedYields): Map<CropId, number> {
  const main = mainCropOf(batch);
  const own = main && cropCard(card, main);
  if (!own) return new Map();
  const kgs = new Map<CropId, number>([[main, pickedKgPerBatch(own, learned)]]);
  if (!card.measured) return kgs;
  const names = card.steps.map(({ step }) => step);
  const gateAt = names.findIndex((step) => stepRowNamed(step)?.note === 'measure gate');
  const there = (crop: CropId) => massKgOf(batch, crop) > 0;
  for (const { line, crop, kgPerBatch = 0 } of cropNeeds(card, main, there)) {
    const isPressed = line !== mainLine(card) && isProduce(line) && names.indexOf(line.into) < gateAt;
    if (isPressed && crop !== main) kgs.set(crop, (kgs.get(crop) ?? 0) + kgPerBatch);
  }
  return kgs;
}
