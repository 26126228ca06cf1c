import { type Server } from 'node:http';
import { resolve } from 'node:path';
import pino from 'pino';
import { Changes } from './changes';
import { systemClock } from './clock';
import { UnusableFile } from './db/checkFile';
import { openDatabase } from './db/openDatabase';
import { createServer } from './server';
import { schedulePool } from './workers/schedulePool';
import { seasonPool } from './workers/seasonPool';

const port = Number(process.env.PORT ?? 4860);
const host = process.env.HOST ?? '127.0.0.1';
const file = resolve(process.env.HODDLE_DB ?? 'data/hoddle.sqlite');
const appFolder = resolve(import.meta.dirname, '../../app/dist');
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

/** One line for whoever started the server, and out. */
function giveUp(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(1);
}

if (!Number.isInteger(port) || port < 0 || port > 65_535) giveUp(`PORT must be 0 to 65535, got ${process.env.PORT}.`);

const db = await openDatabase(file).catch((error: unknown) =>
  giveUp(error instanceof UnusableFile ? error.message : `Cannot start: ${String(error)}`),
);

const searches = schedulePool(resolve(import.meta.dirname, 'scheduleAnswer.js'));

const seasons = seasonPool(resolve(import.meta.dirname, 'seasonAnswer.js'));

const changes = new Changes();

const server: Server = createServer({
  ...{ db, clock: systemClock, log, changes, appFolder },
  schedule: searches.schedule,
  planSeasons: seasons.plan,
}).listen(port, host);

server.once('listening', () => {
  const address = server.address();
  const boundPort = typeof address === 'object' && address ? address.port : port;
  process.stdout.write(`Hoddle is at http://${host}:${boundPort}\n`);
});

server.once('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE') giveUp(`Port ${port} is in use. Set PORT to another one.`);
  giveUp(`Cannot listen on ${host}:${port}: ${error.message}`);
});

/** What is under way is answered first; a browser's spare connection, open without a request, is not waited for. */
const GRACE_MS = 2_000;

async function stop(): Promise<void> {
  changes.close();
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
  await new Promise((closed) => server.close(closed));
  await Promise.all([searches.close(), seasons.close()]);
  await db.close();
  process.exit(0);
}
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
