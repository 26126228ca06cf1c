import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { type Changes } from './changes';
import { type Clock } from './clock';
import { type Database } from './db/openDatabase';
import { errorHandler } from './errorHandler';
import { Problem } from './problem';
import { backupRoute } from './routes/backup';
import { batchesRoute } from './routes/batches';
import { batchRecordsRoute } from './routes/batchRecords';
import { checkedRowsRoute } from './routes/checkedRows';
import { convertRoute } from './routes/convert';
import { dayEventsRoute } from './routes/dayEvents';
import { estimateRoute } from './routes/estimate';
import { exportsRoute } from './routes/exports';
import { fitRoute } from './routes/fit';
import { gardenRoute } from './routes/garden';
import { goalsRoute } from './routes/goals';
import { hardwareMovesRoute } from './routes/hardwareMoves';
import { householdRoute } from './routes/household';
import { jarsInRoute } from './routes/jarsIn';
import { kitchenEventsRoute } from './routes/kitchenEvents';
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
import { scheduleRoute } from './routes/schedule';
import { seasonRoute } from './routes/season';
import { seasonPlansRoute } from './routes/seasonPlans';
import { sourcesRoute } from './routes/sources';
import { type Schedule } from './workers/schedulePool';
import { type PlanSeasons } from './workers/seasonPool';

export interface ServerParts {
  readonly db: Database;
  readonly clock: Clock;
  readonly log: Logger;
  readonly schedule: Schedule;
  readonly planSeasons: PlanSeasons;
  readonly changes: Changes;
  /** Folder of the exported app; the API works without it. */
  readonly appFolder: string;
}

/** Wires the API under `/api` and the app on every other path. */
export function createServer({ db, clock, log, schedule, planSeasons, changes, appFolder }: ServerParts): Express {
  const server = express();
  server.disable('x-powered-by');
  server.use(pinoHttp({ logger: log, useLevel: 'debug' }));
  server.use(helmet({ contentSecurityPolicy: { directives: CONTENT_POLICY }, strictTransportSecurity: false }));
  server.use(compression());
  server.use('/api/schedule', express.json({ limit: '8mb' }));
  server.use('/api/jars-in', express.json({ limit: '4mb' }));
  server.use('/api', jsonButForBackups, api({ db, clock, schedule, planSeasons, changes }));
  server.use(app(appFolder));
  server.use(errorHandler(log));
  return server;
}

const json = express.json({ limit: '1mb' });

/** A backup is read as the text it is: whether it is whole is for its own route to say. */
const jsonButForBackups: express.RequestHandler = (req, res, next) =>
  req.path === '/restore' ? next() : json(req, res, next);

/** Nothing comes from anywhere but this server; styles are put in by the app itself, and plain http stays plain. */
const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:'],
  upgradeInsecureRequests: null,
};

function api({ db, clock, schedule, planSeasons, changes }: Omit<ServerParts, 'log' | 'appFolder'>): express.Router {
  const router = express.Router();
  router.get('/changes', (_req, res) => changes.listen(res));
  router.use(tellsChanges(changes));
  router.use((_req, _res, next) => {
    db.recipes.lay();
    next();
  });
  router.get('/health', (_req, res) => {
    res.json({ ok: true });
  });
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
  router.use(jarsInRoute(db), goalsRoute(db), hardwareMovesRoute(db), recallsRoute(db));
  router.use(seasonRoute(db), seasonPlansRoute(db, clock, planSeasons));
  router.use(exportsRoute(db), backupRoute(db, clock));
  router.use(() => {
    throw new Problem(404, 'not-found', 'There is nothing at this address.');
  });
  return router;
}

/** Whatever was written, the other screens hear of it at once. */
function tellsChanges(changes: Changes): express.RequestHandler {
  return (req, res, next) => {
    const screen = req.get('x-screen');
    if (req.method !== 'GET') res.once('finish', () => res.statusCode < 300 && changes.tell(screen));
    next();
  };
}

function app(folder: string): express.Router {
  const router = express.Router();
  router.use(express.static(folder, { index: 'index.html', maxAge: 0 }));
  router.get('/{*path}', (_req, res) => {
    const page = join(folder, 'index.html');
    if (!existsSync(page)) throw new Problem(404, 'not-built', 'The app is not built yet: npm run build.');
    res.sendFile(page);
  });
  return router;
}
