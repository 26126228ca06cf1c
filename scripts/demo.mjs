// Fennick Hollow on this machine: installs and builds what is missing, makes the demo's file, serves it.
// `npm run demo -- --fresh` starts the demo over. PORT and HOST say where.
import { spawn, spawnSync } from 'node:child_process';
import { ensureBuild, ensureModules } from './prepare.mjs';

const file = process.env.HODDLE_DB ?? 'data/demo.sqlite';
ensureModules();
ensureBuild();
const seeded = spawnSync(process.execPath, ['server/dist/seedDemo.js', file, ...process.argv.slice(2)], {
  stdio: 'inherit',
});
if (seeded.status !== 0) process.exit(1);

const server = spawn(process.execPath, ['server/dist/main.js'], {
  stdio: 'inherit',
  env: { ...process.env, HODDLE_DB: file },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
