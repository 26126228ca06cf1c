import { JARS, type JarSize } from '../handbook/jars';
import { ML_PER_CUP } from '../measure/amount';
import { upToEighthCup } from '../measure/cookMeasure';
import { SYRUPS, type SyrupRow } from '../handbook/syrup';

/** The strength that is made most: light, 20 %. */
export const LIGHT_PERCENT = 20;

export interface Syrup {
  readonly percentSugar: number;
  /** To the eighth of a cup, rounded up: syrup over is no harm, syrup short stops the filling. */
  readonly waterCups: number;
  readonly sugarCups: number;
  /** The published syrup of this strength; undefined for one in between or below. */
  readonly published?: SyrupRow['syrup'];
  /** Lighter than the lightest published one: a matter of taste, since sugar keeps colour and shape, not safety. */
  readonly tasteOnly: boolean;
}

/** A cup of sugar raises the water it dissolves in by about half a cup. Common practice. */
export const CUPS_RAISED_PER_CUP_OF_SUGAR = 0.55;

export const MOST_PERCENT_SUGAR = 50;

/**
 * Water and sugar for any strength of syrup, by weight, for a number of jars: as published for a load of 9 pints (jars up
 * to a pint) or 7 quarts, in between by straight lines from row to row, below the lightest towards plain water.
 *
 * Source: USDA Complete Guide to Home Canning, 2015, guide 2, "Preparing and using syrups", as recalled.
 *
 * @param percentSugar 0 to {@link MOST_PERCENT_SUGAR}
 * @throws RangeError for anything else
 */
export function syrupOf(percentSugar: number, jar: JarSize, jars: number): Syrup {
  if (!(percentSugar >= 0 && percentSugar <= MOST_PERCENT_SUGAR)) {
    throw new RangeError(`percentSugar must be 0 to ${MOST_PERCENT_SUGAR}, got ${percentSugar}`);
  }
  const asPints = JARS[jar].nominalFlOz <= JARS.pint.nominalFlOz;
  const loads = (jars * JARS[jar].nominalFlOz) / (asPints ? 9 * JARS.pint.nominalFlOz : 7 * JARS.quart.nominalFlOz);
  const points = pointsOf(asPints);
  const above = points.findIndex(({ percent }) => percent >= percentSugar);
  const [low, high] = [points[Math.max(0, above - 1)], points[above]];
  if (!low || !high) throw new RangeError('the table of syrups is empty');
  const part = high.percent === low.percent ? 0 : (percentSugar - low.percent) / (high.percent - low.percent);
  const between = (a: number, b: number) => upToEighthCup((a + (b - a) * part) * loads * ML_PER_CUP) / ML_PER_CUP;
  const published = SYRUPS.find((row) => row.percentSugar === percentSugar)?.syrup;
  return {
    percentSugar,
    waterCups: between(low.water, high.water),
    sugarCups: between(low.sugar, high.sugar),
    ...(published && { published }),
    tasteOnly: percentSugar < (SYRUPS[0]?.percentSugar ?? 0),
  };
}

/** The rows of a load, with plain water in front: as much as the lightest syrup comes to. */
function pointsOf(asPints: boolean): { percent: number; water: number; sugar: number }[] {
  const rows = SYRUPS.map((row) => ({
    percent: row.percentSugar,
    water: asPints ? row.waterCupsPer9Pints : row.waterCupsPer7Quarts,
    sugar: asPints ? row.sugarCupsPer9Pints : row.sugarCupsPer7Quarts,
  }));
  const lightest = rows[0];
  const plain = lightest ? lightest.water + CUPS_RAISED_PER_CUP_OF_SUGAR * lightest.sugar : 0;
  return [{ percent: 0, water: plain, sugar: 0 }, ...rows];
}
