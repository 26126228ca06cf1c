// Builds the bare app of the same platform beside which ours is weighed: copied next to the modules it is built from, because the
// bundler wants a project of its own.
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

const FOLDER = '.bare';
const STAMP = join(FOLDER, 'dist/.lock');

/** @returns the folder of the built app; it is built anew when a package is another. */
export function ensureBare() {
  const lock = String(readFileSync('package-lock.json').length) + readFileSync('e2e/bare/src/app/index.tsx', 'utf8');
  const dist = join(FOLDER, 'dist');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return dist;
  rmSync(FOLDER, { recursive: true, force: true });
  cpSync('e2e/bare', FOLDER, { recursive: true });
  const { status, stderr } = spawnSync('npx', ['--no-install', 'expo', 'export', '-p', 'web', '--output-dir', 'dist'], {
    cwd: FOLDER,
    encoding: 'utf8',
    env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production' },
  });
  if (status !== 0) throw new Error(`the bare app did not build: ${stderr}`);
  for (const file of readdirSync(dist, { recursive: true }).map((name) => join(dist, String(name)))) {
    if (!/\.(js|css|html)$/.test(file)) continue;
    const text = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(text));
    writeFileSync(`${file}.gz`, gzipSync(text, { level: 9 }));
  }
  writeFileSync(STAMP, lock);
  return dist;
}
