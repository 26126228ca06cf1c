import { cpus } from 'node:os';

/** All that is left to chance begins with it. */
export const SEED = Number(process.env.SEED ?? 20_260_829);

export function say(line: string): void {
  process.stdout.write(`${line}\n`);
}

/** What the figures were measured on. */
export function machine(): string {
  const [first] = cpus();
  return `${cpus().length} x ${first?.model.trim() ?? 'unknown'}, Node ${process.version}, seed ${SEED}`;
}
