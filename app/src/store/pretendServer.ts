import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange } from '@hoddle/contract/stateChange';
import { EMPTY_HOUSEHOLD } from './emptyHousehold';
import { applyWrite, requestOf, type Write } from './write';

interface Answer {
  readonly status: number;
  readonly body?: unknown;
  readonly headers?: Record<string, string>;
}

/** How a request ends: as it should, without reaching the server, without its reply coming back, or with another answer. */
export type Fate = 'goes' | 'lost' | 'reply-lost' | Answer;

/**
 * A household's server for tests of the page: keeps each write once, tells its state by revisions, and does with each request
 * what it is told to.
 */
export function pretendServer(fateOf: (method: string, path: string) => Fate = () => 'goes') {
  const server = {
    fateOf,
    epoch: 'a',
    revision: 1,
    state: EMPTY_HOUSEHOLD,
    /** Requests as they came, writes and reads. */
    asked: [] as string[],
    /** Ids of what was kept, in the order it came; how often each was sent. */
    kept: [] as string[],
    posts: 0,
    changes: [] as StateChange[],
    restart() {
      server.epoch += 'b';
      server.changes = [];
    },
  };
  const seen = new Set<string>();
  const keep = (write: Write, id: string) => {
    if (seen.has(id)) return;
    seen.add(id);
    server.kept.push(id);
    const before = server.state;
    server.state = applyWrite(before, write);
    server.revision += 1;
    const parts = Object.entries(server.state).filter(
      ([part, value]) => before[part as keyof HouseholdState] !== value,
    );
    const { epoch, revision } = server;
    server.changes.push({ epoch, from: revision - 1, revision, rows: {}, parts: Object.fromEntries(parts) });
  };
  const read = (path: string): Answer => {
    const tag = `${server.epoch}.${server.revision}`;
    const headers = { etag: `"${tag}"`, 'x-hoddle-now': String(Date.now()) };
    const [epoch, revision] = (/since=(.*)/.exec(path)?.[1] ?? '').split('.');
    const isKnown = epoch === server.epoch;
    if (isKnown && Number(revision) === server.revision) return { status: 304, headers };
    const missed = server.changes.filter((change) => change.revision > Number(revision));
    if (isKnown && missed[0]?.from === Number(revision)) {
      return { status: 200, headers, body: { now: Date.now(), changes: missed } };
    }
    return { status: 200, headers, body: server.state };
  };
  globalThis.fetch = (async (address: string, init: { method: string; body?: string }) => {
    const path = address.replace('/api', '');
    server.asked.push(`${init.method} ${path}`);
    const fate = server.fateOf(init.method, path);
    if (fate === 'lost') throw new TypeError('network');
    if (typeof fate === 'object') return replyOf(fate);
    if (init.method === 'GET') return replyOf(read(path));
    server.posts += 1;
    const body = init.body === undefined ? undefined : (JSON.parse(init.body) as { id?: string });
    const write = writeOf(path, body);
    if (write) keep(write, body?.id ?? path);
    if (fate === 'reply-lost') throw new TypeError('network');
    const headers = { 'x-hoddle-revision': `${server.epoch}.${server.revision}` };
    return replyOf({ status: 201, body, headers });
  }) as never;
  return server;
}

function replyOf({ status, body, headers = {} }: Answer) {
  const reply = {
    ok: status < 400 && status !== 304,
    status,
    headers: new Headers({ 'x-hoddle': '1', ...headers }),
    json: async () => body,
    clone: () => reply,
  };
  return reply;
}

/** Back from what is sent to what was entered, for the kinds that tests enter. */
function writeOf(path: string, body: unknown): Write | undefined {
  const candidates = [
    { kind: 'pick', pick: body },
    { kind: 'movement', movement: body },
    { kind: 'lot-change', change: body },
    { kind: 'household', household: body },
  ] as Write[];
  return candidates.find((write) => requestOf(write).path === path);
}
