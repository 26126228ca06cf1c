import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

/** Says what is being done on the error stream, so that the output keeps to its one line. */
function say(line) {
  process.stderr.write(`${line}\n`);
}

function has(program) {
  return spawnSync('sh', ['-c', `command -v ${program}`], { stdio: 'ignore' }).status === 0;
}

/** Runs a step to its end; its output is only shown when it fails. */
function run(command, args, env = {}) {
  const done = spawnSync(command, args, { encoding: 'utf8', env: { ...process.env, ...env }, maxBuffer: 64 << 20 });
  if (done.status === 0) return;
  say(`${done.stdout ?? ''}${done.stderr ?? ''}`);
  say(`${command} ${args.join(' ')} failed.`);
  process.exit(1);
}

/** Installs Debian packages for programs that are missing; without root it says what to install. */
export function ensurePrograms(packageOf) {
  const missing = Object.keys(packageOf).filter((program) => !has(program));
  if (missing.length === 0) return;
  const packages = [...new Set(missing.map((program) => packageOf[program]))];
  if (process.getuid?.() !== 0 || !has('apt-get')) {
    say(`Missing: ${missing.join(', ')}. Install ${packages.join(', ')} first.`);
    process.exit(1);
  }
  say(`Installing ${packages.join(', ')} ...`);
  run('apt-get', ['update', '-q']);
  run('apt-get', ['install', '-y', '-q', '--no-install-recommends', ...packages], {
    DEBIAN_FRONTEND: 'noninteractive',
  });
}

/** The npm packages of the lock file; sqlite3 is compiled, which takes a compiler and a few minutes. */
export function ensureModules() {
  const stamp = 'node_modules/.hoddle-lock';
  const lock = digest(['package-lock.json']);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  ensurePrograms({ python3: 'python3', make: 'make', 'g++': 'g++' });
  say('Installing npm packages, about 4 minutes ...');
  // Not `npm ci`: it refuses a lock that leaves out optional packages of other systems. This keeps to the lock as well.
  run('npm', ['install', '--no-audit', '--no-fund']);
  writeFileSync(stamp, lock);
}

/** The exported app and the bundled server, made again when a source has changed. */
export function ensureBuild() {
  const stamp = 'server/dist/.hoddle-sources';
  const sources = ['core', 'contract', 'server', 'app'].flatMap((room) => [
    ...(room === 'app' ? filesBelow('app/public') : []),
    ...filesBelow(`${room}/src`).filter((file) => !/\.test\.tsx?$/.test(file)),
    `${room}/package.json`,
  ]);
  const setup = [
    'app/build.mjs',
    'app/index.js',
    'app/app.json',
    'app/babel.config.js',
    'app/metro.config.js',
    'app/tailwind.config.js',
    'server/build.mjs',
    'scripts/packagesOutside.mjs',
  ];
  const made = digest([...sources.sort(), ...setup, 'package-lock.json']);
  if (existsSync('app/dist/index.html') && existsSync(stamp) && readFileSync(stamp, 'utf8') === made) return;
  say('Building the app and the server, about 2 minutes ...');
  const offline = { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production' };
  run('npm', ['run', 'build', '-w', '@hoddle/app'], offline);
  run('npm', ['run', 'build', '-w', '@hoddle/server']);
  mkdirSync('server/dist', { recursive: true });
  writeFileSync(stamp, made);
}

function filesBelow(folder) {
  return spawnSync('find', [folder, '-type', 'f'], { encoding: 'utf8' }).stdout.trim().split('\n');
}

function digest(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}
