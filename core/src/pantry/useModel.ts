import { type Draws } from '../math/draws';
import { MONTHS, type UseRecord } from './useRecord';

const DAYS_A_YEAR = 365;
const DAYS_A_MONTH = DAYS_A_YEAR / MONTHS;

/**
 * Jars go by the meal, two and three at a time: their number varies more than that of single things. Variance against
 * mean; fitted to simulated households, see docs/pantry-forecast.md.
 */
const CLUMPING = 1.6;

/** How sure a first word is, in jars that would say as much: the household's own word more than what was put up. */
const TOLD_JARS = 3;
const PUT_UP_JARS = 1.5;

/** With nothing known, a product is used about once a month, give or take a good deal. Common practice. */
const UNKNOWN_PER_MONTH = 1;
const UNKNOWN_JARS = 0.6;

/** How firmly a month is taken to be as usual until it says otherwise, in jars. */
const USUAL_JARS = 7;

/** Jars are for the winter, when the garden gives nothing: more about January, fewer about July. Common practice. */
const USUAL_SEASON = Array.from({ length: MONTHS }, (_, month) => 1 + 0.3 * Math.cos((month / MONTHS) * 2 * Math.PI));

/** What is known of the use of a product: a rate that is uncertain, and how each month stands against it. */
export interface UseModel {
  /** Jars a day are drawn from Gamma(shape, rate). */
  readonly shape: number;
  readonly rate: number;
  /** A month's part of it is drawn from Gamma(shape, rate), about 1. January first. */
  readonly season: readonly { readonly shape: number; readonly rate: number }[];
}

/**
 * Learns how a product is used: a Gamma-Poisson model whose months are drawn to one another, so that half a year of use
 * says something of the other half. A. Gelman and others, Bayesian Data Analysis, 3rd edition, 2.6, from memory; how it
 * was fitted and how well it does: docs/pantry-forecast.md.
 *
 * @param toldPerMonth jars a month as the household says at first; undefined where it said nothing
 */
export function learnUse(record: UseRecord | undefined, toldPerMonth?: number): UseModel {
  const [perDay, weight] = firstWord(record, toldPerMonth);
  const prior = { shape: weight / CLUMPING, rate: weight / CLUMPING / perDay };
  const seen = withNeighbours(record);
  let season = USUAL_SEASON.map((usual) => ({ shape: USUAL_JARS * usual, rate: USUAL_JARS }));
  let rate = prior;
  // Rate and months explain the same jars: each is worked out with the other until they settle.
  for (let round = 0; round < 4; round++) {
    const parts = season.map(({ shape, rate: r }) => shape / r);
    const jars = seen.reduce((sum, month) => sum + month.jars, 0);
    const days = seen.reduce((sum, month, i) => sum + month.days * (parts[i] ?? 1), 0);
    rate = { shape: prior.shape + jars / CLUMPING, rate: prior.rate + days / CLUMPING };
    const mean = rate.shape / rate.rate;
    season = seen.map((month, i) => ({
      shape: USUAL_JARS * (USUAL_SEASON[i] ?? 1) + month.jars / CLUMPING,
      rate: USUAL_JARS + (month.days * mean) / CLUMPING,
    }));
  }
  return { ...rate, season };
}

/** Jars a month, over the year, as the model takes it. */
export function jarsPerMonth({ shape, rate, season }: UseModel): number {
  const even = season.reduce((sum, month) => sum + month.shape / month.rate, 0) / season.length;
  return (shape / rate) * even * DAYS_A_MONTH;
}

/** One household that could be, as far as is known: how many jars it uses in so many days of a month. */
export function drawUse(model: UseModel, draws: Draws): (month: number, days: number) => number {
  const perDay = draws.gamma(model.shape, model.rate);
  const parts = model.season.map(({ shape, rate }) => draws.gamma(shape, rate));
  return (month, days) => {
    const mean = perDay * (parts[month] ?? 1) * days;
    if (mean <= 0) return 0;
    // Negative binomial: a Poisson whose mean is drawn.
    return draws.poisson(draws.gamma(mean / (CLUMPING - 1), 1 / (CLUMPING - 1)));
  };
}

/** Jars a day as a first word, and how much it weighs. */
function firstWord(record: UseRecord | undefined, toldPerMonth: number | undefined): [perDay: number, weight: number] {
  if (toldPerMonth !== undefined && toldPerMonth > 0) return [toldPerMonth / DAYS_A_MONTH, TOLD_JARS];
  const putUp = record?.putUpInYear ?? 0;
  return putUp > 0 ? [putUp / DAYS_A_YEAR, PUT_UP_JARS] : [UNKNOWN_PER_MONTH / DAYS_A_MONTH, UNKNOWN_JARS];
}

/** A month with half of itself and a quarter of each neighbour: January tells of February. */
function withNeighbours(record: UseRecord | undefined) {
  const months = record?.months ?? Array.from({ length: MONTHS }, () => ({ jars: 0, days: 0 }));
  return months.map((_, i) => {
    const at = (n: number) => months[(i + n + MONTHS) % MONTHS] ?? { jars: 0, days: 0 };
    const mixed = (part: 'jars' | 'days') => at(0)[part] / 2 + at(-1)[part] / 4 + at(1)[part] / 4;
    return { jars: mixed('jars'), days: mixed('days') };
  });
}
