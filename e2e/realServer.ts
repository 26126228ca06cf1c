import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { createServer } from 'node:net';

const DIST = resolve(import.meta.dirname, '../server/dist');

export interface Started {
  readonly out: string;
  readonly code: number | null;
}

/** The built server as a process of its own, on a real file; it can be stopped, killed and started again. */
export class RealServer {
  private process: ChildProcess | undefined;

  private constructor(
    readonly port: number,
    readonly file: string,
    private readonly env: Record<string, string> = {},
  ) {}

  /** With a demo's file the household is Fennick Hollow on its own clock, else it is new and empty. */
  static async start({ demo = false, env = {}, passphrase = '' } = {}): Promise<RealServer> {
    const server = new RealServer(await freePort(), newFile(), env);
    if (demo) spawnSync(process.execPath, [join(DIST, 'seedDemo.js'), server.file], { stdio: 'inherit' });
    if (passphrase !== '') runCommand('passphrase', server.file, [], `${passphrase}\n`);
    await server.start();
    return server;
  }

  /** Another server upon a file that one had, under the same address. */
  static async again(port: number, file: string, env: Record<string, string>): Promise<RealServer> {
    const server = new RealServer(port, file, env);
    await server.start();
    return server;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  get isRunning(): boolean {
    return this.process !== undefined && this.process.exitCode === null && this.process.signalCode === null;
  }

  async start(): Promise<void> {
    this.process = launch({ PORT: String(this.port), HODDLE_DB: this.file, ...this.env });
    await new Promise<void>((ready, failed) => {
      this.process?.stdout?.once('data', () => ready());
      let complaint = '';
      this.process?.stderr?.on('data', (data) => (complaint += data));
      this.process?.once('exit', (code) => failed(new Error(`the server ended with ${code}: ${complaint}`)));
    });
  }

  /** As an operator stops it (SIGTERM), or as a power cut does (SIGKILL). */
  async stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<number | null> {
    const running = this.process;
    this.process = undefined;
    if (!running || running.exitCode !== null) return null;
    return new Promise((gone) => {
      running.once('exit', (code) => gone(code));
      running.kill(signal);
    });
  }

  async call(method: string, path: string, body?: unknown): Promise<{ status: number; body: unknown }> {
    const init =
      body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
    const reply = await fetch(`${this.address}/api${path}`, { method, ...init });
    return { status: reply.status, body: await reply.json() };
  }
}

/** Runs one of the commands beside the server to its end. */
export function runCommand(name: string, file: string, words: readonly string[] = [], input = '') {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(DIST, `${name}.js`), ...words], {
    ...{ input, encoding: 'utf8' },
    env: { ...process.env, HODDLE_DB: file },
  });
  return { status, out: stdout, err: stderr };
}

/** Runs the server until it ends by itself; for starts that must fail. */
export async function startAndFail(env: Record<string, string>): Promise<Started> {
  const running = launch(env);
  let out = '';
  running.stderr?.on('data', (data) => (out += data));
  running.stdout?.on('data', (data) => (out += data));
  const code = await new Promise<number | null>((ended) => running.once('exit', ended));
  return { out, code };
}

export function newFile(): string {
  return join(mkdtempSync(join(tmpdir(), 'hoddle-e2e-')), 'household.sqlite');
}

function launch(env: Record<string, string>): ChildProcess {
  return spawn(process.execPath, [join(DIST, 'main.js')], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
}

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await new Promise((listening) => probe.once('listening', listening));
  const { port } = probe.address() as { port: number };
  await new Promise((closed) => probe.close(closed));
  return port;
}
