import { type Batch } from './batch';
import { planDay } from './planDay';
import { type DayQuestion } from './questionOfDay';

/** What would make a day possible that cannot be done as it is. */
export type WayOut =
  | { readonly kind: 'without'; readonly batchId: string }
  | { readonly kind: 'borrow'; readonly likeCannerId: string }
  | { readonly kind: 'earlier'; readonly byMinutes: number };

/** Nodes each try may take. */
const NODES_A_TRY = 400;
/** How much sooner a start is tried, in minutes. */
const EARLIER = [60, 120, 180, 240];

/**
 * Ways out of a day that cannot be done, each tried by a search of its own: only what leads to a plan is told.
 *
 * @returns each try in turn, undefined for one that leads nowhere: whoever asks can stop, or say that it goes on
 */
export function* whatGives(question: DayQuestion): Generator<WayOut | undefined> {
  const { batches, canners, startMinute } = question;
  for (const byMinutes of EARLIER.filter((by) => by <= startMinute)) {
    const found = goes({ ...question, startMinute: startMinute - byMinutes });
    yield found ? { kind: 'earlier', byMinutes } : undefined;
    if (found) break;
  }
  for (const canner of canners) {
    const found = goes({ ...question, canners: [...canners, { ...canner, id: `${canner.id} again` }] });
    yield found ? { kind: 'borrow', likeCannerId: canner.id } : undefined;
    if (found) break;
  }
  if (batches.length < 2) return;
  for (const batch of batches) {
    yield goes({ ...question, batches: others(batches, batch) }) ? { kind: 'without', batchId: batch.id } : undefined;
  }
}

function others(batches: readonly Batch[], batch: Batch): Batch[] {
  return batches.filter((other) => other !== batch);
}

function goes(question: DayQuestion): boolean {
  const planner = planDay(question);
  return planner.kind === 'planner' && planner.step(NODES_A_TRY).plan !== undefined;
}
