import { type Transaction } from 'sequelize';
import { kitchenOf } from '@hoddle/core/day/kitchenOf';
import { type Batch } from '@hoddle/core/day/batch';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { heldBack } from '@hoddle/core/kitchen/heldBack';
import { heldBackWords } from '@hoddle/core/kitchen/heldBackWords';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { runningDay } from '@hoddle/core/kitchen/runningDay';
import { type Clock } from '../clock';
import { type Database } from '../db/openDatabase';
import { readBatchesNow, readDayEvents, readEvents, readHousehold, readSettings } from '../db/readState';
import { Problem } from '../problem';

/** What happened is kept however late it is told; what happens now can still be stopped. */
const JUST_NOW_MS = 10 * 60_000;

/** Days are told by the kitchen's own calendar, which the server does not know: near enough is a day's length. */
const NEAR_MS = 36 * 60 * 60_000;

const KINDS = ['load-started', 'kept-cold', 'step-started', 'clock-started', 'step-done', 'done-before'];
const CODES = { before: 'comes-before', left: 'not-over', 'too-old': 'too-old' } as const;

/** Whether something happens now, by the server's clock, and is not told of hours ago. */
export async function isJustNow(db: Database, clock: Clock, { at }: { readonly at: number }): Promise<boolean> {
  const { demoOffsetMs } = readHousehold(db);
  return clock.now(demoOffsetMs) - at < JUST_NOW_MS;
}

/**
 * Steps are done in their order, whoever tells them.
 *
 * @throws Problem 422 where a step is begun now before what it waits for is over, or a wait ended with time left unasked
 */
export async function holdInOrder(
  db: Database,
  clock: Clock,
  event: DayEvent | KitchenEvent,
  transaction: Transaction,
): Promise<void> {
  if (!KINDS.includes(event.type) || !(await isJustNow(db, clock, event))) return;
  const isNear = ({ startAt }: Batch) => Math.abs(startAt - event.at) <= NEAR_MS;
  const isOwn = ({ loads }: Batch) => 'loadId' in event && loads.some(({ id }) => id === event.loadId);
  const all = await readBatchesNow(db, transaction);
  const batches = all.filter((batch) => isNear(batch) || isOwn(batch));
  if (batches.length === 0) return;
  const others = <Event extends { readonly id: string }>(told: readonly Event[]) =>
    told.filter(({ id }) => id !== event.id);
  const running = runningDay(
    batches,
    kitchenOf(readSettings(db)),
    others(await readEvents(db, transaction)),
    others(await readDayEvents(db, transaction)),
    Math.min(...batches.map(({ startAt }) => startAt)),
  );
  const held = heldBack(event, running);
  if (held) throw new Problem(422, CODES[held.kind], heldBackWords(held));
}
