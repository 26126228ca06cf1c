import { attackWithRequests } from './attackWithRequests';
import { newFolder } from './demoFile';
import { join } from 'node:path';
import { say, SEED } from './report';
import { ServerProcess } from './serverProcess';

const REQUESTS = Number(process.env.REQUESTS ?? 20_000);

/** Generated requests, right ones and wrong ones; then a restart and the household's own backup in another server. */
export async function benchRequests(): Promise<boolean> {
  const server = new ServerProcess(join(newFolder(), 'household.sqlite'));
  await server.start();
  const { sent, byStatus, broke, unread } = await attackWithRequests(server.address, REQUESTS, SEED, 500);
  const sumOf = async (of: ServerProcess) =>
    (JSON.parse((await of.call('GET', '/backup')).text) as { sha256: string }).sha256;
  const before = await sumOf(server);
  await server.stop();
  await server.start();
  const restarted = await sumOf(server);
  const other = new ServerProcess(join(newFolder(), 'household.sqlite'));
  await other.start();
  const restored = await other.call('POST', '/restore', (await server.call('GET', '/backup')).text);
  await Promise.all([server.stop(), other.stop()]);
  const isWhole = restarted === before && restored.status === 200 && restored.text.includes(before);
  const told = Object.entries(byStatus)
    .map(([status, count]) => `${count} x ${status}`)
    .join(', ');
  say(
    `generated requests: ${sent} (${told}); ${broke.length} answered 5xx, ${unread.length} broke reading, restart and backup ${isWhole ? 'the same sum' : `NOT the same: ${restored.text.slice(0, 300)}`}`,
  );
  for (const { request, status, text } of broke.slice(0, 10))
    say(`  ${status} ${request.method} ${request.path} ${String(request.body).slice(0, 300)} -> ${text.slice(0, 200)}`);
  for (const why of unread.slice(0, 10)) say(`  ${why}`);
  return broke.length === 0 && unread.length === 0 && isWhole;
}
