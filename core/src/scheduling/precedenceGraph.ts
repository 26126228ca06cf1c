import { type CompiledLag } from './compiledProblem';
import { type SearchTask } from './scheduleProblem';

/** Tasks with what they wait for first; undefined when some wait in a circle. */
export function orderOf(count: number, lags: readonly CompiledLag[]): number[] | undefined {
  const waiting = new Array<number>(count).fill(0);
  const next = Array.from({ length: count }, (): number[] => []);
  for (const { from, to } of lags) {
    waiting[to]++;
    next[from]?.push(to);
  }
  const order = waiting.flatMap((n, i) => (n === 0 ? [i] : []));
  for (let k = 0; k < order.length; k++) {
    for (const to of next[order[k]]) if (--waiting[to] === 0) order.push(to);
  }
  return order.length === count ? order : undefined;
}

/** The ids of tasks that wait for each other in a circle, where there is one. */
export function circleOf(tasks: readonly SearchTask[], lags: readonly CompiledLag[]): string[] {
  const before = new Map<number, number[]>();
  for (const { from, to } of lags) before.set(to, [...(before.get(to) ?? []), from]);
  const inCircle = new Set(tasks.keys());
  for (let shrunk = true; shrunk;) {
    shrunk = false;
    for (const i of inCircle) {
      if ((before.get(i) ?? []).some((from) => inCircle.has(from))) continue;
      inCircle.delete(i);
      shrunk = true;
    }
  }
  const path: number[] = [];
  for (let i = [...inCircle][0] ?? 0; !path.includes(i);) {
    path.unshift(i);
    i = (before.get(i) ?? []).find((from) => inCircle.has(from)) ?? i;
  }
  return path.map((i) => tasks[i]?.id ?? '');
}

/**
 * Least time from the end of each task to the end of all, by lags alone; tasks in an order they can be done in. None of a task
 * that does not count: -Infinity.
 */
export function tailsOf(
  order: readonly number[],
  lags: readonly CompiledLag[],
  minutes: readonly number[],
  counts: (task: number) => boolean,
): number[] {
  const tail = minutes.map((_, i) => (counts(i) ? 0 : -Infinity));
  const after = minutes.map((): CompiledLag[] => []);
  for (const lag of lags) after[lag.from]?.push(lag);
  for (const i of [...order].reverse()) {
    for (const { to, least } of after[i]) {
      tail[i] = Math.max(tail[i], least + minutes[to] + tail[to]);
    }
  }
  return tail;
}
