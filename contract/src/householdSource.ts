import * as v from 'valibot';
import { SOURCE_KINDS } from '@hoddle/core/process/householdSource';
import { METHODS } from '@hoddle/core/process/method';
import { Jar, PackSchema } from './crop';
import { Id } from './id';

const Line = (most: number) => v.pipe(v.string('is missing'), v.trim(), v.maxLength(most, 'is too long'));

/** The minutes a page gives, altitude band by altitude band, and the pressure where there is one. */
export const SourceBands = v.pipe(
  v.array(
    v.object({
      upToFt: v.nullable(v.pipe(v.number(), v.gtValue(0))),
      minutes: v.pipe(v.number('must be a number of minutes'), v.integer('must be whole'), v.maxValue(600)),
      pressurePsi: v.optional(v.pipe(v.number('must be a number of psi'), v.gtValue(0), v.maxValue(20))),
    }),
  ),
  v.maxLength(5, 'are too many'),
);

/** The body of `POST /api/sources`. What it may say is held against the handbook's rules by the server. */
export const HouseholdSourceSchema = v.object({
  id: Id,
  title: Line(120),
  kind: v.picklist(SOURCE_KINDS, `must be one of ${SOURCE_KINDS.join(', ')}`),
  page: Line(40),
  product: Line(80),
  lowAcid: v.boolean('must be true or false'),
  pack: PackSchema,
  jar: Jar,
  method: v.picklist(METHODS, `must be one of ${METHODS.join(', ')}`),
  headspaceIn: v.pipe(
    v.number('must be a number of inches'),
    v.minValue(0.125, 'must be 1/8 in or more'),
    v.maxValue(2),
  ),
  bands: SourceBands,
});
