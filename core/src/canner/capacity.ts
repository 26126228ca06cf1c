import { JARS, type JarSize } from '../handbook/jars';
import { type Canner } from './canner';
import { waterDepth } from './waterDepth';

export type Capacity = { kind: 'holds'; jars: number } | { kind: 'refusal'; reason: string; instead: string[] };

/**
 * How many jars of one size a load takes: what the rack is declared for. Jars up to a pint stand as pints do, larger
 * ones up to a quart as quarts do.
 *
 * @returns a refusal when the jar and an inch of water over it do not fit the depth, or the rack takes none
 */
export function capacityOf(canner: Canner, jar: JarSize): Capacity {
  const { several, nominalFlOz } = JARS[jar];
  // One minute stands for any process: the least depth does not depend on its length.
  if (waterDepth(canner, jar, 1).kind === 'tooShallow') {
    return {
      kind: 'refusal',
      reason: `${canner.name} is too shallow for ${several} under an inch of water.`,
      instead: ['a smaller jar', 'a deeper canner'],
    };
  }
  const jars = nominalFlOz <= JARS.pint.nominalFlOz ? canner.declaredPints : canner.declaredQuarts;
  if (jars > 0 && nominalFlOz <= JARS.quart.nominalFlOz) return { kind: 'holds', jars };
  return { kind: 'refusal', reason: `The rack of ${canner.name} takes no ${several}.`, instead: ['a smaller jar'] };
}
