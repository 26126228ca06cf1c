import * as v from 'valibot';
import { CARDS } from '@hoddle/core/handbook/cards';
import { METHODS } from '@hoddle/core/process/method';
import { AltitudeFt } from './altitude';
import { Crop, Jar, PackSchema, Product } from './crop';
import { Id, Time } from './id';
import { Ingredients } from './process';

const Kg = v.pipe(v.number(), v.minValue(0, 'must be 0 or more'), v.finite());
const Jars = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(1, 'must be 1 or more'),
  v.maxValue(40, 'must be at most 40'),
);

/** One canner load of a batch. */
export const PlannedLoadSchema = v.object({
  id: Id,
  number: v.pipe(v.number(), v.integer(), v.minValue(1)),
  jars: Jars,
  /** Where it differs from the batch's. */
  cannerId: v.optional(Id),
  /** It goes in with this load of another batch. */
  withLoadId: v.optional(Id),
});

export const RecipeId = v.picklist(
  CARDS.map(({ card }) => card),
  'is no card of the handbook',
);

/** What a batch takes of one basket. */
export const PickUseSchema = v.object({ pickId: Id, crop: v.optional(Crop), massKg: Kg, softKg: Kg });

/** The body of `POST /api/batches`. The minutes are held against the handbook by the server. */
export const BatchSchema = v.object({
  id: Id,
  product: Product,
  /** Id of the card it is made by. */
  recipe: v.optional(RecipeId),
  /** Optional steps that are left out. */
  without: v.optional(v.pipe(v.array(v.pipe(v.string(), v.maxLength(60))), v.maxLength(20))),
  jar: Jar,
  pack: PackSchema,
  method: v.picklist(METHODS, 'is no way of processing that was tested'),
  altitudeFt: AltitudeFt,
  processMinutes: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(600)),
  /** Pressure canning only. */
  pressurePsi: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20))),
  cannerId: Id,
  startAt: Time,
  /** What goes into the pot, where the cook wrote it down: held against the formula. */
  ingredients: v.optional(Ingredients),
  /** The batch whose unsealed jars are processed again in it. */
  againOf: v.optional(Id),
  uses: v.pipe(v.array(PickUseSchema), v.maxLength(200)),
  loads: v.pipe(
    v.array(PlannedLoadSchema),
    v.minLength(1, 'must hold at least one load'),
    v.maxLength(60, 'are more than one day takes'),
  ),
});
