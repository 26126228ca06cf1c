import * as v from 'valibot';
import { MOST_MASS_KG } from '@hoddle/core/harvest/massOf';
import { PLACES } from '@hoddle/core/harvest/pick';
import { Crop } from './crop';
import { Id, Time } from './id';

const Kg = v.pipe(
  v.number('must be a number of kilograms'),
  v.finite('must be finite'),
  v.maxValue(MOST_MASS_KG, 'is more than a household can pick at once'),
);

/** The body of `POST /api/picks`. */
export const PickSchema = v.pipe(
  v.object({
    id: Id,
    crop: Crop,
    massKg: v.pipe(Kg, v.gtValue(0, 'must be above 0')),
    softKg: v.pipe(Kg, v.minValue(0, 'must be 0 or more')),
    place: v.picklist(PLACES, `must be one of ${PLACES.join(', ')}`),
    pickedAt: Time,
    told: v.pipe(v.string(), v.trim(), v.maxLength(80, 'is too long')),
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
