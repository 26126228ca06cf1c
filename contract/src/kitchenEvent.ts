import * as v from 'valibot';
import { Id, Time } from './id';

const common = { id: Id, loadId: Id, at: Time };

/** The body of `POST /api/kitchen/events`. */
export const KitchenEventSchema = v.variant('type', [
  v.object({
    ...common,
    type: v.literal('load-started'),
    jars: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(40)),
    cannerId: v.optional(Id),
  }),
  v.object({ ...common, type: v.literal('boil-reached') }),
  v.object({ ...common, type: v.literal('boil-lost') }),
  v.object({ ...common, type: v.literal('heat-off') }),
  v.object({ ...common, type: v.literal('jars-out') }),
  v.object({
    ...common,
    type: v.literal('seal-checked'),
    sealed: v.pipe(v.array(v.boolean()), v.minLength(1), v.maxLength(40)),
    sealedLotId: Id,
    unsealedLotId: Id,
  }),
]);
