import { type Response } from 'express';
import { type StateChange } from '@hoddle/contract/stateChange';
import { Problem } from './problem';

/** A comment now and then, so that nothing on the way takes the line for dead. */
const ALIVE_MS = 20_000;

/** A browser keeps six lines to one address; a household has a few browsers. */
const MOST_OF_ONE = 24;
const MOST = 200;

/** A screen that reads so slowly is behind for good: it asks anew. */
const MOST_UNREAD = 4 * 1_024 * 1_024;

interface Listener {
  readonly res: Response;
  readonly address: string;
  /** The device that listens, where it is not this machine. */
  readonly device?: string;
}

/** Tells every open screen of the household what was written: they need not ask. */
export class Changes {
  private readonly listeners = new Set<Listener>();
  /** What was last said under a name: who begins to listen hears it too. */
  private readonly said = new Map<string, string>();
  private stop: (() => void) | undefined;

  /** @param follow begins to hear of changes; nothing is worked out while nobody listens */
  constructor(private readonly follow: (tell: (change: StateChange) => void) => () => void) {}

  /**
   * Keeps a reply open and writes a line to it at every change: server-sent events.
   *
   * @throws Problem 429 when so many are open that somebody has gone wild
   */
  listen(res: Response, address: string, device?: string): void {
    const own = [...this.listeners].filter((each) => each.address === address).length;
    if (own >= MOST_OF_ONE || this.listeners.size >= MOST) {
      throw new Problem(429, 'too-many', 'Too many screens listen already. Close some.');
    }
    const listener: Listener = { res, address, ...(device !== undefined && { device }) };
    res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' });
    res.write('retry: 1000\n\ndata: here\n\n');
    for (const [name, data] of this.said) res.write(`event: ${name}\ndata: ${data}\n\n`);
    const alive = setInterval(() => res.write(': alive\n\n'), ALIVE_MS);
    this.listeners.add(listener);
    this.stop ??= this.follow((change) => this.tell(change));
    res.once('close', () => {
      clearInterval(alive);
      this.listeners.delete(listener);
      if (this.listeners.size > 0) return;
      this.stop?.();
      this.stop = undefined;
    });
  }

  /** Says something of this moment that nobody keeps, under a name of its own. @param data one line */
  say(name: string, data: string): void {
    this.said.set(name, data);
    this.send(`event: ${name}\ndata: ${data}\n\n`);
  }

  private tell(change: StateChange): void {
    this.send(`data: ${JSON.stringify(change)}\n\n`);
  }

  private send(line: string): void {
    for (const { res } of this.listeners) {
      if (res.writableLength > MOST_UNREAD) res.destroy();
      else res.write(line);
    }
  }

  /** A device that may not come in any more hears nothing more. */
  hangUp(device: string): void {
    for (const listener of this.listeners) if (listener.device === device) listener.res.end();
  }

  get open(): number {
    return this.listeners.size;
  }

  close(): void {
    for (const { res } of this.listeners) res.end();
  }
}
