import { ML_PER_CUP, ML_PER_TSP } from './amount';
import { printFraction } from './fraction';

const TSP_PER_TBSP = 3;
const TSP_PER_CUP = 48;

/** Up to so many teaspoons, the finest step a cook measures, in teaspoons. The smallest spoon is 1/16 tsp. Common practice. */
const STEPS: readonly (readonly [upToTsp: number, stepTsp: number])[] = [
  [1 / 2, 1 / 16],
  [1.5, 1 / 8],
  [TSP_PER_TBSP, 1 / 4],
  [2 * TSP_PER_TBSP, 1 / 2],
  [TSP_PER_CUP / 4, 1],
  [TSP_PER_CUP, TSP_PER_TBSP],
  [2 * TSP_PER_CUP, TSP_PER_CUP / 8],
  [Infinity, TSP_PER_CUP / 4],
];

/** Millilitres up to the next eighth of a cup. */
export function upToEighthCup(ml: number): number {
  return (Math.max(0, Math.ceil((ml / ML_PER_CUP) * 8 - 1e-9)) / 8) * ML_PER_CUP;
}

export interface Rounding {
  readonly up?: boolean;
  readonly down?: boolean;
}

export interface Printing extends Rounding {
  /** As it is, to the smallest spoon: it was rounded before, or keeps a proportion. */
  readonly exact?: boolean;
}

/**
 * A volume as spoons and cups can measure it, in millilitres: to 1/16 tsp at the finest, to a quarter cup above two cups.
 * Never nothing: the smallest amount is the smallest spoon.
 *
 * @param ml above 0
 * @param options.up for what must not fall short, an acid dose above all: never rounded down
 * @param options.down for what must not be too much, the water of a brine above all: never rounded up, but for the
 * smallest spoon
 */
export function roundToMeasures(ml: number, { up = false, down = false }: Rounding = {}): number {
  const tsp = ml / ML_PER_TSP;
  const step = (STEPS.find(([upTo]) => tsp <= upTo + 1e-9) ?? [0, TSP_PER_CUP / 4])[1];
  const steps = tsp / step;
  const whole = up ? Math.ceil(steps - 1e-9) : down ? Math.floor(steps + 1e-9) : Math.round(steps);
  return Math.max(1, whole) * step * ML_PER_TSP;
}

/**
 * "2 3/4 cups", "1 1/2 Tbsp", "3/16 tsp", "1/2 cup + 1 Tbsp": a volume in the measures a cook takes it with.
 *
 * @param ml above 0; rounded by {@link roundToMeasures} unless it is to stay exact
 */
export function printMeasures(ml: number, { exact = false, ...options }: Printing = {}): string {
  const rounded = exact ? ml : roundToMeasures(ml, options);
  const cups = rounded / ML_PER_CUP;
  if (cups < 1 / 4 - 1e-9) return printSpoons(rounded / ML_PER_TSP);
  // A third and two thirds have cups of their own; else cups have marks for quarters, and what is over goes by the spoon.
  const thirds = Math.round(cups * 3);
  if (exact && thirds % 3 !== 0 && Math.abs(cups * 3 - thirds) < 1e-6) return cupWords(thirds / 3);
  const quarters = Math.floor(cups * 4 + 1e-6);
  const words = cupWords(quarters / 4);
  const overTsp = Math.round((rounded / ML_PER_TSP - quarters * (TSP_PER_CUP / 4)) * 16) / 16;
  return overTsp <= 0 ? words : `${words} + ${printSpoons(overTsp)}`;
}

function cupWords(cups: number): string {
  return `${printFraction(cups)} ${cups > 1 ? 'cups' : 'cup'}`;
}

/** "3/16 tsp", "1 1/2 Tbsp", "1 Tbsp + 1/2 tsp". */
function printSpoons(tsp: number): string {
  if (tsp < TSP_PER_TBSP - 1e-9) return `${printFraction(tsp, 16)} tsp`;
  const halves = (tsp / TSP_PER_TBSP) * 2;
  if (Math.abs(halves - Math.round(halves)) < 1e-9) return `${printFraction(halves / 2)} Tbsp`;
  const tbsp = Math.floor(tsp / TSP_PER_TBSP + 1e-9);
  return `${tbsp} Tbsp + ${printFraction(tsp - tbsp * TSP_PER_TBSP)} tsp`;
}
