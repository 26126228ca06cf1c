import { ApiError } from '@hoddle/contract/apiError';
import { HouseholdState } from '@hoddle/contract/householdState';
import { PAGE_HEADER, PAGE_VERSION, REVISION_HEADER, SERVER_HEADER } from '@hoddle/contract/pageVersion';
import { type StateChange, StateChanges, withChange } from '@hoddle/contract/stateChange';
import { v7 as uuidV7 } from 'uuid';
import * as v from 'valibot';
import { type ClockSample, sampleOf } from './householdClock';
import { requestOf, type Write, type WriteRequest } from './write';

/** Which screen writes: it need not be told of its own. */
export const SCREEN_ID = uuidV7();

/** Why nothing came of a request. */
export type Failure =
  /** Nobody answered, or somebody who is not the household's server. */
  | { kind: 'no-signal' }
  /** The server is there and could not. */
  | { kind: 'trouble'; message: string; waitMs?: number }
  /** The server does not understand a page this old any more, or this page it. */
  | { kind: 'page-too-old' }
  /** This device was never let in, or shut out meanwhile. */
  | { kind: 'not-let-in' };

export type Refused = { kind: 'refused'; code: string; message: string };

export type SendResult = { kind: 'kept'; tag: StateTag } | Refused | Failure;

/** Longer than this without an answer counts as no signal; the write is sent again. */
const PATIENCE_MS = 10_000;

/** Sends one write. A "no" of the server is final; anything that did not reach it, or broke in it, is tried again. */
export async function send(write: Write): Promise<SendResult> {
  const reply = await call(requestOf(write));
  if (reply.kind !== 'done') return reply;
  const tag = tagOf(reply.response.headers.get(REVISION_HEADER));
  // Whoever said yes was not the household's server.
  return tag ? { kind: 'kept', tag } : { kind: 'no-signal' };
}

/** Which state of the server is known here: of which opening of its file, and how many changes in. */
export interface StateTag {
  readonly epoch: string;
  readonly revision: number;
}

/** What the server has, and how far its clock is ahead of this device's. */
export interface Fetched {
  readonly kind: 'fetched';
  readonly state: HouseholdState;
  readonly tag: StateTag | undefined;
  readonly clock: ClockSample;
  /** Something in the household's file is damaged or gone. */
  readonly isDamaged: boolean;
  /** What was told, where only what has changed was; undefined where all of it was. */
  readonly changes: readonly StateChange[] | undefined;
}

/**
 * What the server has, or why that is not known. Of what is known here only the changes are asked for.
 *
 * @param known what is known here already
 */
export async function fetchState(known?: {
  state: HouseholdState;
  tag: StateTag;
}): Promise<Fetched | Refused | Failure> {
  const tag = known && `${known.tag.epoch}.${known.tag.revision}`;
  let askedAt = Date.now();
  const path = tag ? `/state?since=${tag}` : '/state';
  const early = known ? undefined : await askedEarly();
  const reply = early
    ? await kindOf(early.response)
    : await call({ method: 'GET', path }, tag ? { 'if-none-match': `"${tag}"` } : undefined);
  if (reply.kind !== 'done') return reply;
  if (early) askedAt = early.at;
  const { response } = reply;
  const answeredAt = Date.now();
  const told: unknown = response.status === 304 ? undefined : await response.json().catch(() => undefined);
  const now = Number(response.headers.get(NOW_HEADER) ?? (told as { now?: number } | undefined)?.now);
  const isDamaged = response.headers.has('x-hoddle-damage');
  const common = { kind: 'fetched', clock: sampleOf(now, askedAt, answeredAt), isDamaged } as const;
  if (known && response.status === 304) return { ...common, ...known, changes: [] };
  const newest = tagOf(response.headers.get('etag'));
  const changes = known && v.safeParse(StateChanges, told);
  if (known && changes?.success) {
    const state = changes.output.changes.reduce((sofar, change) => withChange(sofar, change), known.state);
    return { ...common, state, tag: newest, changes: changes.output.changes };
  }
  const state = v.safeParse(HouseholdState, told);
  if (state.success) return { ...common, state: state.output, tag: newest, changes: undefined };
  if (Number(response.headers.get(SERVER_HEADER)) > PAGE_VERSION) return { kind: 'page-too-old' };
  return { kind: 'trouble', message: 'What the server told could not be read.' };
}

let isEarlyTaken = false;

/** The reply to what was asked before the app was there, once. */
async function askedEarly(): Promise<{ at: number; response: Response } | undefined> {
  if (isEarlyTaken || typeof window === 'undefined') return undefined;
  isEarlyTaken = true;
  const asked = (await window.hoddleEarly)?.asked;
  const response = await asked?.reply;
  return asked && response && { at: asked.at, response };
}

/** The exact time of the household beside a state that may be kept longer. */
const NOW_HEADER = 'x-hoddle-now';

function tagOf(told: string | null): StateTag | undefined {
  const [epoch = '', revision] = (told ?? '').replace(/^W\/|"/g, '').split('.');
  return epoch === '' || revision === undefined ? undefined : { epoch, revision: Number(revision) };
}

/**
 * What the server says at an address, or undefined when it cannot be reached or has nothing there.
 *
 * @param taken statuses whose answer is one
 */
export async function ask(path: string, taken: readonly number[] = [200]): Promise<unknown> {
  const reply = await call({ method: 'GET', path });
  const response = 'response' in reply ? reply.response : undefined;
  return response && taken.includes(response.status) ? response.json().catch(() => undefined) : undefined;
}

/** A whole file may take the server a while. */
const FILE_PATIENCE_MS = 120_000;

/** Sends a file's text, or one that is compressed; its reply, or why it was not taken. */
export async function post(path: string, text: string | Blob = ''): Promise<Answer> {
  const more = text instanceof Blob ? { 'content-encoding': 'gzip' } : undefined;
  return answerOf(await call({ method: 'POST', path, text }, more, FILE_PATIENCE_MS));
}

/** Sends something that is to be done now or not at all, and reads its reply. */
export async function askTo(method: WriteRequest['method'], path: string, body?: object): Promise<Answer> {
  return answerOf(await call({ method, path, ...(body && { body }) }));
}

/** What came of a request that is not kept for later. */
export type Answer = { kind: 'done'; body: unknown } | Refused | { kind: 'noSignal'; message: string };

/** Asks for a file that is made of what is sent with it; the file, or why there is none. */
export async function askForFile(
  path: string,
  body: object,
): Promise<{ kind: 'file'; file: Blob } | Refused | { kind: 'noSignal'; message: string }> {
  const reply = await call({ method: 'POST', path, body }, undefined, FILE_PATIENCE_MS);
  if (reply.kind === 'done') return { kind: 'file', file: await reply.response.blob() };
  return reply.kind === 'refused' ? reply : { kind: 'noSignal', message: failureWords(reply) };
}

async function answerOf(reply: Reply): Promise<Answer> {
  if (reply.kind === 'done') return { kind: 'done', body: await reply.response.json().catch(() => undefined) };
  return reply.kind === 'refused' ? reply : { kind: 'noSignal', message: failureWords(reply) };
}

/** Why nothing came of it, in a sentence. */
export function failureWords(failure: Failure): string {
  switch (failure.kind) {
    case 'no-signal':
      return 'The server cannot be reached from here.';
    case 'trouble':
      return failure.message;
    case 'page-too-old':
      return 'This page is too old for the server. Open it anew.';
    case 'not-let-in':
      return 'This device is not let in any more.';
  }
}

/** Moves the demo clock forward. Nothing happens without the server. */
export async function moveDemoClock(offsetMs: number): Promise<boolean> {
  return (await call({ method: 'PUT', path: '/clock', body: { offsetMs } })).kind === 'done';
}

interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body?: object;
  readonly text?: string | Blob;
}

type Reply =
  { kind: 'done'; response: Response } | (Refused & { response: Response }) | (Failure & { response?: Response });

async function call(asked: Asked, more?: Record<string, string>, patienceMs = PATIENCE_MS): Promise<Reply> {
  const { method, path, body, text } = asked;
  const carries = { 'content-type': 'application/json', 'x-screen': SCREEN_ID, [PAGE_HEADER]: String(PAGE_VERSION) };
  const content = text ?? (body && JSON.stringify(body));
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(patienceMs),
      headers: { ...(method !== 'GET' && carries), ...more },
      ...(content !== undefined && { body: content }),
    });
  } catch {
    return { kind: 'no-signal' };
  }
  return kindOf(response);
}

const NOBODY_BEHIND = 'Something answers on the way to the server; the server itself does not.';

async function kindOf(response: Response): Promise<Reply> {
  const { status, headers } = response;
  // The page on which some networks let in answers everything, as if it were the household's server.
  if (!headers.has(SERVER_HEADER)) {
    return status < 500 ? { kind: 'no-signal', response } : { kind: 'trouble', message: NOBODY_BEHIND, response };
  }
  if (response.ok || status === 304) return { kind: 'done', response };
  const told = v.safeParse(
    ApiError,
    await response
      .clone()
      .json()
      .catch(() => undefined),
  );
  const { code, message } = told.success
    ? told.output.error
    : { code: 'unknown', message: 'The server did not take it.' };
  if (status === 401) return { kind: 'not-let-in', response };
  if (status === 426) return { kind: 'page-too-old', response };
  if (status >= 500 || status === 429 || status === 408 || status === 421) {
    const waitS = Number(headers.get('retry-after') ?? NaN);
    return { kind: 'trouble', message, response, ...(waitS > 0 && { waitMs: waitS * 1_000 }) };
  }
  return { kind: 'refused', code, message, response };
}
