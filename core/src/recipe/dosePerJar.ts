import { type CardLine } from '../handbook/cards/card';
import { type CardAmount } from '../handbook/cards/cardAmount';
import { JARS, type JarSize, quartsPerJar } from '../handbook/jars';
import { ML_PER_TBSP, ML_PER_TSP } from '../measure/amount';
import { kitchenMeasure, type Measure } from './kitchenMeasure';

/** The finest spoon an acid dose is measured with: half a tablespoon, of citric acid an eighth of a teaspoon. Handbook rule 2. */
const FINEST_ML = { lemon: ML_PER_TBSP / 2, vinegar: ML_PER_TBSP / 2, 'citric-acid': ML_PER_TSP / 8 } as const;

/**
 * What one jar takes of a line that goes in jar by jar: as the page names the jar, for other sizes in proportion to the
 * nearest that is named. Acid is rounded up to a spoon, never down: a pint's dose never goes into a quart.
 *
 * Source: the card; handbook rule 2 for other jars.
 *
 * @returns undefined for a line that is no dose
 */
export function dosePerJar({ perJar, role }: CardLine, jar: JarSize): Measure | undefined {
  if (!perJar) return undefined;
  const named = perJar[jar] ?? perJar.any;
  const isAcid = role === 'lemon' || role === 'vinegar' || role === 'citric-acid';
  if (named) return isAcid ? acidDose(named, 1, role) : kitchenMeasure(role, named, 1);
  const [nearest] = (Object.entries(perJar) as [JarSize, CardAmount][])
    .map(([size, amount]) => ({ amount, times: quartsPerJar(jar) / quartsPerJar(size), apart: apart(size, jar) }))
    .sort((a, b) => a.apart - b.apart);
  if (!nearest) return undefined;
  return isAcid ? acidDose(nearest.amount, nearest.times, role) : kitchenMeasure(role, nearest.amount, nearest.times);
}

function apart(a: JarSize, b: JarSize): number {
  return Math.abs(JARS[a].nominalFlOz - JARS[b].nominalFlOz);
}

function acidDose(amount: CardAmount, times: number, role: keyof typeof FINEST_ML): Measure {
  if (amount.of === 'words') return amount;
  const { unit, high } = amount;
  const finest = FINEST_ML[role];
  return { of: 'ml', value: Math.ceil((high * times) / finest - 1e-9) * finest, unit };
}
