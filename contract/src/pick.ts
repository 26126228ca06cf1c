import * as v from 'valibot';
import { LEFT_KINDS } from '@hoddle/core/harvest/leftOf';
import { MOST_TOLD, PICK_SOURCES, PLACES, RIPENESSES } from '@hoddle/core/harvest/pick';

import { Crop } from './crop';
import { Id, Time } from './id';
import { AnyKg, SomeKg } from './mass';

export const PlaceSchema = v.picklist(PLACES, `must be one of ${PLACES.join(', ')}`);

/** The body of `POST /api/picks` and `PUT /api/picks/{id}`. */
export const PickSchema = v.pipe(
  v.object({
    id: Id,
    crop: Crop,
    massKg: SomeKg,
    softKg: AnyKg,
    /** Of what is not soft. */
    ripeness: v.optional(v.picklist(RIPENESSES, `must be one of ${RIPENESSES.join(', ')}`), 'ripe'),
    place: PlaceSchema,
    pickedAt: Time,
    told: v.pipe(v.string(), v.trim(), v.maxLength(MOST_TOLD, 'is too long')),
    source: v.optional(v.picklist(PICK_SOURCES, `must be one of ${PICK_SOURCES.join(', ')}`), 'garden'),
    plantingId: v.optional(v.nullable(Id), null),
    /** What a batch left behind, and no harvest. */
    of: v.optional(v.object({ batchId: Id, kind: v.picklist(LEFT_KINDS) })),
  }),
  v.forward(
    v.partialCheck(
      [['massKg'], ['softKg']],
      ({ massKg, softKg }) => softKg <= massKg,
      'must not be more than was picked',
    ),
    ['softKg'],
  ),
);
