// The app as the server gives it: exported, cut into what the first screen needs and what comes later, compressed, and with the
// worker that keeps it in the browser.
import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { generateSW } from 'workbox-build';

const DIST = 'dist';

rmSync(DIST, { recursive: true, force: true });
const { status } = spawnSync('npx', ['--no-install', 'expo', 'export', '-p', 'web', '--output-dir', DIST], {
  stdio: 'inherit',
});
if (status !== 0) process.exit(status ?? 1);
// Pictures of the router's own pages, which no screen shows, and a note for other platforms.
rmSync(join(DIST, 'assets'), { recursive: true, force: true });
rmSync(join(DIST, 'metadata.json'), { force: true });

// The reader of codes: what no bundler takes along.
mkdirSync(join(DIST, 'scan'), { recursive: true });
copyFileSync(
  fileURLToPath(import.meta.resolve('zxing-wasm/reader/zxing_reader.wasm')),
  join(DIST, 'scan/zxing_reader.wasm'),
);

const early = await earlyScript();
writeFileSync(join(DIST, 'index.html'), page(readFileSync(join(DIST, 'index.html'), 'utf8')));
const { warnings, count } = await generateSW({
  globDirectory: DIST,
  globPatterns: ['**/*.{js,css,html,woff2,png,svg,webmanifest,wasm}'],
  swDest: join(DIST, 'sw.js'),
  // A name with a sum in it is one file for ever; the others are known by their own sum.
  dontCacheBustURLsMatching: /-[0-9a-f]{16,}\.\w+$/,
  maximumFileSizeToCacheInBytes: 8 << 20,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/pair/, /^\/authority\//, /^\/open\//, /^\/j\//],
  inlineWorkboxRuntime: true,
  cleanupOutdatedCaches: true,
  // A newer one waits until it is taken, or until no tab is open.
  skipWaiting: false,
  clientsClaim: true,
  sourcemap: false,
});
for (const warning of warnings) console.warn(warning);
for (const file of filesBelow(DIST)) compress(file);
console.log(`${count} files are kept for use without signal.`);

/** The one page: the file that several screens share is named, not fetched; what the first screen needs is asked for at once. */
function page(exported) {
  const shared = /<script src="([^"]*__common[^"]*)" defer><\/script>\n?/.exec(exported);
  if (!shared) throw new Error('the exported page names no shared file: the screens are not split');
  const fonts = filesBelow(DIST).filter(
    (file) => /400-[0-9a-f]{16}\.woff2$/.test(file) || /700-[0-9a-f]{16}\.woff2$/.test(file),
  );
  const head = [
    `<script src="/${early}" async></script>`,
    `<meta name="hoddle-shared" content="${shared[1]}">`,
    '<meta name="description" content="Plans the canning season, runs the preserving day and keeps the pantry.">',
    '<link rel="manifest" href="/app.webmanifest">',
    '<link rel="icon" href="/icons/jar.svg" type="image/svg+xml">',
    '<link rel="apple-touch-icon" href="/icons/jar-180.png">',
    ...fonts.map(
      (file) => `<link rel="preload" href="/${file.slice(DIST.length + 1)}" as="font" type="font/woff2" crossorigin>`,
    ),
  ];
  return exported.replace(shared[0], '').replace('</head>', `${head.join('\n')}\n</head>`);
}

/** What is asked for first is a script of its own, a few hundred bytes: it runs while the app is on its way. */
async function earlyScript() {
  const { outputFiles } = await build({
    entryPoints: ['src/shell/early.ts'],
    ...{ bundle: true, minify: true, format: 'iife', target: 'es2020', write: false },
  });
  const text = outputFiles[0].contents;
  const sum = createHash('sha256').update(text).digest('hex').slice(0, 32);
  const file = `_expo/static/js/web/early-${sum}.js`;
  writeFileSync(join(DIST, file), text);
  return file;
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesBelow(path) : [path];
  });
}

/** Beside each text its compressed forms, made once and as small as they get. */
function compress(file) {
  if (!/\.(js|css|html|svg|webmanifest|wasm)$/.test(file) || statSync(file).size < 512) return;
  const text = readFileSync(file);
  const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: text.length };
  writeFileSync(`${file}.br`, brotliCompressSync(text, { params }));
  writeFileSync(`${file}.gz`, gzipSync(text, { level: 9 }));
}
