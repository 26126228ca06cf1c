import { join } from 'node:path';
import { twentyYears } from '../twentyYears';
import { aPick } from './aPick';
import { Chance } from './chance';
import { closedDemoFile, newFolder } from './demoFile';
import { say, SEED } from './report';
import { sendRaw } from './sendRaw';
import { ServerProcess } from './serverProcess';

const CLIENTS = 20;
const SECONDS = Number(process.env.SECONDS ?? 20);
const ALLOWED_MS = 150;

/** Twenty screens read the whole state for twenty seconds, every second time as if for the first time, while one write a second comes in. */
export async function benchLoad(): Promise<boolean> {
  const { file } = await closedDemoFile();
  const demo = await loaded('the demo', new ServerProcess(file));
  const large = new ServerProcess(join(newFolder(), 'household.sqlite'));
  await large.start();
  const empty = JSON.parse((await large.call('GET', '/backup')).text);
  const restored = await large.call('POST', '/restore', twentyYears(empty, Date.now()));
  if (restored.status !== 200) throw new Error(restored.text);
  await large.stop();
  return (await loaded('twenty years, 60,000 movements', large)) && demo;
}

async function loaded(what: string, server: ServerProcess): Promise<boolean> {
  await server.start();
  const chance = new Chance(SEED);
  const until = performance.now() + SECONDS * 1_000;
  const times: number[] = [];
  let [errors, unchanged, bytes] = [0, 0, 0];
  const client = async () => {
    let tag = '';
    for (let n = 0; performance.now() < until; n++) {
      const isCold = n % 2 === 0;
      const headers = { 'accept-encoding': 'gzip', ...(!isCold && tag !== '' && { 'if-none-match': tag }) };
      const from = performance.now();
      const { status, headers: told, text } = await sendRaw(server.address, { method: 'GET', path: '/state', headers });
      times.push(performance.now() - from);
      if (status !== 200 && status !== 304) errors += 1;
      if (status === 304) unchanged += 1;
      bytes = Math.max(bytes, text.length);
      tag = String(told.etag ?? '');
    }
  };
  const writer = async () => {
    while (performance.now() < until) {
      const pick = aPick(chance.id());
      const { status } = await server.call('POST', '/picks', pick);
      if (status !== 201) errors += 1;
      await new Promise((over) => setTimeout(over, 1_000));
    }
  };
  await Promise.all([...Array.from({ length: CLIENTS }, client), writer()]);
  await server.stop();
  times.sort((a, b) => a - b);
  const at = (part: number) => times[Math.floor(part * (times.length - 1))] ?? NaN;
  const reached = at(0.95) < ALLOWED_MS && errors === 0;
  say(
    `${CLIENTS} clients, ${SECONDS} s, ${what}: ${times.length} reads (${unchanged} unchanged, ${Math.round(bytes / 1_024)} kB), p50 ${at(0.5).toFixed(0)} ms, p95 ${at(0.95).toFixed(0)} ms, most ${at(1).toFixed(0)} ms, ${errors} errors; ${(at(0.95) / ALLOWED_MS).toFixed(2)} of the ${ALLOWED_MS} ms allowed (${reached ? 'reached' : 'missed'})`,
  );
  return reached;
}
