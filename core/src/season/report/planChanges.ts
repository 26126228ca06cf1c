import { type ReportedBatch, type SeasonReport } from './seasonReport';

/** One thing that a new plan does otherwise. */
export interface PlanChange {
  readonly kind: 'new' | 'gone' | 'more' | 'fewer' | 'moved';
  readonly batch: ReportedBatch;
  /** Where it is planned now; the day it was on for what is gone. */
  readonly day: string;
  /** Where it was, for what has moved. */
  readonly fromDay?: string;
  /** Jars before, for more and fewer. */
  readonly was?: number;
}

/**
 * What a new plan changes from today on, as a short list in the order of the days. A batch that goes from one day and comes
 * on another has moved. Days gone by are not looked at.
 *
 * @param today "2026-08-22"
 */
export function planChanges(before: SeasonReport, after: SeasonReport, today: string): PlanChange[] {
  const listed = ({ days }: SeasonReport) =>
    days.filter(({ day }) => day >= today).flatMap(({ day, batches }) => batches.map((batch) => ({ day, batch })));
  const [old, next] = [listed(before), listed(after)];
  const same = (a: (typeof old)[number], b: (typeof old)[number]) => a.batch.recipe === b.batch.recipe;
  const gone = old.filter((each) => !next.some((other) => other.day === each.day && same(each, other)));
  const come = next.filter((each) => !old.some((other) => other.day === each.day && same(each, other)));
  const changes: PlanChange[] = next.flatMap(({ day, batch }): PlanChange[] => {
    const was = old.find((each) => each.day === day && each.batch.recipe === batch.recipe)?.batch.jars;
    if (was === undefined || was === batch.jars) return [];
    return [{ kind: batch.jars > was ? 'more' : 'fewer', batch, day, was }];
  });
  const moved = new Set<(typeof old)[number]>();
  for (const each of come) {
    const from = gone.find((other) => !moved.has(other) && same(each, other));
    if (from) moved.add(from);
    changes.push(
      from
        ? { kind: 'moved', batch: each.batch, day: each.day, fromDay: from.day, was: from.batch.jars }
        : { kind: 'new', batch: each.batch, day: each.day },
    );
  }
  for (const each of gone) if (!moved.has(each)) changes.push({ kind: 'gone', batch: each.batch, day: each.day });
  return changes.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
