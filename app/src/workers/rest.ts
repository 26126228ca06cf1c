import { type RestQuestion, solveRest } from '@hoddle/core/kitchen/solveRest';
import { type Asked, laidAnd } from './asked';

/** Tells how the rest of a running day goes best. */
export function tellRest(data: Asked<RestQuestion>): void {
  self.postMessage(solveRest(laidAnd(data)));
}
