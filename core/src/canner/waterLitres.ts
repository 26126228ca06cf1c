import { JARS, type JarSize } from '../handbook/jars';
import { type Method } from '../process/method';
import { type Canner, isPressure, type OwnJar } from './canner';
import { measuresOf } from './capacity';
import { waterDepth } from './waterDepth';

const LITRES_PER_CUBIC_IN = 0.016_387_064;

/** Part of the cylinder around a jar that the jar itself takes: shoulders and bands leave room. Common practice. */
const JAR_PART = 0.88;

/** Water in a pressure canner: 2 to 3 in. USDA guide 1, as recalled. */
export const PRESSURE_IN = { least: 2, most: 3 } as const;

/** Water in a steam canner, about 3 quarts. Handbook, canners, as recalled. */
const STEAM_LITRES = 2.84;

export interface WaterQuestion {
  readonly jar: JarSize;
  readonly jars: number;
  readonly processMinutes: number;
  readonly method: Method;
  readonly own?: OwnJar;
}

/**
 * Litres of water to fill a canner with, the jars in it; undefined where the pot is too shallow. A pot is filled to what
 * a process starts with; spacers count as jars.
 */
export function waterLitres(
  canner: Canner,
  { jar, jars, processMinutes, method, own }: WaterQuestion,
): number | undefined {
  if (method === 'steam') return STEAM_LITRES;
  const floor = Math.PI * (canner.insideDiameterIn / 2) ** 2;
  if (isPressure(method)) return floor * PRESSURE_IN.most * LITRES_PER_CUBIC_IN;
  const depth = waterDepth(canner, jar, processMinutes, own);
  if (depth.kind === 'tooShallow') return undefined;
  const { diameterIn, heightIn } = measuresOf(jar, own);
  const each = JAR_PART * Math.PI * (diameterIn / 2) ** 2 * heightIn;
  return Math.max(0, floor * depth.startIn - jars * each) * LITRES_PER_CUBIC_IN;
}

/**
 * How high the water of a load stands, in inches over the floor: over the lids in a pot, under the rack in a steam canner,
 * two to three inches in a pressure canner. Undefined where the pot is too shallow.
 */
export function waterLevelIn(canner: Canner, question: WaterQuestion): number | undefined {
  if (isPressure(question.method)) return PRESSURE_IN.most;
  if (question.method === 'steam')
    return STEAM_LITRES / (Math.PI * (canner.insideDiameterIn / 2) ** 2 * LITRES_PER_CUBIC_IN);
  const depth = waterDepth(canner, question.jar, question.processMinutes, question.own);
  return depth.kind === 'fits' ? depth.leastIn : undefined;
}

/** Litres that a full jar of a size holds. */
export function jarLitres(jar: JarSize): number {
  const LITRES_PER_FL_OZ = 0.029_573_53;
  return JARS[jar].nominalFlOz * LITRES_PER_FL_OZ;
}
