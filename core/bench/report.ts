import { cpus } from 'node:os';

/** The machine and the seed, to stand over every figure. */
export function machineWords(seed: number): string {
  return `${cpus()[0]?.model ?? 'unknown machine'}, Node ${process.version}, seed ${seed}`;
}

/** A line of the report. */
export function say(line: string): void {
  process.stdout.write(`${line}\n`);
}
