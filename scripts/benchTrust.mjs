// Attacks on the household's data: generated requests, flipped bytes, kills, backups while writing, load, a very large restore.
// Words choose some of them: npm run bench:trust -- flips load. SEED, ROUNDS, REQUESTS and SECONDS say how much.
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureModules } from './prepare.mjs';

ensureModules();
ensureBuild();
const words = process.argv.slice(2);
const { status } = spawnSync(process.execPath, ['scripts/run-ts.mjs', 'server/bench/trust.bench.ts', ...words], {
  stdio: 'inherit',
});
process.exit(status ?? 1);
