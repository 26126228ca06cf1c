import * as v from 'valibot';
import { CROP_IDS } from '@hoddle/core/handbook/crops';
import { BEST_MONTHS } from '@hoddle/core/pantry/keepsUntil';
import { MOST_JARS, MOVEMENT_KINDS, MOVEMENT_WAYS, SEALS } from '@hoddle/core/pantry/jarLot';
import { PLACE_KINDS, USUAL_PLACES } from '@hoddle/core/pantry/place';
import { Jar, Product } from './crop';
import { Day, Id, Time } from './id';

/** One of the places every household has, or one it named itself. */
const PlaceId = v.union([v.picklist(USUAL_PLACES.map(({ id }) => id)), Id], 'must be a place of the household');

export const PlaceSchema = v.object({
  id: PlaceId,
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(40, 'is too long')),
  kind: v.picklist(PLACE_KINDS, `must be one of ${PLACE_KINDS.join(', ')}`),
  /** The day something set aside is for. */
  forDay: v.optional(Day),
  /** Jars that it holds. */
  room: v.optional(v.pipe(v.number('must be a number'), v.integer('must be whole'), v.minValue(1), v.maxValue(5_000))),
});

export const BestMonthsSchema = v.picklist(BEST_MONTHS, 'must be 12 or 18');

const Jars = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(1, 'must be 1 or more'),
  v.maxValue(MOST_JARS, `must be at most ${MOST_JARS.toLocaleString('en-US')}`),
);

export const JarLotSchema = v.object({
  id: Id,
  loadId: v.optional(Id),
  fromLotId: v.optional(Id),
  product: Product,
  /** Id of the card it was made by, and its main crop: what it is called. */
  recipe: v.optional(v.pipe(v.string(), v.maxLength(80))),
  crop: v.optional(v.picklist(CROP_IDS)),
  jar: Jar,
  place: PlaceId,
  seal: v.picklist(SEALS, `must be one of ${SEALS.join(', ')}`),
  madeAt: Time,
  keepsUntil: Time,
  /** When these very jars are ready, where that is told of them. */
  readyAt: v.optional(Time),
});

/** As `GET /api/state` tells it: with what older movements have left in it. */
export const ShelfLotSchema = v.object({ ...JarLotSchema.entries, jarsBefore: v.pipe(v.number(), v.integer()) });

/** The body of `POST /api/movements`. */
export const MovementSchema = v.pipe(
  v.object({
    id: Id,
    lotId: Id,
    kind: v.picklist(MOVEMENT_KINDS, `must be one of ${MOVEMENT_KINDS.join(', ')}`),
    jars: Jars,
    at: Time,
    intoLotId: v.optional(Id),
    toPlace: v.optional(PlaceId),
    undoes: v.optional(Id),
    note: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(120, 'is too long'))),
  }),
  v.forward(
    v.check(
      ({ kind, intoLotId, toPlace }) =>
        (MOVEMENT_WAYS[kind] === 'across') === (intoLotId !== undefined && toPlace !== undefined),
      'goes with toPlace for moved and opened jars, and with no others',
    ),
    ['intoLotId'],
  ),
  v.forward(
    v.check(
      ({ kind, undoes }) => (kind === 'undone') === (undoes !== undefined),
      'goes with undone, and with no other',
    ),
    ['undoes'],
  ),
);

/** Jars that stand on a shelf already, from a file or written down by hand. */
export const JarsInSchema = v.object({
  id: Id,
  rows: v.pipe(
    v.array(v.object({ lot: v.omit(JarLotSchema, ['loadId', 'fromLotId']), jars: Jars })),
    v.minLength(1, 'must hold a lot'),
    v.maxLength(5_000, 'are too many at once'),
  ),
  at: Time,
});
export type JarsIn = v.InferOutput<typeof JarsInSchema>;

/** The reply of `POST /api/jars-in`: lots that are new, and those that were there. */
export const JarsInReply = v.object({ added: v.number(), known: v.number() });
