// How good and how fast, printed with the machine: a look-up and a search, estimates and forecasts against simulated
// households with a known truth, labels and tables, then a key press at every instrument.
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureModules, ensurePrograms } from './prepare.mjs';

ensureModules();
ensurePrograms({ chromium: 'chromium' });
ensureBuild();
const run = (command, args) => spawnSync(command, args, { stdio: 'inherit' }).status ?? 1;
const playwright = ['--no-install', 'playwright', 'test', '--config', 'e2e/playwright.config.ts', '--project', 'bench'];
const programs = ['handbook', 'yields', 'harvest', 'instruments', 'day', 'kitchen', 'pantry', 'season'].map(
  (name) => `core/bench/${name}.bench.ts`,
);
const failed = [...programs, 'server/bench/paper.bench.ts', 'server/bench/instruments.bench.ts']
  .map((file) => run(process.execPath, ['scripts/run-ts.mjs', file]))
  .some((status) => status !== 0);
process.exit(failed ? 1 : run('npx', playwright));
