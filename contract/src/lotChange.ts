import { LOT_CHANGE_KINDS } from '@hoddle/core/harvest/lotChange';
import * as v from 'valibot';
import { Id, Time } from './id';
import { SomeKg } from './mass';
import { PlaceSchema } from './pick';

/** The body of `POST /api/lot-changes`: part of a lot ended, was carried elsewhere or was sorted out as soft. */
export const LotChangeSchema = v.pipe(
  v.object({
    id: Id,
    pickId: Id,
    part: v.picklist(['sound', 'soft'], 'must be sound or soft'),
    from: PlaceSchema,
    kind: v.picklist(LOT_CHANGE_KINDS, `must be one of ${LOT_CHANGE_KINDS.join(', ')}`),
    to: v.nullable(PlaceSchema),
    massKg: SomeKg,
    at: Time,
  }),
  v.forward(
    v.partialCheck(
      [['kind'], ['from'], ['to']],
      ({ kind, from, to }) => (kind === 'moved' ? to !== null && to !== from : to === null),
      'must be another place for what is moved, and null for all else',
    ),
    ['to'],
  ),
);
