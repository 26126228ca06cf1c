import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express from 'express';
import staticFiles from 'express-static-gzip';
import { Problem } from './problem';

/** Files whose name holds the sum of what is in them: what such an address once gave it gives for ever. */
const HASHED = /-[0-9a-f]{16,}\.\w+$|\.[0-9a-f]{16,}(@\dx)?\.\w+$/;

const FOR_EVER = 'public, max-age=31536000, immutable';

/** Folders of files: an address in them that is not there is an error, never a page. */
const FILES = /^\/(_expo|assets|fonts|icons|scan)\/|^\/[\w-]+\.(js|json|webmanifest|png|ico|map)$/;

/** The exported app: its files, compressed when it was built, and its one page at every other address. */
export function appFiles(folder: string): express.Router {
  const router = express.Router();
  router.use(
    staticFiles(folder, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: {
        setHeaders: (res, path) => {
          const name = path.replace(/\.(br|gz)$/, '');
          res.setHeader('cache-control', HASHED.test(name) ? FOR_EVER : 'no-cache');
        },
      },
    }),
  );
  // As some cameras and hands write what stands on a label in capitals.
  router.get('/j/:code', (req, res, next) =>
    req.path.startsWith('/J/') ? next() : res.redirect(`/J/${encodeURIComponent(req.params.code)}`),
  );
  router.get('/{*path}', (req, res) => {
    if (FILES.test(req.path))
      throw new Problem(404, 'not-found', 'There is no such file. The app may be another by now.');
    const page = join(folder, 'index.html');
    if (!existsSync(page)) throw new Problem(404, 'not-built', 'The app is not built yet: npm run build.');
    res.set('cache-control', 'no-cache').sendFile(page);
  });
  return router;
}
