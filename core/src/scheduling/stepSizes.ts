import { type Outcome } from './learningSearch';

/** Part of the tasks that a neighbourhood sets free. */
const FREED = { first: 0.2, least: 0.08, most: 0.6, larger: 1.25, smaller: 0.9 };

/** Part of the way from the bound to the best schedule that a try for a higher bound takes, and how that changes. */
const REACH = { first: 0.25, most: 0.5, longer: 1.5, shorter: 0.65 };

/** How far the search dares to go at once, by how its last tries ended. */
export class StepSizes {
  freed = FREED.first;
  reach = REACH.first;

  /** What is searched through was too small a neighbourhood, what stays open too large a one. */
  afterNeighbourhood(outcome: Outcome): void {
    if (outcome === 'found') return;
    const next = this.freed * (outcome === 'impossible' ? FREED.larger : FREED.smaller);
    this.freed = Math.min(FREED.most, Math.max(FREED.least, next));
  }

  /** Further after each bound that was proven, less far after each try that stays open. */
  afterBound(outcome: Outcome): void {
    this.reach = Math.min(REACH.most, this.reach * (outcome === 'impossible' ? REACH.longer : REACH.shorter));
  }
}
