import { type JarSize } from '../handbook/jars';
import { type CropId } from '../handbook/crops';
import { type ProductId } from '../handbook/products';

/** Sealed as it came off the towel; did not seal, so kept cold; opened since; or made to be kept cold, and never canned. */
export const SEALS = ['sealed', 'unsealed', 'opened', 'cold'] as const;
export type Seal = (typeof SEALS)[number];

/** More jars of one kind than a household has: a slip of the finger. */
export const MOST_JARS = 2_000;

/** Jars of one product and size, made in one load and kept in one place. */
export interface JarLot {
  readonly id: string;
  readonly loadId?: string;
  /** The lot these jars stood in before they were carried elsewhere or opened. */
  readonly fromLotId?: string;
  readonly product: ProductId;
  /** Id of the card it was made by, and its main crop: what it is called. */
  readonly recipe?: string;
  readonly crop?: CropId;
  readonly jar: JarSize;
  /** Id of a {@link PantryPlace}. */
  readonly place: string;
  readonly seal: Seal;
  /** Epoch milliseconds. */
  readonly madeAt: number;
  /** When it is ready, where that is told of these very jars; else by its product. */
  readonly readyAt?: number;
  /** Best by while sealed, use by in the refrigerator, best by in the freezer. */
  readonly keepsUntil: number;
  /** Jars that movements older than the ones at hand have left in it. */
  readonly jarsBefore?: number;
}

/** Which way each kind of movement goes: into its lot, out of it, or out of it into another one. */
export const MOVEMENT_WAYS = {
  stored: 'in',
  returned: 'in',
  found: 'in',
  taken: 'out',
  given: 'out',
  sold: 'out',
  broken: 'out',
  spoiled: 'out',
  discarded: 'out',
  missing: 'out',
  moved: 'across',
  opened: 'across',
  /** Told as gone, and not there: another hand had them before. It stands until somebody has looked. */
  short: 'none',
  undone: 'none',
} as const;
export type MovementKind = keyof typeof MOVEMENT_WAYS;
export const MOVEMENT_KINDS = Object.keys(MOVEMENT_WAYS) as [MovementKind, ...MovementKind[]];

/** Jars in or out of a lot. How many are there is the sum of these; it is never edited in place. */
export interface Movement {
  readonly id: string;
  readonly lotId: string;
  readonly kind: MovementKind;
  /** Whole, above 0; the kind says in which direction. */
  readonly jars: number;
  readonly at: number;
  /** Across: the lot they are in from now on, made by this movement where it was not there, and its place. */
  readonly intoLotId?: string;
  readonly toPlace?: string;
  /** Undone: the movement that is as if it had not been. */
  readonly undoes?: string;
  /** Why, or to whom, in the household's words. */
  readonly note?: string;
}

/** What a movement adds to each lot it touches. */
export function effectsOf({ kind, lotId, jars, intoLotId }: Movement): [lotId: string, jars: number][] {
  const way = MOVEMENT_WAYS[kind];
  if (way === 'none') return [];
  if (way === 'in') return [[lotId, jars]];
  if (way === 'across' && intoLotId !== undefined) {
    return [
      [lotId, -jars],
      [intoLotId, jars],
    ];
  }
  return [[lotId, -jars]];
}

/** The movements that were not undone, without the undoing ones. */
export function standingMovements(movements: readonly Movement[]): Movement[] {
  const undone = new Set(movements.flatMap(({ undoes }) => (undoes === undefined ? [] : [undoes])));
  return undone.size === 0 ? [...movements] : movements.filter(({ id, kind }) => kind !== 'undone' && !undone.has(id));
}

/** Jars in every lot: what was brought forward and the sum of its movements. */
export function jarCounts(lots: readonly JarLot[], movements: readonly Movement[]): Map<string, number> {
  const counts = new Map(lots.map((lot) => [lot.id, lot.jarsBefore ?? 0]));
  for (const movement of standingMovements(movements)) {
    for (const [lotId, jars] of effectsOf(movement)) counts.set(lotId, (counts.get(lotId) ?? 0) + jars);
  }
  return counts;
}
