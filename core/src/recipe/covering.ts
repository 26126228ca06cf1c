import { type Card, type CardLine } from '../handbook/cards/card';
import { JARS, type JarCount } from '../handbook/jars';
import { productRow } from '../handbook/products';
import { ML_PER_CUP, ML_PER_TSP } from '../measure/amount';
import { type Range } from '../math/range';

/** A cup of sugar raises the liquid it dissolves in by about half a cup. Common practice. */
export const CUPS_RAISED_PER_CUP_OF_SUGAR = 0.55;

const ML_PER_FL_OZ = ML_PER_CUP / 8;

/**
 * Part of a jar that the covering liquid takes, by how the food is cut: about half to two thirds. Common practice, until a
 * household's leftovers teach it.
 */
const LIQUID_PART: readonly (readonly [form: RegExp, part: Range])[] = [
  [/^whole$|spears/, { p10: 0.53, p50: 0.6, p90: 0.667 }],
  [/rings/, { p10: 0.5, p50: 0.57, p90: 0.65 }],
  [/./, { p10: 0.45, p50: 0.52, p90: 0.6 }],
];

/** The step that makes the liquid poured over packed jars; undefined where the food cooks or soaks in what covers it. */
export function coveringStep({ ingredients, steps }: Card): string | undefined {
  const names = steps.map(({ step }) => step);
  const packed = names.indexOf('raw-pack');
  if (packed < 0) return undefined;
  const acid = ingredients.find(({ role, then }) => role === 'vinegar' && then === 'jar');
  const made = acid?.into === 'boil-brine' ? acid.into : undefined;
  const at = made === undefined ? -1 : names.indexOf(made);
  // Brine that the food stood in before is no covering liquid.
  return at >= 0 && at < packed && names.indexOf('ferment-3wk') < 0 ? made : undefined;
}

/** The lines of the covering liquid, in proportion: what is fished out of it among them, doses per jar not. */
export function coveringLines(card: Card): readonly CardLine[] {
  const made = coveringStep(card);
  return made === undefined
    ? []
    : card.ingredients.filter(({ into, then }) => into === made && (then === 'jar' || then === 'taken-out'));
}

/** Millilitres of covering liquid that one batch of a card makes, sugar dissolved in it. */
export function coveringMl(lines: readonly CardLine[]): number {
  return lines.reduce((sum, { amount, role }) => {
    if (amount.of !== 'ml') return sum;
    if (LIQUIDS.has(role)) return sum + amount.high;
    return role === 'sugar' ? sum + CUPS_RAISED_PER_CUP_OF_SUGAR * amount.high : sum;
  }, 0);
}

const LIQUIDS: ReadonlySet<CardLine['role']> = new Set(['vinegar', 'lemon', 'water', 'oil']);

/**
 * Covering liquid that jars will likely take, in millilitres: the jar less what is packed.
 *
 * @param learned part of the jar, from what a household wrote down of its leftovers
 */
export function likelyCoveringMl(card: Card, jars: readonly JarCount[], learned?: Range): Range {
  const volumeMl = jars.reduce((sum, { jar, count }) => sum + count * JARS[jar].nominalFlOz * ML_PER_FL_OZ, 0);
  const { form } = productRow(card.product);
  const part = learned ?? (LIQUID_PART.find(([words]) => words.test(form)) as (typeof LIQUID_PART)[number])[1];
  return { p10: part.p10 * volumeMl, p50: part.p50 * volumeMl, p90: part.p90 * volumeMl };
}

/** Grids that a mix is made in, coarsest first: each liquid by quarter cups, tablespoons, teaspoons, eighths of one. */
const GRIDS_TSP = [12, 3, 1, 1 / 8];
/** More than this over what is wanted is waste; a finer spoon is taken then. */
const MOST_OVER = 0.12;

/**
 * How many batches of a covering liquid to make so that there is at least so much: the smallest mix in the same proportions
 * whose every liquid can be measured, the coarsest spoon first.
 */
export function batchesToMake(lines: readonly CardLine[], wantedMl: number): number {
  const batchMl = coveringMl(lines);
  if (!(batchMl > 0)) return 0;
  const tsp = lines.flatMap(({ amount, role }) =>
    amount.of === 'ml' && LIQUIDS.has(role) ? [amount.high / ML_PER_TSP] : [],
  );
  const least = wantedMl / batchMl;
  for (const grid of GRIDS_TSP) {
    const step = 1 / tsp.map((each) => Math.round(each / grid)).reduce(commonDivisor, 0);
    const fits = tsp.every((each) => Math.abs(each / grid - Math.round(each / grid)) < 1e-6);
    const batches = Math.ceil(least / step - 1e-9) * step;
    if (fits && batches <= least * (1 + MOST_OVER)) return batches;
  }
  return least;
}

function commonDivisor(a: number, b: number): number {
  return b === 0 ? a : commonDivisor(b, a % b);
}
