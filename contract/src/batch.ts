import * as v from 'valibot';
import { CARDS } from '@hoddle/core/handbook/cards';
import { POT_OUTPUTS } from '@hoddle/core/recipe/potOutputs';
import { COLD, METHODS } from '@hoddle/core/process/method';
import { AltitudeFt } from './altitude';
import { Crop, Jar, PackSchema, Product } from './crop';
import { Id, oneOfEach, Time } from './id';
import { Ingredients } from './process';

const Kg = v.pipe(v.number(), v.minValue(0, 'must be 0 or more'), v.finite());
const Jars = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(1, 'must be 1 or more'),
  v.maxValue(40, 'must be at most 40'),
);

/** A page of a recipe of the household's own: its UUID, its revision, and of several fillings which. */
const OwnCardId = v.pipe(
  v.string(),
  v.regex(/^own:[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}@\d{1,6}(?:\/[a-z0-9-]{1,40})?$/i, 'is no card'),
);

export const RecipeId = v.union(
  [
    v.picklist(
      CARDS.map(({ card }) => card),
      'is no card of the handbook',
    ),
    OwnCardId,
  ],
  'is no card of the handbook, nor one of the household',
);

const Minutes = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(600));
const Psi = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20));

/** One canner load of a batch. */
export const PlannedLoadSchema = v.object({
  id: Id,
  number: v.pipe(v.number(), v.integer(), v.minValue(1)),
  jars: Jars,
  /** Where it differs from the batch's. */
  cannerId: v.optional(Id),
  /** It goes in with this load of another batch. */
  withLoadId: v.optional(Id),
  /** Its own card, where one covering liquid goes over several fillings. */
  recipe: v.optional(RecipeId),
  /** Its jars are of another size than the batch's, with the time that is tested for those. */
  size: v.optional(v.object({ jar: Jar, processMinutes: Minutes, pressurePsi: v.optional(Psi) })),
});

/** What a batch takes of one basket. */
export const PickUseSchema = v.object({
  pickId: Id,
  crop: v.optional(Crop),
  massKg: Kg,
  softKg: Kg,
  /** What of it lay in the freezer. */
  frozenKg: v.optional(Kg),
});

export const PotOutputSchema = v.picklist(POT_OUTPUTS, 'is nothing that a pot gives');

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
  method: v.picklist([...METHODS, ...COLD], 'is no way of processing that was tested, nor of keeping cold'),
  altitudeFt: AltitudeFt,
  /** 0 for what is kept cold. */
  processMinutes: Minutes,
  /** Pressure canning only. */
  pressurePsi: v.optional(Psi),
  /** Empty for what is kept cold. */
  cannerId: v.union([Id, v.literal('')]),
  startAt: Time,
  /** What goes into the pot, where the cook wrote it down: held against the formula. */
  ingredients: v.optional(Ingredients),
  /** The batch whose unsealed jars are processed again in it. */
  againOf: v.optional(Id),
  /** What is taken off its pot at a step of its own. */
  gives: v.optional(v.pipe(v.array(PotOutputSchema), v.minLength(1), v.maxLength(POT_OUTPUTS.length))),
  /** It is made of what another batch gives, and of no produce of its own. */
  from: v.optional(v.object({ batchId: Id, kind: PotOutputSchema, crop: Crop })),
  uses: v.pipe(v.array(PickUseSchema), v.maxLength(200)),
  loads: v.pipe(
    v.array(PlannedLoadSchema),
    v.minLength(1, 'must hold at least one load'),
    v.maxLength(60, 'are more than one day takes'),
    oneOfEach(),
  ),
});
