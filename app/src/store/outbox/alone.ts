import { v7 as uuidV7 } from 'uuid';
import { browserFile } from '../kept/browserFile';

/** A tab that died holds what it held no longer than this. */
const LEASE_MS = 15_000;
const LOOK_MS = 500;
/** Nothing that is done alone takes this long. */
const STUCK_MS = 20_000;
const TAB = uuidV7();

/**
 * Does something in one tab at a time. Browsers lock only for pages that came over https or from this machine; for others a
 * note in this browser's own database says who is at it, and until when.
 */
export async function alone(name: string, work: () => Promise<void>): Promise<void> {
  if (typeof navigator !== 'undefined' && navigator.locks) return locked(name, work);
  const fact = `lease ${name}`;
  while (!(await take(fact))) await new Promise((later) => setTimeout(later, LOOK_MS));
  const renewal = setInterval(() => void take(fact), LEASE_MS / 3);
  try {
    await work();
  } finally {
    clearInterval(renewal);
    await giveBack(fact);
  }
}

async function locked(name: string, work: () => Promise<void>): Promise<void> {
  let began = false;
  const signal = AbortSignal.timeout(STUCK_MS);
  try {
    await navigator.locks.request(name, { signal }, async () => {
      began = true;
      await work();
    });
  } catch (error) {
    if (began && error instanceof DOMException && error.name === 'AbortError') return; // another tab took it over
    if (began) throw error;
    // A tab that sleeps holds it: what it has sent by half is sent once more, which does no harm.
    await navigator.locks.request(name, { steal: true }, work);
  }
}

interface Lease {
  readonly tab: string;
  readonly until: number;
}

/** Takes or renews it, in one transaction. @returns false where another tab has it */
async function take(fact: string): Promise<boolean> {
  const file = await browserFile();
  if (!file) return true;
  try {
    const work = file.transaction('facts', 'readwrite');
    const lease = (await work.store.get(fact)) as Lease | undefined;
    const isFree = !lease || lease.tab === TAB || lease.until < Date.now() || lease.until > Date.now() + 2 * LEASE_MS;
    if (isFree) await work.store.put({ tab: TAB, until: Date.now() + LEASE_MS }, fact);
    await work.done;
    return isFree;
  } catch {
    return true;
  }
}

async function giveBack(fact: string): Promise<void> {
  const file = await browserFile();
  await file?.delete('facts', fact).catch(() => undefined);
}
