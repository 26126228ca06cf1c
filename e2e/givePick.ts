import { expect } from '@playwright/test';
import { type RealServer } from './realServer';

/** Produce of the garden that came in a minute ago, by the pound. */
export async function givePick(server: RealServer, crop: string, lb: number, softLb = 0, place = 'cool') {
  const { now } = (await server.call('GET', '/state')).body as { now: number };
  const [massKg, softKg] = [lb, softLb].map((each) => each * 0.453_592_37);
  const reply = await server.call('POST', '/picks', {
    ...{ id: crypto.randomUUID(), crop, massKg, softKg, ripeness: 'ripe', place, pickedAt: now - 60_000 },
    ...{ told: `${lb} lb`, source: 'garden', plantingId: null },
  });
  expect(reply.status).toBe(201);
}
