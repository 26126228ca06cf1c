import pluralize from 'pluralize';
import { UNITS } from '../measure/amount';

/** Several of a measure, as it is said: "gallon bags", "half bushels", "colanders". */
export function severalOf(measure: string): string {
  const unit = Object.values(UNITS).find(({ one }) => one === measure);
  return unit?.several ?? pluralize(measure);
}
