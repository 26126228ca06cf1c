import { JARS, type JarSize } from '../handbook/jars';
import { type Canner } from './canner';

/** A place for one jar in the rack, in inches from the centre of the canner, x to the right and y down. */
export interface RackPlace {
  readonly x: number;
  readonly y: number;
  readonly radiusIn: number;
}

/** The ring of jars keeps a little off the wall, so that they lift out freely. Common practice. */
const WALL_GAP_IN = 0.25;

/**
 * Where the jars of a load stand: one in the centre, the others in a ring from 12 o'clock clockwise. The rack's declared
 * number rules; the ring is set as wide as the wall allows, and wider jars close the gaps.
 */
export function loadMap(canner: Canner, jar: JarSize, places: number): RackPlace[] {
  const radiusIn = JARS[jar].maxDiameterIn / 2;
  const centre: RackPlace = { x: 0, y: 0, radiusIn };
  const inRing = places - 1;
  if (inRing < 1) return [centre];
  const neighbours = inRing > 1 ? radiusIn / Math.sin(Math.PI / inRing) : 0;
  const ringIn = Math.max(2 * radiusIn, neighbours, canner.insideDiameterIn / 2 - radiusIn - WALL_GAP_IN);
  const ring = Array.from({ length: inRing }, (_, i): RackPlace => {
    const angle = (2 * Math.PI * i) / inRing;
    return { x: ringIn * Math.sin(angle), y: -ringIn * Math.cos(angle), radiusIn };
  });
  return [centre, ...ring];
}
