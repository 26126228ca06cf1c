import { type DayProblem, type DayTask, HANDS, isCannerResource, type ScheduledTask, WATCH } from '../day/dayProblem';

/** Rather than leave jars half done a cook works on so long past the hours; what is left then waits for the morning. */
export const WORKS_ON_MIN = 150;
/** Hours shut that long are a night. A shorter time is a break, and is kept. */
const NIGHT_MIN = 240;

type Span = readonly [from: number, to: number];

export interface Link {
  /** The other step. */
  readonly task: number;
  readonly minLag: number;
}

export interface Room {
  readonly id: string;
  readonly capacity: number;
  readonly closed: readonly Span[];
  readonly taken: readonly { readonly from: number; readonly to: number; readonly amount: number }[];
  readonly isPeople: boolean;
}

/** A planned day made ready to be lived any number of times: what waits for what, what each step holds, when hands are there. */
export interface DayGround {
  readonly tasks: readonly DayTask[];
  readonly rooms: readonly Room[];
  /** By task: what it needs of each room. */
  readonly needs: readonly (readonly (readonly [room: number, amount: number])[])[];
  /** What waits for the end of a step, and what for its beginning. */
  readonly afterEnd: readonly (readonly Link[])[];
  readonly afterStart: readonly (readonly Link[])[];
  /** How many of both a step waits for, and what feeds it to its own end. */
  readonly waitsFor: readonly number[];
  readonly fedBy: readonly (readonly Link[])[];
  readonly isHands: readonly boolean[];
  /** Started at once with what it is tied to, whoever holds what: a canner that heats goes on to the boil. */
  readonly isTied: readonly boolean[];
  /** Not before this minute: what is planned for after a night is done after it. */
  readonly from: readonly number[];
  readonly planned: readonly number[];
  /** Its place in the order that the day goes by. */
  readonly rank: readonly number[];
  /** Breaks in which hands rest and come back to what they were at. */
  readonly breaks: readonly Span[];
}

/** @param plan the order the day goes by; what is not in it is done as soon as it can be */
export function groundOf({ resources, tasks }: DayProblem, plan: readonly ScheduledTask[]): DayGround {
  const startOf = new Map(plan.map(({ task, startMin }) => [task.id, startMin]));
  const hands = resources.find(({ id }) => id === HANDS)?.closed ?? [];
  const nights = hands.filter(isNight);
  const planned = tasks.map(({ id }) => startOf.get(id) ?? 0);
  const rooms = resources
    .filter(({ id }) => !isCannerResource(id))
    .map(({ id, capacity, closed = [], taken = [] }): Room => {
      const isPeople = id === HANDS || id === WATCH;
      const later = closed.map(([from, to]): Span => [
        isPeople && isNight([from, to]) ? Math.min(to, from + WORKS_ON_MIN) : from,
        to,
      ]);
      return { id, capacity, closed: later, taken, isPeople };
    });
  const roomOf = new Map(rooms.map(({ id }, i) => [id, i]));
  return {
    tasks,
    rooms,
    needs: tasks.map(({ needs }) =>
      Object.entries(needs).flatMap(([id, amount]) => {
        const room = roomOf.get(id);
        return room === undefined || amount === 0 ? [] : [[room, amount] as const];
      }),
    ),
    ...linksOf(tasks),
    isHands: tasks.map(({ needs }) => (needs[HANDS] ?? 0) > 0),
    isTied: tasks.map(
      ({ after, kind }) => kind !== 'prepare' && kind !== 'fill' && after.some(({ maxLag }) => maxLag === 0),
    ),
    from: tasks.map(({ id, releaseMin = 0 }) => {
      const start = startOf.get(id) ?? 0;
      return Math.max(releaseMin, ...nights.filter(([, to]) => to <= start).map(([, to]) => to));
    }),
    planned,
    rank: rankOf(planned),
    breaks: hands.filter((span) => !isNight(span)),
  };
}

function rankOf(planned: readonly number[]): number[] {
  const order = planned.map((_, i) => i).sort((a, b) => (planned[a] as number) - (planned[b] as number) || a - b);
  const rank = new Array<number>(planned.length).fill(0);
  order.forEach((task, i) => (rank[task] = i));
  return rank;
}

function linksOf(tasks: readonly DayTask[]): Pick<DayGround, 'afterEnd' | 'afterStart' | 'waitsFor' | 'fedBy'> {
  const indexOf = new Map(tasks.map(({ id }, i) => [id, i]));
  const none = () => tasks.map((): Link[] => []);
  const [afterEnd, afterStart, fedBy] = [none(), none(), none()];
  const waitsFor = tasks.map(() => 0);
  tasks.forEach(({ after }, task) => {
    for (const { task: id, minLag = 0, between } of after) {
      const before = indexOf.get(id);
      if (before === undefined) continue;
      if (between === 'end-end') fedBy[task]?.push({ task: before, minLag });
      else {
        (between === 'start-start' ? afterStart : afterEnd)[before]?.push({ task, minLag });
        waitsFor[task] = (waitsFor[task] as number) + 1;
      }
    }
  });
  return { afterEnd, afterStart, waitsFor, fedBy };
}

function isNight([from, to]: Span): boolean {
  return to - from >= NIGHT_MIN;
}
