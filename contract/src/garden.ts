import { PLANTING_UNITS } from '@hoddle/core/handbook/harvestYields';
import * as v from 'valibot';
import { Crop } from './crop';
import { Id, Time } from './id';
import { SomeKg } from './mass';

const Week = v.pipe(
  v.number('must be a week'),
  v.integer('must be a whole week'),
  v.minValue(1, 'must be 1 or more'),
  v.maxValue(52, 'must be at most 52'),
);

/** The body of `PUT /api/plantings/{id}`. The peak lies between the first and the last week, over the turn of the year too. */
export const PlantingSchema = v.pipe(
  v.object({
    id: Id,
    name: v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(40, 'is too long')),
    crop: Crop,
    count: v.pipe(v.number('must be a number'), v.gtValue(0, 'must be above 0'), v.maxValue(10_000, 'is too many')),
    unit: v.picklist(PLANTING_UNITS, `must be one of ${PLANTING_UNITS.join(', ')}`),
    firstWeek: Week,
    peakWeek: Week,
    lastWeek: Week,
    usualKg: v.nullable(SomeKg),
  }),
  v.forward(
    v.partialCheck(
      [['firstWeek'], ['peakWeek'], ['lastWeek']],
      ({ firstWeek, peakWeek, lastWeek }) => weeksOn(firstWeek, peakWeek) + weeksOn(peakWeek, lastWeek) < 40,
      'must lie between the first and the last week',
    ),
    ['peakWeek'],
  ),
);

function weeksOn(from: number, to: number): number {
  return (to - from + 52) % 52;
}

/** The body of `POST /api/garden-looks`. */
export const GardenLookSchema = v.object({
  id: Id,
  plantingId: Id,
  kind: v.picklist(['nothing-ripe', 'finished'], 'must be nothing-ripe or finished'),
  at: Time,
});
