// Everything CI asks for, on a fresh machine too: formatting, types, lint, arrows between the rooms, dead code, Jest,
// Playwright. All of it runs even when something fails; the last line counts tests and checks.
import { Buffer } from 'node:buffer';
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { freemem, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureModules, ensurePrograms } from './prepare.mjs';

// The engine of the days is a project of its own, with its own rule about indexes; the others read what it declares.
const ROOMS = ['core/src/scheduling/tsconfig.tests.json', 'core', 'contract', 'server', 'app', 'e2e'];
const results = mkdtempSync(join(tmpdir(), 'hoddle-test-'));
const scratch = scratchFolder();
process.on('exit', () => rmSync(scratch, { recursive: true, force: true }));
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(1));
const count = { passed: 0, failed: 0 };

/**
 * Where the tests put their households: in memory where the machine has room for it. Each write of a household waits until it is
 * on the disk, and ten thousand of them are waited for by nobody but the test.
 */
function scratchFolder() {
  const MEMORY = '/dev/shm';
  try {
    const { bavail, bsize } = statfsSync(MEMORY);
    if (bavail * bsize > 4e9 && freemem() > 8e9) return mkdtempSync(join(MEMORY, 'hoddle-test-'));
  } catch {
    // A machine without it.
  }
  return mkdtempSync(join(tmpdir(), 'hoddle-test-'));
}

function programOf(command) {
  return command === 'node' ? [process.execPath, []] : ['npx', ['--no-install', command]];
}

function run(title, command, args, env = {}) {
  process.stdout.write(`\n== ${title}\n`);
  const [program, before] = programOf(command);
  const { status } = spawnSync(program, [...before, ...args], {
    stdio: 'inherit',
    env: { ...process.env, TMPDIR: scratch, ...env },
  });
  return status === 0;
}

/** A check that passes or fails as a whole. */
function check(title, command, args) {
  count[run(title, command, args) ? 'passed' : 'failed'] += 1;
}

/** Checks one after the other; what each says is shown once it is over, so that lanes beside each other can be read. */
async function lane(checks) {
  for (const [title, command, args] of checks) {
    const [program, before] = programOf(command);
    const said = [];
    const child = spawn(program, [...before, ...args], { stdio: ['ignore', 'pipe', 'pipe'] });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => said.push(data));
    const status = await new Promise((over) => child.once('close', over));
    process.stdout.write(`\n== ${title}\n${Buffer.concat(said)}`);
    count[status === 0 ? 'passed' : 'failed'] += 1;
  }
}

/** A test runner: its own counts, or one failure when it broke before it could count. */
function suite(title, command, args, file, read, env) {
  const ok = run(title, command, args, env);
  try {
    const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
    count.passed += passed;
    count.failed += ok ? failed : Math.max(1, failed);
  } catch {
    count.failed += 1;
  }
}

ensureModules();
// PDF files are held against programs that are not ours.
ensurePrograms({ chromium: 'chromium', qpdf: 'qpdf', pdftoppm: 'poppler-utils', pdftotext: 'poppler-utils' });

const SOURCES = ['core/src', 'contract/src', 'server/src', 'app/src'];
// Each of these takes one core, and the linter as long as all the others.
await Promise.all([
  lane([['lint', 'eslint', ['--max-warnings', '0', '.']]]),
  lane([
    ['formatting', 'prettier', ['--check', '--log-level', 'warn', '.']],
    ...ROOMS.map((room) => [`types: ${room}`, 'tsc', ['-b', room]]),
    ['arrows between the rooms', 'depcruise', ['--config', '.dependency-cruiser.cjs', ...SOURCES]],
    ['dead code', 'knip', ['--no-config-hints']],
  ]),
]);

const jestFile = join(results, 'jest.json');
const jestCache = join(tmpdir(), 'hoddle-jest');
suite(
  'jest',
  'jest',
  ['--ci', '--json', '--outputFile', jestFile, '--cacheDirectory', jestCache],
  jestFile,
  (jest) => ({
    passed: jest.numPassedTests,
    failed: jest.numFailedTests + jest.numRuntimeErrorTestSuites,
  }),
);

ensureBuild();
check('weight of the app', 'node', ['scripts/budget.mjs']);
const playwrightFile = join(results, 'playwright.json');
suite(
  'playwright',
  'playwright',
  ['test', '--config', 'e2e/playwright.config.ts', '--project', 'journeys'],
  playwrightFile,
  ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  { PLAYWRIGHT_JSON_OUTPUT_FILE: playwrightFile },
);

process.stdout.write(`\n${count.passed} passed, ${count.failed} failed\n`);
process.exit(count.failed === 0 ? 0 : 1);
