import { ApiError } from '@hoddle/contract/apiError';
import { HouseholdState } from '@hoddle/contract/householdState';
import { StateChanges, withChange } from '@hoddle/contract/stateChange';
import { v7 as uuidV7 } from 'uuid';
import * as v from 'valibot';
import { type ClockSample, sampleOf } from './householdClock';
import { requestOf, type Write, type WriteRequest } from './write';

/** Which screen writes: it need not be told of its own. */
export const SCREEN_ID = uuidV7();

export type SendResult =
  | { kind: 'kept' }
  | { kind: 'refused'; message: string }
  /** Tried again; with the reason where the server is there and cannot keep anything. */
  | { kind: 'noSignal'; trouble?: string };

/** Longer than this without an answer counts as no signal; the write is sent again. */
const PATIENCE_MS = 10_000;

/** Sends one write. A "no" of the server is final; anything that did not reach it, or broke in it, is tried again. */
export function send(write: Write): Promise<SendResult> {
  return sendRequest(requestOf(write));
}

/** Sends a request that changes nothing of what is kept, or one write. */
export async function sendRequest({ method, path, body }: WriteRequest): Promise<SendResult> {
  const reply = await call(method, path, body);
  if (!reply) return { kind: 'noSignal' };
  if (reply.ok) return { kind: 'kept' };
  const error = v.safeParse(ApiError, await reply.json().catch(() => undefined));
  if (reply.status >= 500 || reply.status === 429) {
    return { kind: 'noSignal', ...(error.success && { trouble: error.output.error.message }) };
  }
  return { kind: 'refused', message: error.success ? error.output.error.message : 'The server did not take it.' };
}

/** Which state of the server is known here: of which opening of its file, and how many changes in. */
export interface StateTag {
  readonly epoch: string;
  readonly revision: number;
}

/** What the server has, and how far its clock is ahead of this device's. */
export interface Fetched {
  readonly state: HouseholdState;
  readonly tag: StateTag | undefined;
  readonly clock: ClockSample;
  /** Something in the household's file is damaged or gone. */
  readonly isDamaged: boolean;
}

/** What is known here already. */
export interface Known {
  readonly state: HouseholdState;
  readonly tag: StateTag;
}

/**
 * What the server has, or undefined when it cannot be reached or says something this page does not understand. Of what is known
 * here only the changes are asked for.
 */
export async function fetchState(known?: Known): Promise<Fetched | undefined> {
  const tag = known && `${known.tag.epoch}.${known.tag.revision}`;
  const askedAt = Date.now();
  const reply = await call(
    'GET',
    tag ? `/state?since=${tag}` : '/state',
    undefined,
    tag ? { 'if-none-match': `"${tag}"` } : undefined,
  );
  const answeredAt = Date.now();
  if (!reply || (!reply.ok && reply.status !== 304)) return undefined;
  const told: unknown = reply.status === 304 ? undefined : await reply.json().catch(() => undefined);
  const now = Number(reply.headers.get(NOW_HEADER) ?? (told as { now?: number } | undefined)?.now);
  const clock = sampleOf(now, askedAt, answeredAt);
  const isDamaged = reply.headers.has('x-hoddle-damage');
  if (known && reply.status === 304) return { ...known, clock, isDamaged };
  const changes = known && v.safeParse(StateChanges, told);
  if (known && changes?.success) {
    const state = changes.output.changes.reduce((sofar, change) => withChange(sofar, change), known.state);
    return { state, tag: tagIn(reply), clock, isDamaged };
  }
  const state = v.safeParse(HouseholdState, told);
  return state.success ? { state: state.output, tag: tagIn(reply), clock, isDamaged } : undefined;
}

/** The exact time of the household beside a state that may be kept longer. */
const NOW_HEADER = 'x-hoddle-now';

function tagIn(reply: Response): StateTag | undefined {
  const [epoch = '', revision] = (reply.headers.get('etag') ?? '').replace(/^W\/|"/g, '').split('.');
  return epoch === '' || revision === undefined ? undefined : { epoch, revision: Number(revision) };
}

/**
 * What the server says at an address, or undefined when it cannot be reached or has nothing there.
 *
 * @param taken statuses whose answer is one
 */
export async function ask(path: string, taken: readonly number[] = [200]): Promise<unknown> {
  const reply = await call('GET', path);
  return reply && taken.includes(reply.status) ? reply.json().catch(() => undefined) : undefined;
}

/** A whole file may take the server a while. */
const FILE_PATIENCE_MS = 120_000;

/** Sends a file's text, or one that is compressed; its reply, or why it was not taken. */
export async function post(
  path: string,
  text: string | Blob = '',
): Promise<Exclude<SendResult, { kind: 'kept' }> | { kind: 'done'; body: unknown }> {
  const reply = await fetch(`/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...(text instanceof Blob && { 'content-encoding': 'gzip' }) },
    body: text,
    signal: AbortSignal.timeout(FILE_PATIENCE_MS),
  }).catch(() => undefined);
  if (!reply) return { kind: 'noSignal' };
  const body: unknown = await reply.json().catch(() => undefined);
  if (reply.ok) return { kind: 'done', body };
  const error = v.safeParse(ApiError, body);
  return { kind: 'refused', message: error.success ? error.output.error.message : 'The server did not take it.' };
}

/** Sends something that is to be done now or not at all, and reads its reply. */
export async function askTo(method: 'POST' | 'PUT' | 'DELETE', path: string, body?: object) {
  const reply = await call(method, path, body);
  if (!reply) return { kind: 'noSignal' } as const;
  const told: unknown = await reply.json().catch(() => undefined);
  if (reply.ok) return { kind: 'done', body: told } as const;
  const error = v.safeParse(ApiError, told);
  const message = error.success ? error.output.error.message : 'The server did not take it.';
  return { kind: 'refused', message } as const;
}

/** Moves the demo clock forward. Nothing happens without the server. */
export async function moveDemoClock(offsetMs: number): Promise<boolean> {
  const reply = await call('PUT', '/clock', { offsetMs });
  return reply?.ok === true;
}

async function call(
  method: string,
  path: string,
  body?: object,
  more?: Record<string, string>,
): Promise<Response | undefined> {
  try {
    const reply = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: { ...(method !== 'GET' && { 'content-type': 'application/json', 'x-screen': SCREEN_ID }), ...more },
      ...(body && { body: JSON.stringify(body) }),
    });
    // Shut out meanwhile: the server shows where a code is typed. What waits here stays.
    if (reply.status === 401) window.location.assign('/');
    return reply;
  } catch {
    return undefined; // no network, or no answer in time: the caller tries again
  }
}
