import { request } from 'node:http';
import { join } from 'node:path';
import { twentyYears } from '../twentyYears';
import { newFolder } from './demoFile';
import { say } from './report';
import { ServerProcess } from './serverProcess';

const MOVEMENTS = 200_000;
const RUBBISH_MB = 190;
const ALLOWED_MB = 500;

/** What a restore of very much, and of very much rubbish, takes of memory: the highest the server's process ever had (VmHWM). */
export async function benchLarge(): Promise<boolean> {
  const folder = newFolder();
  const large = new ServerProcess(join(folder, 'large.sqlite'));
  await large.start();
  const empty = JSON.parse((await large.call('GET', '/backup')).text);
  const text = JSON.stringify(twentyYears(empty, Date.now(), MOVEMENTS));
  const from = performance.now();
  const { status, text: told } = await large.call('POST', '/restore', text);
  const seconds = (performance.now() - from) / 1_000;
  const mb = large.highestMb();
  await large.stop();
  const isGood = status === 200 && mb < ALLOWED_MB;
  say(
    `restore of ${MOVEMENTS} movements (${Math.round(text.length / 1_048_576)} MB): ${status} in ${seconds.toFixed(1)} s, ${mb} MB at most; ${(mb / ALLOWED_MB).toFixed(2)} of the ${ALLOWED_MB} MB allowed (${isGood ? 'reached' : 'missed'})`,
  );
  if (status !== 200) say(`  ${told.slice(0, 300)}`);
  const head = text.slice(0, text.indexOf('"data"'));
  const kinds = {
    'empty lists': ['[', '[],', '[]]'],
    'a nest': ['', '[', ''],
    numbers: [`${head}"data":{"picks":[`, '1,', '1]}}'],
    'lists in rows': [`${head}"data":{"picks":[`, '[],', '[]]}}'],
    'one text': [`${head}"data":{"picks":["`, 'aaaaaaaaaaaaaaaa', '"]}}'],
    'one row': [`${head}"data":{"picks":[{"id":[`, '0,', '0]}]}}'],
  } as const;
  let good = isGood;
  for (const [kind, [before, piece, after]] of Object.entries(kinds)) {
    const server = new ServerProcess(join(folder, `${kind.replaceAll(' ', '-')}.sqlite`));
    await server.start();
    const answered = await sendMuch(server.address, before, piece, after);
    const used = server.highestMb();
    await server.stop();
    const isFine = answered === 422 && used < ALLOWED_MB;
    good &&= isFine;
    say(
      `restore of ${RUBBISH_MB} MB of rubbish, ${kind}: ${answered}, ${used} MB at most (${isFine ? 'reached' : 'missed'})`,
    );
  }
  return good;
}

/** Sends a body that is never whole in this process either. */
function sendMuch(address: string, before: string, piece: string, after: string): Promise<number> {
  const { hostname, port } = new URL(address);
  return new Promise((answered) => {
    const headers = { 'content-type': 'application/json' };
    const asked = request({ host: hostname, port, method: 'POST', path: '/api/restore', headers }, (reply) => {
      reply.resume();
      answered(reply.statusCode ?? 0);
    });
    asked.on('error', () => answered(0));
    asked.write(before);
    const block = piece.repeat(Math.ceil(1_048_576 / piece.length));
    let left = RUBBISH_MB;
    const go = () => {
      while (left > 0) {
        left -= 1;
        if (!asked.write(block)) return void asked.once('drain', go);
      }
      asked.end(after);
    };
    go();
  });
}
