import { ApiError } from '@hoddle/contract/apiError';
import { HouseholdState } from '@hoddle/contract/householdState';
import { v7 as uuidV7 } from 'uuid';
import * as v from 'valibot';
import { type ClockSample, sampleOf } from './householdClock';
import { requestOf, type Write, type WriteRequest } from './write';

/** Which screen writes: it need not be told of its own. */
export const SCREEN_ID = uuidV7();

export type SendResult = { kind: 'kept' } | { kind: 'refused'; message: string } | { kind: 'noSignal' };

/** Longer than this without an answer counts as no signal; the write is sent again. */
const PATIENCE_MS = 10_000;

/** Sends one write. A "no" of the server is final; anything that did not reach it, or broke in it, is tried again. */
export function send(write: Write): Promise<SendResult> {
  return sendRequest(requestOf(write));
}

/** Sends a request that changes nothing of what is kept, or one write. */
export async function sendRequest({ method, path, body }: WriteRequest): Promise<SendResult> {
  const reply = await call(method, path, body);
  if (!reply || reply.status >= 500) return { kind: 'noSignal' };
  if (reply.ok) return { kind: 'kept' };
  const error = v.safeParse(ApiError, await reply.json().catch(() => undefined));
  return { kind: 'refused', message: error.success ? error.output.error.message : 'The server did not take it.' };
}

/** Everything the server has, and how far its clock is ahead of this device's. */
export interface Fetched {
  readonly state: HouseholdState;
  readonly clock: ClockSample;
}

/** Everything the server has, or undefined when it cannot be reached or says something this page does not understand. */
export async function fetchState(): Promise<Fetched | undefined> {
  const askedAt = Date.now();
  const reply = await call('GET', '/state');
  const answeredAt = Date.now();
  if (!reply?.ok) return undefined;
  const state = v.safeParse(HouseholdState, await reply.json().catch(() => undefined));
  if (!state.success) return undefined;
  return { state: state.output, clock: sampleOf(state.output.now, askedAt, answeredAt) };
}

/** What the server says at an address, or undefined when it cannot be reached or has nothing there. */
export async function ask(path: string): Promise<unknown> {
  const reply = await call('GET', path);
  return reply?.ok ? reply.json().catch(() => undefined) : undefined;
}

/** A whole file may take the server a while. */
const FILE_PATIENCE_MS = 120_000;

/** Sends a file's text; its reply, or why it was not taken. */
export async function post(
  path: string,
  text: string,
): Promise<Exclude<SendResult, { kind: 'kept' }> | { kind: 'done'; body: unknown }> {
  const reply = await fetch(`/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'text/plain' },
    body: text,
    signal: AbortSignal.timeout(FILE_PATIENCE_MS),
  }).catch(() => undefined);
  if (!reply) return { kind: 'noSignal' };
  const body: unknown = await reply.json().catch(() => undefined);
  if (reply.ok) return { kind: 'done', body };
  const error = v.safeParse(ApiError, body);
  return { kind: 'refused', message: error.success ? error.output.error.message : 'The server did not take it.' };
}

/** Moves the demo clock forward. Nothing happens without the server. */
export async function moveDemoClock(offsetMs: number): Promise<boolean> {
  const reply = await call('PUT', '/clock', { offsetMs });
  return reply?.ok === true;
}

async function call(method: string, path: string, body?: object): Promise<Response | undefined> {
  try {
    return await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(method !== 'GET' && { headers: { 'content-type': 'application/json', 'x-screen': SCREEN_ID } }),
      ...(body && { body: JSON.stringify(body) }),
    });
  } catch {
    return undefined; // no network, or no answer in time: the caller tries again
  }
}
