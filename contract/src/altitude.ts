import * as v from 'valibot';
import { HIGHEST_ALTITUDE_FT } from '@hoddle/core/measure/altitude';

const RANGE = `must be 0 to ${HIGHEST_ALTITUDE_FT.toLocaleString('en-US')} ft`;

/** A kitchen's altitude in feet. */
export const AltitudeFt = v.pipe(
  v.number('must be a number of feet'),
  v.minValue(0, RANGE),
  v.maxValue(HIGHEST_ALTITUDE_FT, RANGE),
);
