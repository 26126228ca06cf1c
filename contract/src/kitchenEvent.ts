import * as v from 'valibot';
import { METHODS } from '@hoddle/core/process/method';
import { Id, Time } from './id';

const common = { id: Id, loadId: Id, at: Time };

/** The minutes the table asked for then; the server's own look-up rules where it is longer. */
const Tested = v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(600)));

/** The body of `POST /api/kitchen/events`. */
export const KitchenEventSchema = v.variant('type', [
  v.object({
    ...common,
    type: v.literal('load-started'),
    jars: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(40)),
    cannerId: v.optional(Id),
    way: v.optional(v.picklist(METHODS, 'is no way of processing that was tested')),
    lids: v.optional(v.picklist(['single-use', 'reusable'])),
  }),
  v.object({
    ...common,
    type: v.literal('machine-started'),
    minutes: v.pipe(v.number('must be a number of minutes'), v.minValue(1), v.maxValue(600, 'must be at most 600')),
    tested: Tested,
  }),
  v.object({ ...common, type: v.literal('venting-started') }),
  v.object({
    ...common,
    type: v.literal('boil-reached'),
    sure: v.optional(v.literal(true)),
    tested: Tested,
    by: v.optional(v.literal('probe')),
  }),
  v.object({ ...common, type: v.literal('boil-seen') }),
  v.object({ ...common, type: v.literal('boil-lost') }),
  v.object({ ...common, type: v.literal('heat-off'), tested: Tested }),
  v.object({ ...common, type: v.literal('pressure-down') }),
  v.object({ ...common, type: v.literal('jars-out') }),
  v.object({
    ...common,
    type: v.literal('jars-left'),
    jars: v.pipe(v.number(), v.integer(), v.minValue(0, 'must be 0 or more'), v.maxValue(40)),
  }),
  v.object({
    ...common,
    type: v.literal('kept-cold'),
    jars: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(40)),
    lotId: Id,
  }),
  v.object({
    ...common,
    type: v.literal('taken-back'),
    eventId: Id,
    sure: v.optional(v.literal(true)),
  }),
  v.object({
    ...common,
    type: v.literal('seal-checked'),
    sealed: v.pipe(v.array(v.boolean()), v.maxLength(40)),
    sealedLotId: Id,
    unsealedLotId: Id,
    curveSeen: v.optional(v.literal(true)),
    unsealed: v.optional(v.picklist(['refrigerator', 'reprocess'])),
  }),
]);
