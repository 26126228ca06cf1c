import { type Batch } from './batch';
import { type DayQuestion, planDay } from './planDay';

/** What would make a day possible that cannot be done as it is. */
export type WayOut =
  | { readonly kind: 'without'; readonly batchId: string }
  | { readonly kind: 'borrow'; readonly likeCannerId: string }
  | { readonly kind: 'earlier'; readonly byMinutes: number };

/** Nodes each try may take. */
const NODES_A_TRY = 400;
/** How much sooner a start is tried, in minutes. */
const EARLIER = [60, 120, 180, 240];

/** Ways out of a day that cannot be done, each tried by a search of its own: only what leads to a plan is told. */
export function whatGives(question: DayQuestion): WayOut[] {
  const { batches, canners, startMinute } = question;
  const earlier = EARLIER.find(
    (byMinutes) => byMinutes <= startMinute && goes({ ...question, startMinute: startMinute - byMinutes }),
  );
  const borrowed = canners.find((canner) =>
    goes({ ...question, canners: [...canners, { ...canner, id: `${canner.id} again` }] }),
  );
  const without =
    batches.length < 2 ? [] : batches.filter((batch) => goes({ ...question, batches: others(batches, batch) }));
  return [
    ...(earlier === undefined ? [] : [{ kind: 'earlier', byMinutes: earlier } as const]),
    ...(borrowed === undefined ? [] : [{ kind: 'borrow', likeCannerId: borrowed.id } as const]),
    ...without.map(({ id }) => ({ kind: 'without', batchId: id }) as const),
  ];
}

function others(batches: readonly Batch[], batch: Batch): Batch[] {
  return batches.filter((other) => other !== batch);
}

function goes(question: DayQuestion): boolean {
  const planner = planDay(question);
  return planner.kind === 'planner' && planner.step(NODES_A_TRY).plan !== undefined;
}
