import { type Centre, packCircles } from './packCircles';

/** A jar as the packing sees it: outside measures in inches, at the widest. */
export interface JarMeasures {
  readonly size: string;
  readonly diameterIn: number;
  readonly heightIn: number;
}

/** Inside measures of a pot in inches; the clearance is kept between jars, and from jar to wall. */
export interface PotMeasures {
  readonly insideDiameterIn: number;
  readonly insideHeightIn: number;
  readonly rackHeightIn: number;
  readonly clearanceIn?: number;
}

export interface StandingJar extends Centre {
  readonly r: number;
  readonly size: string;
}

export interface JarFit {
  readonly fits: boolean;
  /** Where each jar stands, inches from the centre, in the order asked; empty when they do not all fit. */
  readonly circles: readonly StandingJar[];
  /** How many of them one layer takes, where all are of one kind. */
  readonly capacity?: number;
  /** What binds: the floor of the pot, or its depth under an inch of water. */
  readonly limitedBy: 'floor' | 'depth';
}

/** Least water over the lids. Handbook rule 6. */
export const COVER_IN = 1;

/** Packings closer to the wall than this part of the radius are taken to fit: it is far below what a ruler shows. */
const HAIR = 1e-6;

/** Up to so many jars the best packing is looked for; beyond, rows set in each other are good enough. */
const MOST_PACKED = 30;

/**
 * Whether jars stand beside each other in one layer of a pot, and where: circles in a circle. A ring around a centre jar
 * is taken where it will do, since that is how a rack is loaded; else the tightest packing that can be found.
 *
 * @param jars at least one
 */
export function fitJars(pot: PotMeasures, jars: readonly JarMeasures[]): JarFit {
  const kinds = new Set(jars.map(({ diameterIn }) => diameterIn));
  const [first] = jars;
  if (!first) throw new RangeError('a load holds at least one jar');
  const same = kinds.size === 1;
  const { clearanceIn = 0 } = pot;
  const radius = (pot.insideDiameterIn - clearanceIn) / 2;
  if (jars.some(({ heightIn }) => pot.rackHeightIn + heightIn + COVER_IN > pot.insideHeightIn + HAIR)) {
    return { fits: false, circles: [], ...(same && { capacity: 0 }), limitedBy: 'depth' };
  }
  const capacity = same ? mostEqual(radius, (first.diameterIn + clearanceIn) / 2) : undefined;
  const circles = capacity === undefined || jars.length <= capacity ? standing(pot, jars) : undefined;
  return {
    fits: circles !== undefined,
    circles: circles ?? [],
    ...(capacity !== undefined && { capacity }),
    limitedBy: 'floor',
  };
}

/** Where jars stand on the floor of a pot, if there is room for all; how tall they are does not matter here. */
export function standing(
  pot: Pick<PotMeasures, 'insideDiameterIn' | 'clearanceIn'>,
  jars: readonly JarMeasures[],
): StandingJar[] | undefined {
  const { insideDiameterIn, clearanceIn = 0 } = pot;
  const radii = jars.map(({ diameterIn }) => (diameterIn + clearanceIn) / 2);
  return placesFor((insideDiameterIn - clearanceIn) / 2, radii)?.map(({ x, y }, i): StandingJar => {
    const { size, diameterIn } = jars[i] as JarMeasures;
    return { x, y, r: diameterIn / 2, size };
  });
}

/** Centres for circles within a circle, if there are any. */
function placesFor(radius: number, radii: readonly number[]): readonly Centre[] | undefined {
  const [first = 0] = radii;
  if (radii.every((other) => other === first)) {
    const ring = ringPlaces(radius, first, radii.length);
    if (ring) return ring;
    const rows = rowPlaces(radius, first);
    if (radii.length > MOST_PACKED) return rows.length >= radii.length ? rows.slice(0, radii.length) : undefined;
  }
  const area = radii.reduce((sum, each) => sum + each * each, 0);
  if (area > radius * radius || Math.max(...radii) > radius) return undefined;
  const packing = packCircles(radii);
  if (packing.radius > radius * (1 + HAIR)) return undefined;
  // Packed as tightly as can be, then let out to the wall, so that the jars stand free.
  const out = Math.min(...packing.centres.map(({ x, y }, i) => roomOut(radius, x, y, radii[i] as number)));
  const spread = Number.isFinite(out) ? Math.max(1, out) : 1;
  return packing.centres.map(({ x, y }) => ({ x: x * spread, y: y * spread }));
}

/** By how much a circle may be moved out from the middle. */
function roomOut(radius: number, x: number, y: number, own: number): number {
  const far = Math.hypot(x, y);
  return far < HAIR ? Infinity : (radius - own) / far;
}

/** One in the centre and the others around it from 12 o'clock clockwise; all around where the centre has no room. */
function ringPlaces(radius: number, own: number, count: number): Centre[] | undefined {
  if (own > radius * (1 + HAIR)) return undefined;
  if (count === 1) return [{ x: 0, y: 0 }];
  const far = radius - own;
  const around = (n: number) => (n < 2 ? far >= 0 : 2 * far * Math.sin(Math.PI / n) >= 2 * own * (1 - HAIR));
  const withCentre = far >= 2 * own * (1 - HAIR) && around(count - 1);
  if (!withCentre && !around(count)) return undefined;
  const inRing = withCentre ? count - 1 : count;
  const ring = Array.from({ length: inRing }, (_, i): Centre => {
    const angle = (2 * Math.PI * i) / inRing;
    return { x: far * Math.sin(angle), y: -far * Math.cos(angle) };
  });
  return withCentre ? [{ x: 0, y: 0 }, ...ring] : ring;
}

/** Rows set in each other, by whichever of four ways to lay them takes the most; from the middle outwards. */
function rowPlaces(radius: number, own: number): Centre[] {
  const beginnings = [
    [0, 0],
    [own, 0],
    [0, (2 * own) / Math.sqrt(3)],
    [own / 2, (own * Math.sqrt(3)) / 2],
  ] as const;
  const rows = Math.ceil(radius / own) + 1;
  let best: Centre[] = [];
  for (const [dx, dy] of beginnings) {
    const places: Centre[] = [];
    for (let row = -rows; row <= rows; row++) {
      for (let k = -rows; k <= rows; k++) {
        const x = dx + 2 * own * k + (row % 2 === 0 ? 0 : own);
        const y = dy + own * Math.sqrt(3) * row;
        if (Math.hypot(x, y) + own <= radius * (1 + HAIR)) places.push({ x, y });
      }
    }
    if (places.length > best.length) best = places;
  }
  return best.sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y));
}

/** How many equal circles go into a circle. */
function mostEqual(radius: number, own: number): number {
  if (own > radius * (1 + HAIR)) return 0;
  let most = Math.max(1, rowPlaces(radius, own).length);
  while (ringPlaces(radius, own, most + 1)) most += 1;
  // More than their area lets in never go.
  const bound = Math.floor((radius / own) ** 2);
  while (
    most < bound &&
    most < MOST_PACKED &&
    placesFor(
      radius,
      Array.from({ length: most + 1 }, () => own),
    )
  )
    most += 1;
  return most;
}
