const TRIES = 5;
const FIRST_MS = 60_000;
const LONGEST_MS = 60 * 60_000;

/** An address that is quiet for so long begins anew. */
const FORGET_MS = 24 * 60 * 60_000;

interface Failures {
  count: number;
  until: number;
  last: number;
}

/** Locks out whoever fails too often: five tries, then a minute, doubled with every further failure up to an hour. */
export class Lockout {
  private readonly byAddress = new Map<string, Failures>();

  /** @returns milliseconds until it may try again, 0 when it may */
  waitMs(address: string, now: number): number {
    return Math.max(0, (this.byAddress.get(address)?.until ?? 0) - now);
  }

  failed(address: string, now: number): void {
    for (const [each, { last }] of this.byAddress) if (now - last > FORGET_MS) this.byAddress.delete(each);
    const known = this.byAddress.get(address) ?? { count: 0, until: 0, last: now };
    const count = known.count + 1;
    const lockMs = count < TRIES ? 0 : Math.min(LONGEST_MS, FIRST_MS * 2 ** (count - TRIES));
    this.byAddress.set(address, { count, until: now + lockMs, last: now });
  }

  succeeded(address: string): void {
    this.byAddress.delete(address);
  }
}
