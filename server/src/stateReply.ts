import { promisify } from 'node:util';
import { constants, gzip } from 'node:zlib';
import { type Request, type Response } from 'express';
import { type Database } from './db/openDatabase';
import { type Snapshot } from './db/stateBook';

const gzipped = promisify(gzip);

/** How far the household's time is: with it a screen sets its clock, whatever else is as it was. */
export const NOW_HEADER = 'x-hoddle-now';

/**
 * Answers with the whole state, or that it is as the asker knows it, or what has changed since. Text and its compressed form are
 * made once for each state, however many ask.
 */
export class StateReply {
  /** Text of a part, as long as the part is what is told. */
  private readonly texts = new WeakMap<object, string>();
  private made: { of: Snapshot; text: string; zipped: Promise<Buffer> } | undefined;

  constructor(private readonly db: Database) {}

  async send(req: Request, res: Response): Promise<void> {
    const { state } = this.db;
    const told = state.told;
    const now = state.now();
    res.set({ [NOW_HEADER]: String(now), 'cache-control': 'private, no-cache', vary: 'Accept-Encoding' });
    res.set('etag', `"${tagOf(told)}"`);
    if (isKnown(req, told)) return void res.status(304).end();
    const missed = changesSince(this.db, req.query.since);
    if (missed) return void res.json({ now, changes: missed });
    const { text, zipped } = this.make(told, now);
    res.type('json');
    if (!req.acceptsEncodings('gzip')) return void res.send(text);
    res.set('content-encoding', 'gzip');
    res.end(await zipped);
  }

  private make(told: Snapshot, now: number) {
    if (this.made?.of === told) return this.made;
    const parts = Object.entries(told.parts).map(([part, value]) => `${JSON.stringify(part)}:${this.textOf(value)}`);
    const text = `{"now":${now},${parts.join(',')}}`;
    // Fast rather than small: a write may come every second.
    const zipped = gzipped(text, { level: constants.Z_BEST_SPEED });
    return (this.made = { of: told, text, zipped });
  }

  private textOf(value: unknown): string {
    if (typeof value !== 'object' || value === null) return JSON.stringify(value);
    const known = this.texts.get(value);
    if (known !== undefined) return known;
    const text = JSON.stringify(value);
    this.texts.set(value, text);
    return text;
  }
}

function tagOf({ epoch, revision }: { epoch: string; revision: number }): string {
  return `${epoch}.${revision}`;
}

/** Whether what the asker knows is what is told. A proxy on the way may have marked its tag as a weak one. */
function isKnown(req: Request, told: Snapshot): boolean {
  const tags = (req.get('if-none-match') ?? '').split(',').map((tag) => tag.trim().replace(/^W\//, ''));
  return tags.includes(`"${tagOf(told)}"`);
}

function changesSince({ state }: Database, since: unknown) {
  if (typeof since !== 'string') return undefined;
  const [epoch = '', revision = ''] = since.split('.');
  return /^\d{1,15}$/.test(revision) ? state.since(epoch, Number(revision)) : undefined;
}
