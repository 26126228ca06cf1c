import { type ChildProcess, spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { type RealServer } from './realServer';

const DEVICES = resolve(import.meta.dirname, '../server/dist/devices.js');

/** The simulated scales and probes as somebody starts them beside a server: `npm run devices`. */
export class SimulatedDevices {
  private constructor(private readonly process: ChildProcess) {}

  static async start(server: RealServer, words: readonly string[] = []): Promise<SimulatedDevices> {
    const child = spawn(process.execPath, [DEVICES, '--url', `ws://127.0.0.1:${server.port}/instruments`, ...words]);
    await new Promise<void>((ready, failed) => {
      child.stdout.once('data', () => ready());
      child.once('exit', (code) => failed(new Error(`the simulated instruments ended with ${code}`)));
    });
    return new SimulatedDevices(child);
  }

  /** Something happens in their kitchen: "flame 1 0". */
  happens(line: string): void {
    this.process.stdin?.write(`${line}\n`);
  }

  stop(): void {
    this.process.kill();
  }
}
