import { type ScheduleProblem } from '../../src/day/search/scheduleProblem';

/**
 * The same problem as an integer program, one binary for each task and each minute it could start, in the LP format that
 * solvers read. Pritsker, Watters and Wolfe 1969. It knows nothing of how the search works.
 *
 * @param horizon minutes; a schedule that ends by then must exist
 */
export function timeIndexedModel({ resources, tasks }: ScheduleProblem, horizon: number): string {
  const closedFor = (needs: Readonly<Record<string, number>>) =>
    resources.filter(({ id }) => (needs[id] ?? 0) > 0).flatMap(({ closed = [] }) => closed);
  const { first, last } = windows(tasks, horizon);
  const starts = tasks.map(({ minutes, needs }, i) => {
    const from = first[i] as number;
    const all = Array.from({ length: Math.max(0, (last[i] as number) - from + 1) }, (_, k) => from + k);
    const closed = minutes > 0 ? closedFor(needs) : [];
    return all.filter((at) => closed.every(([from, to]) => at + minutes <= from || at >= to));
  });
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const x = (i: number, t: number) => `x${i}_${t}`;
  const begin = (i: number, sign: '+' | '-') =>
    (starts[i] ?? [])
      .filter((t) => t > 0)
      .map((t) => `${sign} ${t} ${x(i, t)}`)
      .join(' ');
  const rows: string[] = [];
  for (const [i, { minutes, after = [] }] of tasks.entries()) {
    rows.push(`${(starts[i] ?? []).map((t) => `+ 1 ${x(i, t)}`).join(' ')} = 1`);
    rows.push(`+ 1 over ${begin(i, '-')} >= ${minutes}`);
    for (const { task, minLag = 0, maxLag } of after) {
      const j = index.get(task) as number;
      const gap = (tasks[j]?.minutes ?? 0) + minLag;
      rows.push(`${begin(i, '+')} ${begin(j, '-')} + 0 over >= ${gap}`);
      if (maxLag !== undefined) rows.push(`${begin(i, '+')} ${begin(j, '-')} + 0 over <= ${gap - minLag + maxLag}`);
    }
  }
  for (const { id, capacity, taken = [] } of resources) {
    const goneAt = (t: number) =>
      taken.reduce((sum, { from, to, amount }) => sum + (from <= t && t < to ? amount : 0), 0);
    for (let t = 0; t < horizon; t++) {
      const held = tasks.flatMap(({ minutes, needs }, i) =>
        (starts[i] ?? []).filter((at) => at <= t && at > t - minutes).map((at) => `+ ${needs[id] ?? 0} ${x(i, at)}`),
      );
      if (held.some((part) => !part.startsWith('+ 0 ')))
        rows.push(`${held.join(' ')} <= ${Math.max(0, capacity - goneAt(t))}`);
    }
  }
  const binaries = starts.flatMap((own, i) => own.map((t) => x(i, t)));
  return `Minimize\n obj: over\nSubject To\n${rows.map((row, k) => ` c${k}: ${row}`).join('\n')}\nBounds\n 0 <= over <= ${horizon}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}

/** First and last start by releases, dues and lags alone: fewer binaries for the solver. */
function windows(tasks: ScheduleProblem['tasks'], horizon: number) {
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const first = tasks.map(({ release = 0 }) => release);
  const last = tasks.map(({ minutes, due = Infinity }) => Math.min(horizon, due) - minutes);
  for (let round = 0; round < tasks.length; round++) {
    for (const [i, { minutes, after = [] }] of tasks.entries()) {
      for (const { task, minLag = 0 } of after) {
        const j = index.get(task) as number;
        const length = tasks[j]?.minutes ?? minutes;
        first[i] = Math.max(first[i] as number, (first[j] as number) + length + minLag);
        last[j] = Math.min(last[j] as number, (last[i] as number) - minLag - length);
      }
    }
  }
  return { first, last };
}
