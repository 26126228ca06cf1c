import { createServer as createHttp, type Server } from 'node:http';
import { createServer as createHttps, Server as HttpsServer } from 'node:https';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { inUrl, isLoopbackHost, ownHosts, reachableAt } from './access/hosts';
import { NO_LIMITS } from './access/limits';
import { OpenAddresses } from './access/openAddresses';
import { Pairing } from './access/pairing';
import { nightlyBackups } from './backup/nightly';
import { Changes } from './changes';
import { systemClock } from './clock';
import { UnusableFile } from './db/checkFile';
import { backupsOf, openDatabase } from './db/openDatabase';
import { createLog } from './log';
import { createServer } from './server';
import { householdWatch } from './instruments/householdWatch';
import { socketDoor } from './instruments/socketDoor';
import { tcpDoor } from './instruments/tcpDoor';
import { localCertificate, type Served } from './tls/authority';
import { dayPlanPool } from './workers/dayPlanPool';
import { schedulePool } from './workers/schedulePool';
import { seasonPool } from './workers/seasonPool';

const port = Number(process.env.PORT ?? 4860);
const host = process.env.HOST ?? '127.0.0.1';
const file = resolve(process.env.HODDLE_DB ?? 'data/hoddle.sqlite');
const backupFolder = resolve(process.env.HODDLE_BACKUPS ?? backupsOf(file));
const proxies = listed(process.env.HODDLE_PROXIES);
const appFolder = resolve(process.env.HODDLE_APP ?? resolve(import.meta.dirname, '../../app/dist'));
const log = createLog(process.env.LOG_LEVEL ?? 'warn');

// What is written here is the household's alone.
process.umask(0o077);

/** One line for whoever started the server, and out. */
function giveUp(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(1);
}

/** Names told with commas between them. */
function listed(told: string | undefined): string[] {
  return (told ?? '')
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '');
}

process.on('unhandledRejection', (error) => log.error({ err: error }, 'a promise was rejected and nobody heard'));
process.on('uncaughtException', (error) => {
  log.fatal({ err: error }, 'stopped by an error that nobody caught');
  process.exit(1);
});

if (!Number.isInteger(port) || port < 0 || port > 65_535) giveUp(`PORT must be 0 to 65535, got ${process.env.PORT}.`);

const db = await openDatabase(file, { backups: backupFolder }).catch((error: unknown) =>
  giveUp(error instanceof UnusableFile ? error.message : `Cannot start: ${String(error)}`),
);
if (db.setAside.length > 0) {
  log.error({ rows: db.setAside }, 'damaged rows are left out');
  process.stderr.write(`${db.setAside.length} damaged rows of ${file} are left out: Shelf, Files says more.\n`);
}
if (db.commitsLost > 0) {
  process.stderr.write(
    `The end of the log of ${file} could not be read: the last ${db.commitsLost} writes may be missing.\n`,
  );
}

const pairing = await Pairing.of(db);
if (!isLoopbackHost(host) && !pairing.hasPassphrase) {
  await db.close();
  giveUp(
    `HOST=${host} lets other devices ask: set the household's passphrase first (npm run passphrase), or leave HOST out.`,
  );
}

let hosts = ownHosts(host, listed(process.env.HODDLE_HOSTS));
const served = await certificate(process.env.HODDLE_TLS).catch((error: unknown) =>
  giveUp(`HODDLE_TLS: ${String(error)}`),
);

/** The certificate to show: the home's own, one that was given, or none. */
async function certificate(told: string | undefined): Promise<Partial<Served>> {
  if (told === undefined || told === '') return {};
  if (told === 'auto') return localCertificate(`${file}.tls`, [...hosts]);
  const [cert, key] = listed(told);
  if (cert === undefined || key === undefined) throw new Error('say auto, or CERTIFICATE,KEY');
  return { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') };
}

const searches = schedulePool(resolve(import.meta.dirname, 'scheduleAnswer.js'));
const dayPlans = dayPlanPool(resolve(import.meta.dirname, 'dayPlanAnswer.js'));
const seasons = seasonPool(resolve(import.meta.dirname, 'seasonAnswer.js'));
const changes = new Changes((tell) => db.state.listen(tell));
const backups = nightlyBackups(db, backupFolder, log);
const watch = householdWatch({ db, clock: systemClock, changes, log });
let shown = served.cert;
const scheme = served.key === undefined ? 'http' : 'https';
let boundPort = port;

const app = createServer({
  ...{ db, clock: systemClock, log, changes, appFolder, backups, pairing, proxies, instruments: watch },
  hosts: () => hosts,
  ...(served.authority && { authority: served.authority }),
  ...(process.env.HODDLE_LIMITS === 'off' && isLoopbackHost(host) && { limits: NO_LIMITS }),
  addresses: () => reachableAt(host).map((address) => `${scheme}://${inUrl(address)}:${boundPort}`),
  schedule: searches.schedule,
  planSeasons: seasons.plan,
  planDay: dayPlans.planDay,
  open: await OpenAddresses.of(db),
});

const newServer = (): Server =>
  served.key === undefined ? createHttp(app) : createHttps({ key: served.key, cert: served.cert }, app);
const server = newServer().listen(port, host);
const servers = [server];
const sockets = socketDoor({ hub: watch.hub, pairing, hosts: () => hosts });
sockets.serve(server);

let stopWires: () => void = () => undefined;

server.once('listening', () => {
  const address = server.address();
  boundPort = typeof address === 'object' && address ? address.port : port;
  // This machine itself, and the commands beside the server, come in by the loopback whatever else is listened on.
  const isAtHome = isLoopbackHost(host) || host === '0.0.0.0' || host === '::';
  if (!isAtHome) {
    const atHome = newServer().listen(boundPort, '127.0.0.1');
    servers.push(atHome);
    sockets.serve(atHome);
  }
  // Scales and probes without a browser speak beside the app; where that port is taken they have the app's own.
  const wires = tcpDoor(watch.hub, pairing);
  wires.on('error', (error) => log.warn({ err: error }, 'no instrument is heard over TCP'));
  wires.listen(Number(process.env.HODDLE_INSTRUMENTS_PORT ?? boundPort + 1), host);
  stopWires = () => wires.close();
  db.tellAddress(`${scheme}://127.0.0.1:${boundPort}`);
  process.stdout.write(`Hoddle is at ${scheme}://${inUrl(host)}:${boundPort}\n`);
});

server.once('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE') giveUp(`Port ${port} is in use. Set PORT to another one.`);
  giveUp(`Cannot listen on ${host}:${port}: ${error.message}`);
});

/** The home's network gives the machine another address now and then, and a certificate runs out: both are looked after. */
const LOOK_MS = 60_000;

const looking = setInterval(() => {
  hosts = ownHosts(host, listed(process.env.HODDLE_HOSTS));
  if (!served.authority) return;
  certificate(process.env.HODDLE_TLS)
    .then(({ key, cert }) => {
      if (cert === shown) return;
      shown = cert;
      for (const each of servers) if (each instanceof HttpsServer) each.setSecureContext({ key, cert });
    })
    .catch((error: unknown) => log.error({ err: error }, 'the certificate was not renewed'));
}, LOOK_MS);
looking.unref();

/** What is under way is answered first; a browser's spare connection, open without a request, is not waited for. */
const GRACE_MS = 2_000;

async function stop(): Promise<void> {
  changes.close();
  sockets.close();
  stopWires();
  backups.stop();
  for (const each of servers) each.closeIdleConnections();
  setTimeout(() => servers.forEach((each) => each.closeAllConnections()), GRACE_MS).unref();
  await Promise.all(servers.map((each) => new Promise((closed) => each.close(closed))));
  await Promise.all([searches.close(), seasons.close(), dayPlans.close(), watch.stop()]);
  await db.close();
  process.exit(0);
}
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
