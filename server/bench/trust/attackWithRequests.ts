import * as v from 'valibot';
import { HouseholdState } from '@hoddle/contract/householdState';
import { Chance } from './chance';
import { GeneratedRequests, type RawRequest } from './generatedRequests';
import { sendRaw } from './sendRaw';

export interface Attack {
  readonly sent: number;
  readonly byStatus: Readonly<Record<number, number>>;
  /** Requests that were answered 5xx. */
  readonly broke: readonly { readonly request: RawRequest; readonly status: number; readonly text: string }[];
  /** Looks after which the state could not be read. */
  readonly unread: readonly string[];
}

/** Sends generated requests to a server, and looks at its state every so often. */
export async function attackWithRequests(address: string, count: number, seed: number, every = 250): Promise<Attack> {
  const requests = new GeneratedRequests(new Chance(seed));
  const byStatus: Record<number, number> = {};
  const broke: { request: RawRequest; status: number; text: string }[] = [];
  const unread: string[] = [];
  for (let sent = 0; sent < count; sent++) {
    const request = requests.next();
    const { status, text } = await sendRaw(address, request);
    byStatus[status] = (byStatus[status] ?? 0) + 1;
    if (status >= 500) broke.push({ request, status, text });
    if (sent % every === every - 1) {
      const why = await unreadable(address);
      if (why !== undefined) unread.push(`after ${sent + 1}: ${why}`);
    }
  }
  return { sent: count, byStatus, broke, unread };
}

/** Why the state is not as a screen can read it, or undefined where it is. */
async function unreadable(address: string): Promise<string | undefined> {
  const { status, text } = await sendRaw(address, { method: 'GET', path: '/state', headers: {} });
  if (status !== 200) return `GET /state answers ${status}`;
  const told = v.safeParse(HouseholdState, JSON.parse(text));
  if (told.success) return undefined;
  const [issue] = told.issues;
  return `${v.getDotPath(issue) ?? 'the state'} ${issue.message}`;
}
