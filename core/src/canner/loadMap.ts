import { type JarSize } from '../handbook/jars';
import { type Canner, type OwnJar } from './canner';
import { CLEARANCE_IN, measuresOf } from './capacity';
import { standing } from './jarFit';
import { loadingOrder } from './loadingOrder';
import { type Centre } from './packCircles';

/** A place for one jar in the rack, in inches from the centre of the canner, x to the right and y down. */
export interface RackPlace extends Centre {
  readonly radiusIn: number;
  /** A jar of water stands here, so that none tips and the rack hangs level. */
  readonly spacer: boolean;
}

/**
 * Where the jars of one layer stand: one in the centre, the others in a ring from 12 o'clock clockwise, or as tight as
 * they must. Jars come first, in the order of their numbers; spacers after them, where the load stays level.
 *
 * @param places how many the rack takes; its declared number rules, even where the measures say that it is tight
 * @param jars how many of them hold food
 */
export function loadMap(canner: Canner, jar: JarSize, places: number, jars = places, own?: OwnJar): RackPlace[] {
  const { diameterIn } = measuresOf(jar, own);
  const centres = centresFor(canner, measuresOf(jar, own), places);
  const filled = new Set(loadingOrder(centres).slice(0, jars));
  const all = centres.map(({ x, y }, i): RackPlace => ({ x, y, radiusIn: diameterIn / 2, spacer: !filled.has(i) }));
  return [...all.filter(({ spacer }) => !spacer), ...all.filter(({ spacer }) => spacer)];
}

/** Packings already looked for. */
const KNOWN = new Map<string, readonly Centre[]>();

function centresFor(canner: Canner, jar: ReturnType<typeof measuresOf>, places: number): readonly Centre[] {
  const key = `${canner.insideDiameterIn} ${jar.diameterIn} ${places}`;
  const known = KNOWN.get(key);
  if (known) return known;
  const jars = Array.from({ length: places }, () => jar);
  const { insideDiameterIn } = canner;
  const centres =
    standing({ insideDiameterIn, clearanceIn: CLEARANCE_IN }, jars) ??
    standing({ insideDiameterIn }, jars) ??
    squeezed(insideDiameterIn / 2 - jar.diameterIn / 2, places);
  KNOWN.set(key, centres);
  return centres;
}

/** More than the measures allow: the household knows its rack, so they are drawn as a ring that overlaps. */
function squeezed(ringIn: number, places: number): Centre[] {
  const inRing = Math.max(1, places - 1);
  const ring = Array.from({ length: places - 1 }, (_, i): Centre => {
    const angle = (2 * Math.PI * i) / inRing;
    return { x: ringIn * Math.sin(angle), y: -ringIn * Math.cos(angle) };
  });
  return [{ x: 0, y: 0 }, ...ring];
}
