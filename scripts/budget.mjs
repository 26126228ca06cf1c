// What the app may weigh, in bytes as they are sent (gzip; fonts as they are): `app/budget.json`. A bare app of the same platform
// weighs 325,000 bytes of scripts; `npm run bench` builds one beside ours.
import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { gzipSync } from 'node:zlib';

const DIST = 'app/dist';
const allowed = JSON.parse(readFileSync('app/budget.json', 'utf8'));
const files = readdirSync(DIST, { recursive: true }).map((name) => join(DIST, String(name)));
const weigh = (file) => gzipSync(readFileSync(file), { level: 9 }).length;
const sum = (all) => all.reduce((total, each) => total + each, 0);

const page = readFileSync(join(DIST, 'index.html'), 'utf8');
const first = [...page.matchAll(/<script src="\/([^"]+)"/g)].map(([, file]) => join(DIST, file));
const scripts = files.filter((file) => file.endsWith('.js') && basename(file) !== 'sw.js');
const workers = readdirSync('app/src/workers')
  .filter((name) => name.endsWith('.worker.ts'))
  .map((name) => name.replace('.worker.ts', ''));
const isWorker = (file) => workers.some((name) => basename(file).startsWith(`${name}-`));
const later = scripts.filter((file) => !first.includes(file) && !isWorker(file));
const fonts = files.filter((file) => file.endsWith('.woff2'));

const is = {
  firstLoad: sum(first.map(weigh)),
  largestLater: Math.max(...later.map(weigh)),
  worker: Math.max(...scripts.filter(isWorker).map(weigh)),
  fonts: sum(fonts.map((file) => readFileSync(file).length)),
  // The reader of codes: fetched when the camera is opened, or kept for use without signal.
  wasm: sum(files.filter((file) => file.endsWith('.wasm')).map(weigh)),
  everything: sum([...scripts.map(weigh), ...fonts.map((file) => readFileSync(file).length)]),
};
let over = 0;
for (const [what, bytes] of Object.entries(is)) {
  const fits = bytes <= allowed[what];
  if (!fits) over += 1;
  process.stdout.write(`${what}: ${bytes} of ${allowed[what]} bytes${fits ? '' : ', too much'}\n`);
}
process.exit(over === 0 ? 0 : 1);
