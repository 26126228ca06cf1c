import { type Response } from 'express';

/** A comment now and then, so that nothing on the way takes the line for dead. */
const ALIVE_MS = 20_000;

/** Tells every open screen of the household that something was written: they ask for the newest state then. */
export class Changes {
  private readonly listeners = new Set<Response>();

  /** Keeps a reply open and writes a line to it at every change: server-sent events. */
  listen(res: Response): void {
    res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' });
    res.write('retry: 1000\n\ndata: here\n\n');
    const alive = setInterval(() => res.write(': alive\n\n'), ALIVE_MS);
    this.listeners.add(res);
    res.once('close', () => {
      clearInterval(alive);
      this.listeners.delete(res);
    });
  }

  /** @param screen the one that wrote, which knows already */
  tell(screen?: string): void {
    const by = screen?.replace(/[^\w-]/g, '') ?? '';
    for (const res of this.listeners) res.write(`data: ${`changed ${by}`.trim()}\n\n`);
  }

  close(): void {
    for (const res of this.listeners) res.end();
  }
}
