import * as v from 'valibot';
import { HIGHEST_ALTITUDE_FT, HIGHEST_ALTITUDE_M } from '@hoddle/core/measure/altitude';

const RANGE = `must be 0 to ${HIGHEST_ALTITUDE_FT.toLocaleString('en-US')} ft`;
const RANGE_M = `must be 0 to ${HIGHEST_ALTITUDE_M.toLocaleString('en-US')} m`;

/** A kitchen's altitude in feet. */
export const AltitudeFt = v.pipe(
  v.number('must be a number of feet'),
  v.minValue(0, RANGE),
  v.maxValue(HIGHEST_ALTITUDE_FT, RANGE),
);

/** The same in metres; it is converted once, upwards. */
export const AltitudeM = v.pipe(
  v.number('must be a number of metres'),
  v.minValue(0, RANGE_M),
  v.maxValue(HIGHEST_ALTITUDE_M, RANGE_M),
);

const figure = (message: string) =>
  v.pipe(v.string(), v.trim(), v.regex(/^-?\d+(\.\d+)?$/, message), v.transform(Number));

/** Altitudes as they stand in a query. */
export const AltitudeFtText = v.pipe(figure('must be a number of feet'), AltitudeFt);
export const AltitudeMText = v.pipe(figure('must be a number of metres'), AltitudeM);
