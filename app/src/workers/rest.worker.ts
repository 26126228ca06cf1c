import { type RestQuestion, solveRest } from '@hoddle/core/kitchen/solveRest';

self.onmessage = ({ data }: MessageEvent<RestQuestion>) => {
  self.postMessage(solveRest(data));
};
