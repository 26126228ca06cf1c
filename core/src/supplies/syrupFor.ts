import { JARS, type JarSize } from '../handbook/jars';
import { SYRUPS, type SyrupRow } from '../handbook/syrup';

export interface SyrupNeed {
  readonly percentSugar: number;
  readonly waterCups: number;
  readonly sugarCups: number;
}

/**
 * Water and sugar for the syrup of a number of jars, in cups, from the published load of 9 pints (jars up to a pint) or
 * 7 quarts, in proportion and rounded up to a quarter cup: syrup over is no harm, syrup short stops the filling.
 */
export function syrupFor(syrup: SyrupRow['syrup'], jar: JarSize, jars: number): SyrupNeed {
  const row = SYRUPS.find((candidate) => candidate.syrup === syrup);
  if (!row) throw new RangeError(`no syrup ${JSON.stringify(syrup)} in the handbook`);
  const asPints = JARS[jar].nominalFlOz <= JARS.pint.nominalFlOz;
  const loads = (jars * JARS[jar].nominalFlOz) / (asPints ? 9 * JARS.pint.nominalFlOz : 7 * JARS.quart.nominalFlOz);
  return {
    percentSugar: row.percentSugar,
    waterCups: upToQuarter((asPints ? row.waterCupsPer9Pints : row.waterCupsPer7Quarts) * loads),
    sugarCups: upToQuarter((asPints ? row.sugarCupsPer9Pints : row.sugarCupsPer7Quarts) * loads),
  };
}

function upToQuarter(cups: number): number {
  return Math.ceil(cups * 4 - 1e-9) / 4;
}
