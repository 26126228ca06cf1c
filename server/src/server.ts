import { randomUUID } from 'node:crypto';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { limitRates, type Limits, USUAL_LIMITS } from './access/limits';
import { holdPage } from './access/holdPage';
import { holdHost, holdOrigin } from './access/ownOrigin';
import { type Pairing } from './access/pairing';
import { PAIRING_PAGE, PAIRING_POLICY } from './access/pairingPage';
import { holdRole, whoAsks } from './access/who';
import { type Backups } from './backup/nightly';
import { type Changes } from './changes';
import { type Clock } from './clock';
import { type Database } from './db/openDatabase';
import { errorHandler } from './errorHandler';
import { holdIds, holdPath } from './holdPath';
import { type HouseholdWatch } from './instruments/householdWatch';
import { notPlain } from './plainJson';
import { Problem } from './problem';
import { requestContext } from './requestContext';
import { withoutKey } from './log';
import { appFiles } from './appFiles';
import { accessRoute, whoOf } from './routes/access';
import { type OpenAddresses } from './access/openAddresses';
import { type CalendarOf, householdCalendar } from './calendar/householdCalendar';
import { type PlanDay } from './calendar/plannedDays';
import { calendarRoute } from './routes/calendar';
import { openAddressesRoute } from './routes/openAddresses';
import { openedRoute } from './routes/opened';
import { papersRoute } from './routes/papers';
import { backupRoute } from './routes/backup';
import { batchesRoute } from './routes/batches';
import { batchRecordsRoute } from './routes/batchRecords';
import { checkedRowsRoute } from './routes/checkedRows';
import { convertRoute } from './routes/convert';
import { dayEventsRoute } from './routes/dayEvents';
import { estimateRoute } from './routes/estimate';
import { everythingRoute } from './routes/everything';
import { exportsRoute } from './routes/exports';
import { fitRoute } from './routes/fit';
import { gardenRoute } from './routes/garden';
import { goalsRoute } from './routes/goals';
import { hardwareMovesRoute } from './routes/hardwareMoves';
import { healthRoute } from './routes/health';
import { householdRoute } from './routes/household';
import { jarsInRoute } from './routes/jarsIn';
import { instrumentsRoute } from './routes/instruments';
import { kitchenEventsRoute } from './routes/kitchenEvents';
import { labelsRoute } from './routes/labels';
import { lotChangesRoute } from './routes/lotChanges';
import { movementsRoute } from './routes/movements';
import { openApiRoute } from './routes/openApi';
import { ownRecipesRoute } from './routes/ownRecipes';
import { ownMeasuresRoute } from './routes/ownMeasures';
import { picksRoute } from './routes/picks';
import { processRoute } from './routes/process';
import { productsRoute } from './routes/products';
import { recallsRoute } from './routes/recalls';
import { recipesRoute } from './routes/recipes';
import { rowsInRoute } from './routes/rowsIn';
import { scheduleRoute } from './routes/schedule';
import { seasonRoute } from './routes/season';
import { seasonPlansRoute } from './routes/seasonPlans';
import { sourcesRoute } from './routes/sources';
import { trustRoute } from './routes/trust';
import { type Authority } from './tls/authority';
import { type Schedule } from './workers/schedulePool';
import { type PlanSeasons } from './workers/seasonPool';

export interface ServerParts {
  readonly db: Database;
  readonly clock: Clock;
  readonly log: Logger;
  readonly schedule: Schedule;
  readonly planSeasons: PlanSeasons;
  readonly planDay: PlanDay;
  readonly changes: Changes;
  readonly backups: Backups;
  /** What scales and probes tell. */
  readonly instruments: Pick<HouseholdWatch, 'now' | 'hub'>;
  readonly pairing: Pairing;
  /** Addresses that are open without a device's key. */
  readonly open: OpenAddresses;
  /** Folder of the exported app; the API works without it. */
  readonly appFolder: string;
  /** Names it is asked by now; see `ownHosts`. */
  readonly hosts: () => ReadonlySet<string>;
  /** Where other devices reach it, as they type it. */
  readonly addresses: () => readonly string[];
  /** Addresses of reverse proxies whose word on who asks is believed. */
  readonly proxies?: readonly string[];
  /** The home's own certificate authority, where there is one. */
  readonly authority?: Authority;
  readonly limits?: Limits;
}

/** Wires the API under `/api` and the app on every other path. Nobody comes in who was not let in. */
export function createServer(parts: ServerParts): Express {
  const { log, pairing, appFolder, hosts, proxies = [], limits = USUAL_LIMITS, authority } = parts;
  const server = express();
  server.disable('x-powered-by');
  server.set('trust proxy', proxies.length > 0 ? [...proxies] : false);
  server.use(
    pinoHttp({ logger: log, useLevel: 'debug', genReqId: () => randomUUID(), serializers: { req: withoutKey } }),
  );
  server.use((req, res, next) => {
    const screen = req
      .get('x-screen')
      ?.replace(/[^\w-]/g, '')
      .slice(0, 40);
    res.set('x-request-id', String(req.id));
    requestContext.run({ id: String(req.id), ...(screen !== undefined && { screen }) }, next);
  });
  server.use(helmet({ contentSecurityPolicy: { directives: CONTENT_POLICY }, strictTransportSecurity: false }));
  server.use(holdHost(hosts));
  server.use('/api', holdPage(parts.db.state), holdOrigin, ...limitRates(limits), holdRole(pairing));
  server.use('/open', ...limitRates(limits));
  server.use(holdPath);
  server.use(compression({ filter: (req, res) => req.path !== '/api/changes' && compression.filter(req, res) }));
  server.use('/api/schedule', json('8mb'));
  server.use(['/api/jars-in', '/api/rows-in', '/api/papers', '/api/open-addresses', '/api/labels'], json('4mb'));
  server.use('/api/client-errors', json('32kb'));
  const calendarOf = householdCalendar(parts.db, parts.planDay);
  server.use('/api', jsonButForBackups, holdPlain, api(parts, calendarOf));
  server.use(openedRoute(parts.open, calendarOf));
  server.use(trustRoute(authority));
  server.use(door(pairing), appFiles(appFolder));
  server.use(errorHandler(log));
  return server;
}

const json = (limit: string) => express.json({ limit, strict: false });

const usualJson = json('1mb');

/** A backup is read as it comes in: whether it is whole is for its own route to say. */
const jsonButForBackups: express.RequestHandler = (req, res, next) =>
  req.path.toLowerCase().startsWith('/restore') ? next() : usualJson(req, res, next);

/** @throws Problem 400 for numbers, characters and nests that no text of a household holds */
const holdPlain: express.RequestHandler = (req, _res, next) => {
  const reason = notPlain(req.body) ?? notPlain(req.query);
  if (reason !== undefined) throw new Problem(400, 'not-plain', `What was sent ${reason}. Nothing was saved.`);
  next();
};

/** Nothing comes from anywhere but this server; styles are put in by the app itself, and plain http stays plain. */
const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  // The reader of codes is compiled code that ships with the app.
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:'],
  upgradeInsecureRequests: null,
};

function api(parts: ServerParts, calendarOf: CalendarOf): express.Router {
  const { db, clock, schedule, planSeasons, changes, backups, pairing, open, addresses, authority, log, instruments } =
    parts;
  const router = express.Router();
  router.get('/changes', (req, res) => changes.listen(res, req.ip ?? '', whoOf(res).device?.id));
  router.use((_req, _res, next) => {
    db.recipes.lay();
    next();
  });
  router.use(healthRoute({ db, backups, changes, log, startedAt: Date.now() }));
  router.use(holdIds);
  router.use(accessRoute({ pairing, changes, addresses, authority }));
  router.use(openApiRoute, productsRoute, convertRoute, estimateRoute(db, clock), fitRoute, scheduleRoute(schedule));
  router.use(processRoute(db), ownRecipesRoute(db), recipesRoute(db), checkedRowsRoute(db), sourcesRoute(db));
  router.use(
    householdRoute(db, clock),
    gardenRoute(db),
    picksRoute(db, clock),
    lotChangesRoute(db),
    ownMeasuresRoute(db),
  );
  router.use(
    batchesRoute(db),
    batchRecordsRoute(db),
    kitchenEventsRoute(db, clock),
    dayEventsRoute(db, clock),
    movementsRoute(db),
  );
  router.use(jarsInRoute(db), rowsInRoute(db), goalsRoute(db), hardwareMovesRoute(db), recallsRoute(db));
  router.use(seasonRoute(db), seasonPlansRoute(db, planSeasons, log));
  router.use(exportsRoute(db), everythingRoute(db), labelsRoute(), papersRoute(), calendarRoute(calendarOf));
  router.use(instrumentsRoute(db, instruments));
  router.use(openAddressesRoute(open, addresses), backupRoute(db, clock, backups));
  router.use(() => {
    throw new Problem(404, 'not-found', 'There is nothing at this address.');
  });
  return router;
}

/** Whoever was never let in sees the page on which a code is typed, whatever was asked for. */
function door(pairing: Pairing): express.RequestHandler {
  return (req, res, next) => {
    if (whoAsks(req, pairing)) return req.path === '/pair' ? res.redirect('/') : next();
    res.status(401).set({ 'content-security-policy': PAIRING_POLICY, 'cache-control': 'no-store' });
    res.type('html').send(PAIRING_PAGE);
  };
}
