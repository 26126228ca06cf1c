// Takes the pictures of docs/screenshots anew, from the demo household.
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureModules, ensurePrograms } from './prepare.mjs';

ensureModules();
ensurePrograms({ chromium: 'chromium' });
ensureBuild();
const args = ['--no-install', 'playwright', 'test', '--config', 'e2e/playwright.config.ts', '--project', 'shots'];
process.exit(spawnSync('npx', args, { stdio: 'inherit' }).status ?? 1);
