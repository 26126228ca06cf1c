import { readFileSync } from 'node:fs';

/** Starts to watch; asked again, says what part of this machine's time its host gave to others meanwhile, in percent. */
export function hostTook(): () => number {
  const from = times();
  return () => {
    const to = times();
    return Math.round((100 * (to.stolen - from.stolen)) / Math.max(1, to.all - from.all));
  };
}

/** First line of /proc/stat: user, nice, system, idle, iowait, irq, softirq, steal, in ticks of all processors. */
function times(): { all: number; stolen: number } {
  const ticks = readFileSync('/proc/stat', 'utf8').split('\n')[0]?.split(/\s+/).slice(1, 9).map(Number) ?? [];
  return { all: ticks.reduce((sum, each) => sum + each, 0), stolen: ticks[7] ?? 0 };
}
