import { type Failure, send } from '../api';
import { alone } from './alone';
import { backoffMs, nextToSend } from './nextToSend';
import { changeInOutbox, readOutbox } from './outboxFile';
import { type OutboxRow } from './outboxRow';
import { tellTabs } from './tabs';

/** So many different things in a row that the server could not keep, and it is the server. */
const MOST_TROUBLES = 3;

/** How a run through the outbox ended. */
export interface Sent {
  /** Entries the server answered, yes or no. */
  readonly answered: number;
  /** Why it stopped before its end. */
  readonly failure?: Failure;
  /** When one of those that are left may be tried again, epoch milliseconds of this device. */
  readonly nextAt?: number;
}

/**
 * Sends what waits, in one tab at a time, oldest first, each until the server has answered it. One that the server cannot keep
 * waits for its own next try and holds up only what is about the same things.
 *
 * @param onChange told after each answer
 */
export async function sendOutbox(onChange: () => Promise<void>): Promise<Sent> {
  let sent: Sent = { answered: 0 };
  await alone('hoddle-outbox', async () => {
    sent = await sendAll(onChange);
  });
  return sent;
}

async function sendAll(onChange: () => Promise<void>): Promise<Sent> {
  let [answered, troubles] = [0, 0];
  for (;;) {
    const next = nextToSend(await readOutbox(), Date.now());
    if (next === undefined) return { answered };
    if ('at' in next) return { answered, nextAt: next.at };
    const { row } = next;
    const result = await send(row.write);
    if (result.kind === 'trouble') {
      troubles += 1;
      const waitMs = Math.max(result.waitMs ?? 0, backoffMs(row.tries + 1, Math.random()));
      const later = { tries: row.tries + 1, trouble: result.message, nextAt: Date.now() + waitMs };
      await changed(row, later, onChange);
      if (troubles >= MOST_TROUBLES) return { answered, failure: result };
    } else if (result.kind === 'kept') {
      answered += 1;
      await changed(row, { sent: result.tag }, onChange);
    } else if (result.kind === 'refused') {
      answered += 1;
      const { code, message } = result;
      await changed(row, { refused: { code, message, at: Date.now() } }, onChange);
    } else {
      return { answered, failure: result };
    }
  }
}

async function changed(row: OutboxRow, by: Partial<OutboxRow>, onChange: () => Promise<void>): Promise<void> {
  // Somebody may have given it up meanwhile: then it is gone, and stays so.
  await changeInOutbox(row.seq, (now) => ({ ...withoutTrouble(now), ...by }));
  tellTabs('outbox');
  await onChange();
}

/** Without why it was not kept last: it was answered since. */
function withoutTrouble({ trouble: _, nextAt: __, ...row }: OutboxRow): OutboxRow {
  return row;
}
