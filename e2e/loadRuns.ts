import { expect } from '@playwright/test';
import { laterBy } from './demoClock';
import { type RealServer } from './realServer';

/**
 * A load goes through its canner while nobody looks at the phone, and cools overnight: told afterwards, each by its own time.
 *
 * @param minutes at the boil
 */
export async function loadRuns(server: RealServer, loadId: string, jars: number, minutes: number) {
  const { now } = (await server.call('GET', '/state')).body as { now: number };
  const told = async (type: string, minute: number, more: object = {}) => {
    const event = { id: crypto.randomUUID(), loadId, type, at: now + minute * 60_000, ...more };
    expect((await server.call('POST', '/kitchen/events', event)).status).toBe(201);
  };
  await laterBy(server, 16 * 60);
  await told('load-started', 0, { jars });
  await told('boil-reached', 15);
  await told('heat-off', 16 + minutes);
  await told('jars-out', 22 + minutes);
}
