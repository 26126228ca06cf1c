import { type ScheduledTask, type TaskKind } from '@hoddle/core/day/dayProblem';
import { type LoadState } from '@hoddle/core/kitchen/loadState';

const MINUTE_MS = 60_000;

/** What is told of a load, the latest first, and the planned step that was to begin at that moment. */
const TOLD: readonly [
  keyof Pick<LoadState, 'outAt' | 'heatOffAt' | 'boilAt' | 'startedAt'>,
  TaskKind,
  'startMin' | 'endMin',
][] = [
  ['outAt', 'unload', 'endMin'],
  ['heatOffAt', 'rest', 'startMin'],
  ['boilAt', 'process', 'startMin'],
  ['startedAt', 'load', 'endMin'],
];

/**
 * How far the day runs behind its plan (or, below 0, ahead of it), in milliseconds: the last thing told of the load that
 * was started last, against the plan. 0 while nothing has begun.
 */
export function daysDriftMs(
  startAt: number,
  tasks: readonly ScheduledTask[],
  states: ReadonlyMap<string, LoadState>,
): number {
  const begun = [...states].filter(([, state]) => state.startedAt !== undefined);
  const last = begun.sort(([, a], [, b]) => (b.startedAt ?? 0) - (a.startedAt ?? 0))[0];
  if (!last) return 0;
  const [loadId, state] = last;
  for (const [moment, kind, edge] of TOLD) {
    const at = state[moment];
    const planned = tasks.find(({ task }) => task.loadId === loadId && task.kind === kind);
    if (at !== undefined && planned) return at - (startAt + planned[edge] * MINUTE_MS);
  }
  return 0;
}
