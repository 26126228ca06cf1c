import * as v from 'valibot';
import { MOVEMENT_KINDS } from '@hoddle/core/pantry/jarLot';
import { Jar, Product } from './crop';
import { Id, Time } from './id';

export const JarLotSchema = v.object({
  id: Id,
  loadId: v.optional(Id),
  product: Product,
  jar: Jar,
  place: v.picklist(['shelf', 'refrigerator']),
  madeAt: Time,
  keepsUntil: Time,
});

/** The body of `POST /api/movements`. */
export const MovementSchema = v.object({
  id: Id,
  lotId: Id,
  kind: v.picklist(MOVEMENT_KINDS),
  jars: v.pipe(v.number(), v.integer('must be whole'), v.minValue(1, 'must be 1 or more'), v.maxValue(2_000)),
  at: Time,
});
