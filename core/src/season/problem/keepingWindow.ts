import { type Arrival, type SeasonDay } from './seasonProblem';

/** Where an arrival has waited when a day takes it; undefined where it is not there yet or no longer good. */
export function keptFor(arrival: Arrival, day: SeasonDay): 'place' | 'refrigerator' | undefined {
  if (day.at < arrival.readyAt || day.at > arrival.coldUntil) return undefined;
  // What is in the freezer waits for a quiet day.
  if (arrival.frozen && !day.quiet) return undefined;
  return day.at <= arrival.until ? 'place' : 'refrigerator';
}

/** Whether it stands in the refrigerator on a day, if it is taken on a later one. */
export function coldOn(arrival: Arrival, day: SeasonDay, taken: SeasonDay): boolean {
  return keptFor(arrival, taken) === 'refrigerator' && day.at >= arrival.readyAt && day.at < taken.at;
}
