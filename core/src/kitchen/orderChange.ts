import { endOfDay, type ScheduledTask } from '../day/dayProblem';

/** A better order must be over so much sooner to be worth a change of mind. */
export const WORTH_MIN = 5;

/** What another order of the rest of a day changes. Minutes from the start of the plan. */
export interface OrderChange {
  readonly endBeforeMin: number;
  readonly endAfterMin: number;
  /** The loads that go in at another time or into another canner, the one that moves most first. */
  readonly loads: readonly {
    readonly loadId: string;
    readonly fromMin?: number;
    readonly toMin: number;
    readonly cannerId?: string;
  }[];
}

/** What is different for the loads that have not gone in yet. */
export function orderChange(before: readonly ScheduledTask[], after: readonly ScheduledTask[]): OrderChange {
  const loadsOf = (tasks: readonly ScheduledTask[]) =>
    new Map(tasks.flatMap((entry) => (entry.task.kind === 'load' ? [[entry.task.loadId ?? '', entry] as const] : [])));
  const was = loadsOf(before);
  const moved = [...loadsOf(after)].flatMap(([loadId, { startMin: toMin, task }]) => {
    const old = was.get(loadId);
    const elsewhere = old && old.task.cannerId !== task.cannerId;
    if (old && !elsewhere && Math.abs(old.startMin - toMin) < WORTH_MIN) return [];
    const canner = elsewhere || !old ? { cannerId: task.cannerId } : {};
    return [{ loadId, toMin, ...(old && { fromMin: old.startMin }), ...canner }];
  });
  const by = ({ fromMin, toMin }: { fromMin?: number; toMin: number }) => Math.abs(toMin - (fromMin ?? toMin));
  return {
    endBeforeMin: endOfDay(before),
    endAfterMin: endOfDay(after),
    loads: moved.sort((a, b) => by(b) - by(a)),
  };
}
