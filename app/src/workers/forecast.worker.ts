import { type ForecastQuestion, forecastShelf } from '@hoddle/core/pantry/forecast';
import { type Asked, laidAnd } from './asked';

self.onmessage = ({ data }: MessageEvent<Asked<ForecastQuestion>>) => {
  self.postMessage(forecastShelf(laidAnd(data)));
};
