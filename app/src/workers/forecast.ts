import { type ForecastQuestion, forecastShelf } from '@hoddle/core/pantry/forecast';
import { type Asked, laidAnd } from './asked';

/** Tells when each product runs out. */
export function tellForecast(data: Asked<ForecastQuestion>): void {
  self.postMessage(forecastShelf(laidAnd(data)));
}
