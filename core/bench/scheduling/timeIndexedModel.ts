import { type Literal, type ScheduleProblem, type SearchTask } from '../../src/scheduling/scheduleProblem';

/** One way to do a task: how long, what it holds, and the literal under which it is done so. */
interface Way {
  readonly minutes: number;
  readonly needs: Readonly<Record<string, number>>;
  readonly when: Literal | undefined;
}

/**
 * The same problem as an integer program, one binary for each way to do a task and each minute it could start, one for each
 * decision, in the LP format that solvers read. Pritsker, Watters and Wolfe 1969; lags that hang on decisions by a large number.
 * It knows nothing of how the search works.
 *
 * What does not count has a due time here, which may be later than the horizon.
 *
 * @param horizon minutes; a schedule that ends by then must exist, or there is none
 */
export function timeIndexedModel({ resources, tasks, clauses = [] }: ScheduleProblem, horizon: number): string {
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const ways = tasks.map(waysOf);
  const windows = windowsOf(tasks, ways, horizon);
  const starts = tasks.map(({ needs: common }, i) =>
    (ways[i] as Way[]).map(({ minutes, needs }) => {
      const [from, to] = windows[i] as readonly [number, number];
      const last = to - minutes;
      const all = Array.from({ length: Math.max(0, last - from + 1) }, (_, k) => from + k);
      const closed = resources
        .filter(({ id }) => (needs[id] ?? common[id] ?? 0) > 0 && minutes > 0)
        .flatMap(({ closed: own = [] }) => own);
      return all.filter((at) => closed.every(([begin, end]) => at + minutes <= begin || at >= end || end <= begin));
    }),
  );
  const names = new Map<string, string>();
  const literal = (told: Literal): { name: string; isOpposite: boolean } => {
    const isOpposite = told.startsWith('!');
    const name = isOpposite ? told.slice(1) : told;
    if (!names.has(name)) names.set(name, `y${names.size}`);
    return { name: names.get(name) as string, isOpposite };
  };
  /** A sum of literals with a factor each, as terms and a constant. */
  const sumOf = (parts: readonly (readonly [factor: number, told: Literal])[]) => {
    let constant = 0;
    const terms = parts.map(([factor, told]) => {
      const { name, isOpposite } = literal(told);
      if (isOpposite) constant += factor;
      return term(isOpposite ? -factor : factor, name);
    });
    return { terms: terms.join(' '), constant };
  };
  const x = (i: number, w: number, t: number) => `x${i}_${w}_${t}`;
  const moments = (i: number, factor: number, isEnd: boolean) =>
    (ways[i] as Way[])
      .flatMap(({ minutes }, w) =>
        (starts[i]?.[w] ?? []).map((t) => term(factor * (t + (isEnd ? minutes : 0)), x(i, w, t))),
      )
      .join(' ');
  const rows: string[] = [];
  for (const [i, { presence, uncounted, after = [] }] of tasks.entries()) {
    const all = (starts[i] ?? []).flatMap((own, w) => own.map((t) => `+ 1 ${x(i, w, t)}`)).join(' ');
    const there = presence === undefined ? { terms: '', constant: -1 } : sumOf([[-1, presence]]);
    rows.push(`${all} ${there.terms} + 0 over = ${-there.constant}`);
    for (const [w, { when }] of (ways[i] as Way[]).entries()) {
      if (when === undefined) continue;
      const own = (starts[i]?.[w] ?? []).map((t) => `+ 1 ${x(i, w, t)}`).join(' ');
      const chosen = sumOf([[-1, when]]);
      rows.push(`${own} ${chosen.terms} + 0 over = ${-chosen.constant}`);
    }
    if (!uncounted) rows.push(`+ 1 over ${moments(i, -1, true)} >= 0`);
    for (const { task, minLag = 0, maxLag, between = 'end-start', when } of after) {
      const j = index.get(task) as number;
      const open = [when, presence, tasks[j]?.presence].filter((each): each is Literal => each !== undefined);
      const big = 4 * horizon;
      const gap = `${moments(i, 1, between === 'end-end')} ${moments(j, -1, between !== 'start-start')} + 0 over`;
      const least = sumOf(open.map((told) => [-big, told]));
      rows.push(`${gap} ${least.terms} >= ${minLag - big * open.length - least.constant}`);
      if (maxLag === undefined) continue;
      const most = sumOf(open.map((told) => [big, told]));
      rows.push(`${gap} ${most.terms} <= ${maxLag + big * open.length - most.constant}`);
    }
  }
  for (const clause of clauses) {
    const { terms, constant } = sumOf(clause.map((told) => [1, told]));
    rows.push(`${terms} + 0 over >= ${1 - constant}`);
  }
  for (const { id, capacity, taken = [] } of resources) {
    const goneAt = (t: number) =>
      taken.reduce((sum, { from, to, amount }) => sum + (from <= t && t < to ? amount : 0), 0);
    const until = tasks.reduce((end, { uncounted, due = 0 }) => (uncounted ? Math.max(end, due) : end), horizon);
    for (let t = 0; t < until; t++) {
      const held = tasks.flatMap(({ needs: common }, i) =>
        (ways[i] as Way[]).flatMap(({ minutes, needs }, w) => {
          const amount = (common[id] ?? 0) + (needs[id] ?? 0);
          if (amount === 0) return [];
          return (starts[i]?.[w] ?? [])
            .filter((at) => at <= t && at > t - minutes)
            .map((at) => `+ ${amount} ${x(i, w, at)}`);
        }),
      );
      if (held.length > 0) rows.push(`${held.join(' ')} <= ${Math.max(0, capacity - goneAt(t))}`);
    }
  }
  const binaries = [
    ...starts.flatMap((own, i) => own.flatMap((each, w) => each.map((t) => x(i, w, t)))),
    ...names.values(),
  ];
  return `Minimize\n obj: over\nSubject To\n${rows.map((row, k) => ` c${k}: ${row}`).join('\n')}\nBounds\n 0 <= over <= ${horizon}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}

function term(factor: number, name: string): string {
  return factor < 0 ? `- ${-factor} ${name}` : `+ ${factor} ${name}`;
}

function waysOf({ minutes, modes, presence }: SearchTask): Way[] {
  return modes?.map((mode) => mode) ?? [{ minutes, needs: {}, when: presence }];
}

/** First start and latest end by releases, dues and the lags that always hold: fewer binaries for the solver. */
function windowsOf(tasks: ScheduleProblem['tasks'], ways: readonly Way[][], horizon: number) {
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const least = ways.map((own) => Math.min(...own.map(({ minutes }) => minutes)));
  const first = tasks.map(({ release = 0 }) => release);
  const last = tasks.map(({ due = Infinity, uncounted }) => (uncounted ? due : Math.min(horizon, due)));
  for (let round = 0; round < tasks.length; round++) {
    for (const [i, { after = [], presence }] of tasks.entries()) {
      for (const { task, minLag = 0, between = 'end-start', when } of after) {
        const j = index.get(task) as number;
        if (when !== undefined || presence !== undefined || tasks[j]?.presence !== undefined) continue;
        if (between !== 'end-start') continue;
        first[i] = Math.max(first[i] as number, (first[j] as number) + (least[j] as number) + minLag);
        last[j] = Math.min(last[j] as number, (last[i] as number) - minLag - (least[i] as number));
      }
    }
  }
  return first.map((from, i) => [from, last[i] as number] as const);
}
