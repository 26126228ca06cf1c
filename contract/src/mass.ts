import { MOST_MASS_KG } from '@hoddle/core/harvest/massOf';
import * as v from 'valibot';

/** Kilograms of produce that one household handles at once. */
export const Kg = v.pipe(
  v.number('must be a number of kilograms'),
  v.finite('must be finite'),
  v.maxValue(MOST_MASS_KG, 'is more than a household can pick at once'),
);

/** Some of it: above none. */
export const SomeKg = v.pipe(Kg, v.gtValue(0, 'must be above 0'));
/** Some of it or none. */
export const AnyKg = v.pipe(Kg, v.minValue(0, 'must be 0 or more'));
