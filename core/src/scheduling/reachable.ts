import { type CompiledProblem } from './compiledProblem';

/** Whether one task always ends before another starts. */
export type Reach = (from: number, to: number) => boolean;

/** Which tasks always end before which others start, by lags alone: the transitive closure of the precedence graph. */
export function reachable({ minutes, lags }: CompiledProblem): Reach {
  const count = minutes.length;
  const words = (count + 31) >> 5;
  const after = Array.from({ length: count }, (): number[] => []);
  for (const { from, to, when, least } of lags) if (when === 0 && least >= 0) after[from]?.push(to);
  const rows = new Array<Uint32Array | undefined>(count);
  const visit = (start: number) => {
    // Depth first without recursion: a chain may be as long as there are tasks.
    const stack = [start];
    while (stack.length > 0) {
      const i = stack.at(-1) as number;
      const open = after[i].find((to) => !rows[to]);
      if (open !== undefined) {
        stack.push(open);
        continue;
      }
      const row = new Uint32Array(words);
      for (const to of after[i]) {
        row[to >> 5] |= 1 << (to & 31);
        (rows[to] as Uint32Array).forEach((word, w) => (row[w] |= word));
      }
      rows[i] = row;
      stack.pop();
    }
  };
  for (let i = 0; i < count; i++) if (!rows[i]) visit(i);
  return (from, to) => ((rows[from] as Uint32Array)[to >> 5] & (1 << (to & 31))) !== 0;
}
