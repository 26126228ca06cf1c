import { BURNERS, HANDS, isCannerResource, type ScheduledTask } from '@hoddle/core/day/dayProblem';

/** Scale of the strip; below this words of short steps would lie on each other. */
export const PX_PER_MIN = 1.45;
const TOP_PX = 14;

/** A pause at least so long, in which nobody does anything and no pot is on, is drawn short. */
const LONG_PAUSE_MIN = 120;
const PAUSE_PX = 84;

/** Minutes from the start of the plan in which everything only waits. */
export interface Pause {
  readonly fromMin: number;
  readonly toMin: number;
  /** After the likely end: nothing is on any more. */
  readonly afterEnd: boolean;
}

export interface StripScale {
  /** Where a minute of the plan lies, in pixels from the top. */
  readonly yOf: (minute: number) => number;
  /** The pauses that are drawn short, in their order. */
  readonly pauses: readonly Pause[];
}

/** From one minute of the plan to another. */
interface Span {
  readonly startMin: number;
  readonly endMin: number;
}

/**
 * The scale of a day: even, but for nights and soaks, which would be screens of nothing.
 *
 * @param lateMin how late it may be over; the strip ends there
 * @param besides when somebody is at something else: drawn to scale too
 */
export function stripScale(tasks: readonly ScheduledTask[], lateMin = 0, besides: readonly Span[] = []): StripScale {
  const pauses = longPauses(tasks, lateMin, besides);
  const yOf = (minute: number) => {
    let y = TOP_PX + minute * PX_PER_MIN;
    for (const { fromMin, toMin } of pauses) {
      const passed = Math.min(1, Math.max(0, (minute - fromMin) / (toMin - fromMin)));
      y -= passed * ((toMin - fromMin) * PX_PER_MIN - PAUSE_PX);
    }
    return y;
  };
  return { yOf, pauses };
}

function longPauses(tasks: readonly ScheduledTask[], lateMin: number, besides: readonly Span[]): Pause[] {
  const own: readonly Span[] = tasks.filter(
    ({ task: { needs, uncounted }, startMin }) =>
      !(uncounted && startMin > lateMin) &&
      Object.keys(needs).some((id) => id === HANDS || id === BURNERS || isCannerResource(id)),
  );
  const busy = [...own, ...besides].sort((a, b) => a.startMin - b.startMin);
  const pauses: Pause[] = [];
  let until = busy[0]?.startMin ?? 0;
  for (const { startMin, endMin } of busy) {
    if (startMin - until >= LONG_PAUSE_MIN) pauses.push({ fromMin: until, toMin: startMin, afterEnd: false });
    until = Math.max(until, endMin);
  }
  // The likely end keeps its own lines.
  const from = until + 15;
  if (lateMin - from >= LONG_PAUSE_MIN) pauses.push({ fromMin: from, toMin: lateMin - 5, afterEnd: true });
  return pauses;
}
