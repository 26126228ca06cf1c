import { type CompiledLag, type CompiledProblem } from './compiledProblem';
import { openFrom } from './forbiddenStarts';
import { notMet, quote } from './notMet';
import { type RuleNotMet, type SearchTask } from './scheduleProblem';

/**
 * Earliest starts pushed on by lags and closed times until nothing moves; then the same for the latest ones. What must come soon
 * after a task says how late that ends: where it has modes, its start may be before that by the longest of them.
 */
export function spread(drawn: {
  ids: readonly string[];
  /** Of the shortest mode, and of the longest. */
  minutes: readonly number[];
  longest: readonly number[];
  lags: readonly CompiledLag[];
  holes: CompiledProblem['holes'];
  earliest: number[];
  latest: number[];
  tasks: readonly SearchTask[];
}): RuleNotMet | undefined {
  const { ids, minutes, longest, lags, holes, earliest, latest, tasks } = drawn;
  const late = (i: number) => {
    const task = tasks[i];
    if (task.due !== undefined) {
      return notMet(`${quote(task.id)} cannot be over by ${task.due} min: what comes before it takes longer.`, [
        task.id,
      ]);
    }
    return notMet(`${quote(task.id)} has no time: its longest lags and closed times leave none.`, [task.id]);
  };
  for (let round = 0; ; round++) {
    let moved = -1;
    let jumped = false;
    const move = (i: number, at: number) => {
      if (earliest[i] >= at) return;
      earliest[i] = at;
      moved = i;
    };
    for (const { from, to, least, most } of lags) {
      move(to, earliest[from] + minutes[from] + least);
      if (most < Infinity) move(from, earliest[to] - most - longest[from]);
    }
    for (const [i, own] of holes.entries()) {
      const open = openFrom(earliest[i], own);
      jumped ||= open > earliest[i];
      move(i, open);
    }
    const stuck = ids.findIndex((_, i) => earliest[i] > latest[i]);
    if (stuck >= 0) return late(stuck);
    if (moved < 0) break;
    // As many rounds as tasks are enough after each jump over a closed time, unless lags push each other round and round.
    if (jumped) round = 0;
    if (round > ids.length) {
      return notMet(`The least and longest lags around ${quote(ids[moved])} contradict each other.`, [ids[moved]]);
    }
  }
  for (let moved = true; moved;) {
    moved = false;
    const move = (i: number, at: number) => {
      if (latest[i] <= at) return;
      latest[i] = at;
      moved = true;
    };
    for (const { from, to, least, most } of lags) {
      move(from, latest[to] - least - minutes[from]);
      if (most < Infinity) move(to, latest[from] + longest[from] + most);
    }
    for (const [i, own] of holes.entries()) {
      for (let k = own.length - 1; k >= 0; k--) {
        const [first, last] = own[k];
        if (latest[i] >= first && latest[i] <= last) move(i, first - 1);
      }
    }
    const stuck = ids.findIndex((_, i) => earliest[i] > latest[i]);
    if (stuck >= 0) return late(stuck);
  }
  return undefined;
}
