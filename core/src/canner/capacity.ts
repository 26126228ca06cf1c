import { JARS, type JarSize } from '../handbook/jars';
import { type Method } from '../process/method';
import { type Canner, isPressure, methodsOf, type OwnJar } from './canner';
import { COVER_IN, fitJars, type JarMeasures } from './jarFit';

export type Capacity =
  | {
      readonly kind: 'holds';
      readonly jars: number;
      readonly layers: 1 | 2;
      /** What binds: the floor, or the number of the rack. */
      readonly limitedBy: 'floor' | 'rack';
    }
  | {
      readonly kind: 'refusal';
      readonly reason: string;
      readonly instead: string[];
      readonly limitedBy: 'floor' | 'depth' | 'rack';
    };

/** Kept between jars and to the wall, so that they lift out freely. Common practice. */
export const CLEARANCE_IN = 0.125;

/** A second rack lies between two layers. Common practice. */
const BETWEEN_LAYERS_IN = 0.25;

/** The fewest quarts a vessel holds that pressure canning is tested in. Handbook rule 11. */
const LEAST_PRESSURE_QUARTS = 4;

export interface CapacityOptions {
  /** The canner's own unless said: a pressure canner may serve as a pot. */
  readonly method?: Method;
  readonly ownJars?: readonly OwnJar[];
}

/**
 * How many jars of one size a load takes. A test fit of the household rules; else what the rack is declared for, as long
 * as the jar has not been measured wider; else what stands on the floor. Jars up to a pint stand as pints do, larger ones
 * up to a quart as quarts do. Depth: handbook rule 6; steam up to quarts: rule 7; pressure: rule 11.
 */
export function capacityOf(
  canner: Canner,
  jar: JarSize,
  { method = canner.method, ownJars = [] }: CapacityOptions = {},
): Capacity {
  const { several, nominalFlOz } = JARS[jar];
  const own = ownJars.find(({ size }) => size === jar);
  const measures = measuresOf(jar, own);
  if (!methodsOf(canner).includes(method))
    return refusal('rack', `${canner.name} is not for that way of processing.`, ['another canner']);
  if (isPressure(method)) {
    if (canner.electric || canner.declaredQuarts < LEAST_PRESSURE_QUARTS) {
      const why = `${canner.name} is too small or electric: pressure times are tested in stove-top canners that hold at least four quarts.`;
      return refusal('rack', why, ['a stove-top pressure canner']);
    }
  } else if (method === 'steam' && nominalFlOz > JARS.quart.nominalFlOz) {
    return refusal('depth', `Steam is tested for jars up to quarts, not for ${several}.`, ['a smaller jar']);
  }
  const over = method === 'boiling-water' || method === 'low-temperature-bath' ? COVER_IN : 0;
  if (canner.rackHeightIn + measures.heightIn + over > canner.insideHeightIn) {
    const why = `${canner.name} is too shallow for ${several}${over > 0 ? ' under an inch of water' : ''}.`;
    return refusal('depth', why, ['a smaller jar', 'a deeper canner']);
  }
  const stacked = canner.rackHeightIn + 2 * measures.heightIn + BETWEEN_LAYERS_IN + over <= canner.insideHeightIn;
  const layers = canner.layers === 2 && stacked ? 2 : 1;
  const tested = canner.testFits.find((fit) => fit.jar === jar);
  if (tested) return { kind: 'holds', jars: tested.jars, layers, limitedBy: 'floor' };
  const declared = declaredFor(canner, nominalFlOz);
  if (declared === 0) return refusal('rack', `The rack of ${canner.name} takes no ${several}.`, ['a smaller jar']);
  if (declared !== undefined && !own) return { kind: 'holds', jars: declared, layers, limitedBy: 'rack' };
  const onFloor = layers * floorCapacity(canner, measures);
  if (onFloor === 0) return refusal('floor', `${several} do not go into ${canner.name}.`, ['a smaller jar']);
  return declared !== undefined && declared <= onFloor
    ? { kind: 'holds', jars: declared, layers, limitedBy: 'rack' }
    : { kind: 'holds', jars: onFloor, layers, limitedBy: 'floor' };
}

/** A jar as it is drawn and packed: the household's own measure, or the handbook's. */
export function measuresOf(jar: JarSize, own?: OwnJar): JarMeasures {
  const { maxDiameterIn, heightIn } = JARS[jar];
  return own ?? { size: jar, diameterIn: maxDiameterIn, heightIn };
}

/** Undefined for jars that no rack is declared for. */
function declaredFor({ declaredQuarts, declaredPints, declaredHalfPints }: Canner, flOz: number): number | undefined {
  if (flOz <= JARS['half-pint'].nominalFlOz) return declaredHalfPints;
  if (flOz <= JARS.pint.nominalFlOz) return declaredPints;
  return flOz <= JARS.quart.nominalFlOz ? declaredQuarts : undefined;
}

/** Packings already looked for: a pot and a jar do not change from one look at a screen to the next. */
const KNOWN = new Map<string, number>();

function floorCapacity({ insideDiameterIn, insideHeightIn, rackHeightIn }: Canner, jar: JarMeasures): number {
  const key = `${insideDiameterIn} ${jar.diameterIn}`;
  const known = KNOWN.get(key);
  if (known !== undefined) return known;
  const pot = { insideDiameterIn, insideHeightIn: insideHeightIn + COVER_IN, rackHeightIn, clearanceIn: CLEARANCE_IN };
  const { capacity = 0 } = fitJars(pot, [jar]);
  KNOWN.set(key, capacity);
  return capacity;
}

function refusal(limitedBy: 'floor' | 'depth' | 'rack', reason: string, instead: string[]): Capacity {
  return { kind: 'refusal', reason, instead, limitedBy };
}
