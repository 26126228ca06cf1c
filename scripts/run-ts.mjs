// Runs a TypeScript program of a room: bundled in memory by esbuild, packages left outside. Usage: run-ts.mjs FILE [WORD ...]
import { build } from 'esbuild';
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { packagesOutside } from './packagesOutside.mjs';

const [file] = process.argv.slice(2);
if (!file) throw new RangeError('usage: run-ts.mjs FILE');
// Beside the packages, so that what is left outside the bundle is found.
const outfile = resolve('node_modules/.hoddle', file.replace(/\W+/g, '-') + '.mjs');
mkdirSync(resolve('node_modules/.hoddle'), { recursive: true });
await build({
  ...{ entryPoints: [file], outfile, bundle: true, platform: 'node', format: 'esm' },
  plugins: [packagesOutside],
});
await import(pathToFileURL(outfile));
