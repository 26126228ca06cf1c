import { CARDS, isOffered } from '../../handbook/cards';
import { type Card, type CardLine } from '../../handbook/cards/card';
import { KG_PER_LB, ML_PER_CUP, ML_PER_TSP } from '../../measure/amount';
import { productRow } from '../../handbook/products';
import { kgAsPicked } from '../cardCrops';
import { coveringLines } from '../covering';

/** What decides how sour the food in a jar is: acid against water and against what is low in acid. */
export interface AcidOfFood {
  /** Vinegar of 5 % and more, millilitres. */
  readonly vinegarMl: number;
  readonly lemonMl: number;
  readonly waterMl: number;
  /** Kilograms as picked. */
  readonly lowAcidKg: number;
  readonly produceKg: number;
  readonly sugarMl: number;
  readonly saltMl: number;
  readonly hasOil: boolean;
  /** Whether the acid is poured over packed jars, so that only its own strength counts. */
  readonly covers: boolean;
}

/** A line whose measure nobody weighs counts as so much: the careful figure, for produce more rather than less. Common practice. */
const KG_PER_ML = 0.65 / 1_000;
const KG_PER_PIECE = 0.2;
const KG_PER_CLOVE = 0.006;

/**
 * The acid of a card. What is poured off or fished out is not in the jar; what has no figure is taken with care: vinegar,
 * lemon and sugar for nothing, water and vegetables for as much as there is of anything.
 */
export function acidOfFood(card: Pick<Card, 'ingredients' | 'steps'>): AcidOfFood {
  const lines = card.ingredients.filter(({ then }) => then !== 'drained' && then !== 'taken-out');
  const once = lines.filter(
    (line, i) => line.oneOf === undefined || lines.findIndex(({ oneOf }) => oneOf === line.oneOf) === i,
  );
  const ml = (of: (line: CardLine) => boolean) => once.filter(of).reduce((sum, line) => sum + mlOf(line), 0);
  const kg = (of: (line: CardLine) => boolean) =>
    once.filter(of).reduce((sum, line) => sum + kgOf(line, card as Card), 0);
  const lowAcidKg = kg(({ role }) => role === 'low-acid');
  return {
    vinegarMl: ml(({ role, optional }) => role === 'vinegar' && !optional),
    lemonMl: ml(({ role, optional }) => role === 'lemon' && !optional),
    waterMl: ml(({ role, inside }) => role === 'water' && inside === undefined),
    lowAcidKg,
    produceKg: lowAcidKg + kg(({ role }) => role === 'acid-food'),
    sugarMl: ml(({ role }) => role === 'sugar'),
    saltMl: ml(({ role }) => role === 'salt'),
    hasOil: once.some((line) => (line.role === 'oil' ? !isAgainstFoam(line) : isCookedInOil(line))),
    covers: coveringLines(card as Card).some(({ role }) => role === 'vinegar'),
  };
}

/** "Peppers, charred in oil": the oil is on them, whatever is drained. */
function isCookedInOil({ item, prep = '' }: CardLine): boolean {
  return /\b(?:in|with) (?:\w+ ){0,2}oil\b|\boiled\b/i.test(`${item} ${prep}`);
}

/** Butter that keeps foam down: half a teaspoon at most. Handbook rule 17. */
function isAgainstFoam({ item, amount }: CardLine): boolean {
  return /butter/i.test(item) && amount.of === 'ml' && amount.high <= 0.5 * ML_PER_TSP + 1e-6;
}

function mlOf({ amount }: CardLine): number {
  if (amount.of === 'ml') return amount.low;
  // A pound of sugar is two cups and a quarter; salt and the rest about so. Common practice.
  return amount.of === 'kg' ? (amount.low / KG_PER_LB) * 2.25 * ML_PER_CUP : 0;
}

function kgOf(line: CardLine, card: Card): number {
  const known = line.crops[0] === undefined ? undefined : kgAsPicked(line, line.crops[0], card);
  if (known !== undefined) return known;
  const { amount } = line;
  if (amount.of === 'kg') return amount.high;
  if (amount.of === 'ml') return amount.high * KG_PER_ML;
  if (amount.of === 'pieces')
    return amount.high * (amount.word === 'clove' || /garlic/i.test(line.item) ? KG_PER_CLOVE : KG_PER_PIECE);
  return KG_PER_PIECE;
}

/** The families whose weakest tested card is the measure for vegetables in acid. */
export type AcidFamily = 'vinegar pickle' | 'relish' | 'salsa';

interface Tested {
  readonly card: Card;
  readonly family: AcidFamily;
  readonly acid: AcidOfFood;
}

let known: readonly Tested[] | undefined;

/** The handbook's cards of vegetables in acid, each with its family. */
function testedCards(): readonly Tested[] {
  known ??= CARDS.filter(isOffered).flatMap((card): Tested[] => {
    const acid = acidOfFood(card);
    const family = familyOf(card, acid);
    return family && acid.lowAcidKg > 0 && acid.vinegarMl + acid.lemonMl > 0 ? [{ card, family, acid }] : [];
  });
  return known;
}

function familyOf({ product }: Card, acid: AcidOfFood): AcidFamily | undefined {
  const { productClass } = productRow(product);
  if (productClass === 'recipe-acid' && /salsa|taco/.test(product)) return 'salsa';
  if (productClass !== 'pickle') return undefined;
  return acid.covers ? 'vinegar pickle' : 'relish';
}

/** Part of vinegar in what is poured over: 1 where there is no water. */
export function vinegarPart({ vinegarMl, waterMl }: Pick<AcidOfFood, 'vinegarMl' | 'waterMl'>): number {
  return vinegarMl + waterMl > 0 ? vinegarMl / (vinegarMl + waterMl) : 0;
}

/** Rounding of kitchen measures. */
const CRUMB = 0.995;

/**
 * A handbook card of the family that this food is no weaker than, the weakest of them first; undefined where it is weaker
 * than all. Poured over packed jars its part of vinegar counts; cooked together also the acid to each pound, of all produce
 * and of what is low in acid. Lemon stands in for vinegar, vinegar never for lemon.
 */
export function noWeakerThan(acid: AcidOfFood, family: AcidFamily): Card | undefined {
  const own = testedCards().filter((tested) => tested.family === family);
  const fits = own.filter(({ acid: tested }) => {
    if (vinegarPart(plusLemon(acid)) < vinegarPart(plusLemon(tested)) * CRUMB) return false;
    if (family === 'vinegar pickle') return acid.vinegarMl > 0;
    if (tested.lemonMl > tested.vinegarMl && acid.lemonMl * CRUMB < 1e-9) return false;
    const strength = (of: AcidOfFood, kg: number) => (of.vinegarMl + of.lemonMl) / Math.max(kg, 1e-9);
    const lemon = (of: AcidOfFood) => of.lemonMl / of.lowAcidKg;
    if (tested.vinegarMl === 0 && lemon(acid) < lemon(tested) * CRUMB) return false;
    return (
      strength(acid, acid.lowAcidKg) >= strength(tested, tested.lowAcidKg) * CRUMB &&
      strength(acid, acid.produceKg) >= strength(tested, tested.produceKg) * CRUMB
    );
  });
  const total = ({ acid: { vinegarMl, lemonMl, produceKg } }: Tested) =>
    (vinegarMl + lemonMl) / Math.max(produceKg, 1e-9);
  return fits.sort((a, b) => total(a) - total(b))[0]?.card;
}

function plusLemon({ vinegarMl, lemonMl, waterMl }: AcidOfFood) {
  return { vinegarMl: vinegarMl + lemonMl, waterMl };
}

/** Handbook pickles of a crop whose part of vinegar is no greater: its own tested ratio. */
export function isTestedRatio(acid: AcidOfFood, crops: readonly string[]): boolean {
  return testedCards().some(
    ({ card, family, acid: tested }) =>
      family === 'vinegar pickle' &&
      card.ingredients.some((line) => line.role === 'low-acid' && line.crops.some((crop) => crops.includes(crop))) &&
      vinegarPart(acid) >= vinegarPart(tested) * CRUMB,
  );
}
