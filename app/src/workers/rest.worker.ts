import { type RestQuestion, solveRest } from '@hoddle/core/kitchen/solveRest';
import { type Asked, laidAnd } from './asked';

self.onmessage = ({ data }: MessageEvent<Asked<RestQuestion>>) => {
  self.postMessage(solveRest(laidAnd(data)));
};
