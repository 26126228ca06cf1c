import { curveVerdict, type CurveVerdict, type LoadCurve } from './loadCurve';
import { type LoadOrder, type LoadState } from './loadState';

/** Why jars of a load do not go to the shelf, or not unasked. */
export type NotForShelf =
  /** A probe began its clock, and nobody has said that it boils. */
  | { readonly kind: 'unseen' }
  /** Its curve lay under what is asked in the tested time. */
  | { readonly kind: 'short'; readonly short: NonNullable<CurveVerdict['short']> };

/** What stands between the jars of a load and the shelf, by how its clock was begun and by what was read in its canner. */
export function notForShelf(order: LoadOrder, state: LoadState, curve: LoadCurve | undefined): NotForShelf | undefined {
  if (state.unseen) return { kind: 'unseen' };
  const short = curve && curveVerdict(curve, order, state)?.short;
  return short && { kind: 'short', short };
}
