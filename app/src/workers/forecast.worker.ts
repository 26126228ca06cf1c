import { type ForecastQuestion, forecastShelf } from '@hoddle/core/pantry/forecast';

self.onmessage = ({ data }: MessageEvent<ForecastQuestion>) => {
  self.postMessage(forecastShelf(data));
};
