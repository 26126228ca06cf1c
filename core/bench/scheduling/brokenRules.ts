import { type Literal, type Placed, type ScheduleProblem, type SearchTask } from '../../src/scheduling/scheduleProblem';

/** Times closer than this are the same. */
const SAME = 1e-6;

/** A task as the decisions have it: how long, and what it holds. */
interface Held {
  readonly task: SearchTask;
  readonly minutes: number;
  readonly needs: Readonly<Record<string, number>>;
}

/** Every rule a schedule breaks, looked at one by one straight from the problem. Empty when there is none. */
export function brokenRules(
  { resources, tasks: asked, clauses = [] }: ScheduleProblem,
  placed: readonly Placed[],
  decisions: ReadonlyMap<string, boolean> = new Map(),
): string[] {
  const holds = (literal: Literal) =>
    literal.startsWith('!') ? decisions.get(literal.slice(1)) !== true : decisions.get(literal) === true;
  const broken = clauses.filter((clause) => !clause.some(holds)).map((clause) => `none of ${clause.join(', ')} holds`);
  const at = new Map(placed.map((entry) => [entry.id, entry]));
  const isThere = ({ presence }: SearchTask) => presence === undefined || holds(presence);
  const tasks = asked.filter(isThere).map((task): Held => {
    const chosen = (task.modes ?? []).filter(({ when }) => holds(when));
    if (task.modes && chosen.length !== 1) broken.push(`${task.id} is done in ${chosen.length} ways`);
    const [mode] = chosen;
    const needs = { ...task.needs };
    for (const [id, amount] of Object.entries(mode?.needs ?? {})) needs[id] = (needs[id] ?? 0) + amount;
    return { task, minutes: mode?.minutes ?? task.minutes, needs };
  });
  if (placed.length !== tasks.length) broken.push(`${placed.length} of ${tasks.length} tasks`);
  for (const { task, minutes, needs } of tasks) {
    const { id, after = [], release = 0, due = Infinity } = task;
    const own = at.get(id);
    if (!own) {
      broken.push(`${id} is missing`);
      continue;
    }
    if (Math.abs(own.end - own.start - minutes) > SAME) broken.push(`${id} has another length`);
    if (own.start < release - SAME) broken.push(`${id} starts before ${release}`);
    if (own.end > due + SAME) broken.push(`${id} ends after ${due}`);
    for (const { task: before, minLag = 0, maxLag = Infinity, between = 'end-start', when } of after) {
      const other = at.get(before);
      if ((when !== undefined && !holds(when)) || !other) continue;
      const lag = (between === 'end-end' ? own.end : own.start) - (between === 'start-start' ? other.start : other.end);
      if (!(lag >= minLag - SAME && lag <= maxLag + SAME)) broken.push(`${id} comes ${lag} min after ${before}`);
    }
    for (const { id: resource, closed = [] } of resources) {
      if (!((needs[resource] ?? 0) > 0) || minutes === 0) continue;
      for (const [from, to] of closed) {
        if (own.start < to - SAME && own.end > from + SAME && to > from)
          broken.push(`${id} runs while ${resource} is closed`);
      }
    }
  }
  for (const { id, capacity, taken = [] } of resources) {
    for (const start of [...placed.map((entry) => entry.start), ...taken.map(({ from }) => from)]) {
      const held = tasks.reduce((sum, { task, needs }) => {
        const own = at.get(task.id);
        const runs = own !== undefined && own.start <= start + SAME && own.end > start + SAME;
        return sum + (runs ? (needs[id] ?? 0) : 0);
      }, 0);
      const gone = taken.reduce(
        (sum, { from, to, amount }) => sum + (from <= start + SAME && to > start + SAME ? amount : 0),
        0,
      );
      if (held > 0 && held + gone > capacity) broken.push(`${held + gone} of ${id} at ${start}`);
    }
  }
  return broken;
}
