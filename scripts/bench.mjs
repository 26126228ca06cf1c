// How long things take, printed with the machine: a look-up and a search, then a key press at every instrument.
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureModules, ensurePrograms } from './prepare.mjs';

ensureModules();
ensurePrograms({ chromium: 'chromium' });
ensureBuild();
const run = (command, args) => spawnSync(command, args, { stdio: 'inherit' }).status ?? 1;
const playwright = ['--no-install', 'playwright', 'test', '--config', 'e2e/playwright.config.ts', '--project', 'bench'];
process.exit(run(process.execPath, ['scripts/run-ts.mjs', 'core/bench/handbook.bench.ts']) || run('npx', playwright));
