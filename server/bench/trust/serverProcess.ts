import { type ChildProcess, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { sendRaw, type RawReply } from './sendRaw';

const MAIN = resolve('server/dist/main.js');

/** The built server as a process of its own, which can be killed at any moment. */
export class ServerProcess {
  private running: ChildProcess | undefined;
  address = '';

  constructor(
    private readonly file: string,
    private readonly env: Record<string, string> = {},
  ) {}

  /** Starts it, and waits until it answers. @throws Error with what it said when it ended instead */
  async start(): Promise<void> {
    const running = this.launch();
    let complaint = '';
    running.stderr?.on('data', (piece) => (complaint += piece));
    await new Promise<void>((ready, failed) => {
      running.stdout?.once('data', (line: Buffer) => {
        this.address = /http\S+/.exec(String(line))?.[0] ?? '';
        ready();
      });
      running.once('exit', (code) => failed(new Error(`ended with ${code}: ${complaint}`)));
    });
  }

  /** Starts it and does not wait. */
  launch(): ChildProcess {
    this.running = spawn(process.execPath, [MAIN], {
      env: { ...process.env, PORT: '0', HODDLE_DB: this.file, LOG_LEVEL: 'fatal', HODDLE_LIMITS: 'off', ...this.env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    return this.running;
  }

  /** Ends it as a power cut does, or as an operator. */
  async stop(signal: 'SIGKILL' | 'SIGTERM' = 'SIGTERM'): Promise<void> {
    const running = this.running;
    this.running = undefined;
    if (!running || running.exitCode !== null || running.signalCode !== null) return;
    await new Promise((gone) => {
      running.once('exit', gone);
      running.kill(signal);
    });
  }

  /** The most memory it ever had. https://man7.org/linux/man-pages/man5/proc_pid_status.5.html, VmHWM. */
  highestMb(): number {
    const told = readFileSync(`/proc/${this.running?.pid}/status`, 'utf8');
    return Math.round(Number(/VmHWM:\s+(\d+) kB/.exec(told)?.[1]) / 1_024);
  }

  call(method: string, path: string, body?: unknown): Promise<RawReply> {
    const text = body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body);
    return sendRaw(this.address, {
      ...{ method, path, headers: { 'content-type': 'application/json' } },
      ...(text !== undefined && { body: text }),
    });
  }
}

export function afterMs(ms: number): Promise<void> {
  return new Promise((over) => setTimeout(over, ms));
}
