import { type Request, type Response } from 'express';
import { type Database } from './db/openDatabase';
import { type Snapshot } from './db/stateBook';
import { gzipBehind, type Zipped, zip } from './gzipParts';

/** How far the household's time is: with it a screen sets its clock, whatever else is as it was. */
const NOW_HEADER = 'x-hoddle-now';

/** That something in the file is damaged or lost: every screen says so, Files says what. */
const DAMAGE_HEADER = 'x-hoddle-damage';

function isDamaged({ setAside, commitsLost, health }: Database): boolean {
  return setAside.length > 0 || commitsLost > 0 || health().file === 'damaged' || health().file === 'gone';
}

/**
 * Answers with the whole state, or that it is as the asker knows it, or what has changed since. Text and its compressed form are
 * made once for each state, however many ask.
 */
export class StateReply {
  /** Text of a part, as long as the part is what is told. */
  private readonly texts = new WeakMap<object, string>();
  private made: { of: Snapshot; text: string; zipped: Promise<Zipped> } | undefined;

  constructor(private readonly db: Database) {}

  async send(req: Request, res: Response): Promise<void> {
    const { state } = this.db;
    const told = state.told;
    const now = state.now();
    res.set({ [NOW_HEADER]: String(now), 'cache-control': 'private, no-cache', vary: 'Accept-Encoding' });
    if (isDamaged(this.db)) res.set(DAMAGE_HEADER, 'yes');
    res.set('etag', `"${tagOf(told)}"`);
    if (isKnown(req, told)) return void res.status(304).end();
    const missed = changesSince(this.db, req.query.since);
    if (missed) return void res.json({ now, changes: missed });
    const { text, zipped } = this.make(told);
    res.type('json');
    // The time is of this moment, the rest is as it was made.
    const fresh = `{"now":${now},`;
    if (!req.acceptsEncodings('gzip')) return void res.end(fresh + text);
    res.set('content-encoding', 'gzip');
    res.end(gzipBehind(fresh, await zipped));
  }

  private make(told: Snapshot) {
    if (this.made?.of === told) return this.made;
    const parts = Object.entries(told.parts).map(([part, value]) => `${JSON.stringify(part)}:${this.textOf(value)}`);
    const text = `${parts.join(',')}}`;
    const zipped = zip(text);
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
  const found = typeof since === 'string' ? /^([\w-]+)\.(\d{1,15})$/.exec(since) : null;
  return found?.[1] === undefined ? undefined : state.since(found[1], Number(found[2]));
}
