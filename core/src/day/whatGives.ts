import { type Batch } from './batch';
import { planDay } from './planDay';
import { type DayQuestion } from './questionOfDay';
import { type Soonest, soonestIn } from './soonestIn';
import { type Wish } from './wish';

/** What would make a day possible that cannot be done as it is. */
export type WayOut =
  | { readonly kind: 'without'; readonly batchId: string }
  | { readonly kind: 'borrow'; readonly likeCannerId: string }
  | { readonly kind: 'earlier'; readonly byMinutes: number }
  /** Without one of the wishes. */
  | { readonly kind: 'unwished'; readonly wish: Wish }
  /** The pinned load can go in then, at the soonest. */
  | ({ readonly kind: 'pin-at'; readonly loadId: string } & Soonest)
  /** All can be over by then. */
  | { readonly kind: 'ready-by'; readonly atMin: number };

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
  const { batches, canners, startMinute, wishes = [], overByMin } = question;
  // What is only wished gives way first.
  for (const wish of wishes) {
    const without = { ...question, wishes: wishes.filter((other) => other !== wish) };
    const found = goes(without);
    yield found ? { kind: 'unwished', wish } : undefined;
    const soonest = found && wish.kind === 'pin' ? soonestIn(question, wish.loadId, wish.atMin) : undefined;
    if (soonest && wish.kind === 'pin') yield { kind: 'pin-at', loadId: wish.loadId, ...soonest };
  }
  if (overByMin !== undefined) {
    const planner = planDay({ ...question, overByMin: undefined });
    const plan = planner.kind === 'planner' ? planner.step(NODES_A_TRY).plan : undefined;
    yield plan && { kind: 'ready-by', atMin: plan.makespanMin };
  }
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
