import { alarmsOf } from '@hoddle/core/kitchen/alarms';
import { progressOf } from '@hoddle/core/kitchen/progressOf';
import { debriefOf } from '@hoddle/core/rehearsal/debrief';
import { RehearsedDay, type Sight } from '@hoddle/core/rehearsal/rehearsedDay';
import { useEffect } from 'react';
import { useDay } from '@/household/day/useDay';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { setRehearsalClock } from '@/store/rehearsalClock';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useRehearsalStore } from './rehearsalStore';

const MINUTE_MS = 60_000;
/** Looked ahead for something new: a soak over night is the longest that anybody waits for. */
const AHEAD_MIN = 20 * 60;

/** A rehearsal as it stands: what is to be seen, how to go on to what comes next, and what is learned at the end. */
export function useRehearsal() {
  const { running: asked, day: rehearsed } = useRehearsalStore();
  const { events } = useHousehold();
  const day = useDay();
  const now = useNow(1_000);
  const tell = useTellDay(day?.id ?? '');
  const running = day?.live?.running;
  useEffect(() => {
    if (!asked || rehearsed || !running) return;
    const fresh = new RehearsedDay(running.tasks, [...running.loads.keys()], asked.seed, asked.asked);
    useRehearsalStore.setState({ day: fresh });
  }, [asked, rehearsed, running]);
  const call = rehearsed?.mishaps.find((mishap) => mishap.kind === 'child-calls');
  const callAt = call?.kind === 'child-calls' && running ? running.startAt + call.atMin * MINUTE_MS : undefined;
  const isCalled = callAt !== undefined && now >= callAt;
  const cook = day?.question.setup.cooks[0]?.name;
  useEffect(() => {
    if (!isCalled || callAt === undefined || call?.kind !== 'child-calls' || cook === undefined) return;
    tell({ type: 'cook-away', cook, until: Math.round(callAt + call.minutes * MINUTE_MS) });
    // Once, when it comes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isCalled]);
  const sights: readonly Sight[] = rehearsed && running ? rehearsed.see({ running, events, now }) : [];
  const { dayEvents } = useHousehold();
  return {
    day,
    now,
    sights,
    rehearsed,
    isOver:
      running !== undefined &&
      [...running.loads.values()].every(({ state }) => ['cooling', 'checked'].includes(state.phase)),
    debrief: () =>
      rehearsed && running && day
        ? debriefOf(rehearsed, { running, events, dayEvents, batches: day.batches, now })
        : undefined,
    /** Sets the clock on to the minute in which something new is to be seen or heard. */
    onToNext: () => {
      if (!rehearsed || !running) return;
      const seenAt = (at: number) => {
        const sightKeys = rehearsed.see({ running, events, now: at }).map((sight) => keyOf(sight));
        const alarmKeys = alarmsOf(running, progressOf(running, at), at).map(({ id }) => id);
        return new Set([...sightKeys, ...alarmKeys]);
      };
      const known = seenAt(now);
      for (let minute = 1; minute <= AHEAD_MIN; minute += minute < 120 ? 1 : 5) {
        const at = now + minute * MINUTE_MS;
        if ([...seenAt(at)].some((key) => !known.has(key))) return setRehearsalClock({ at });
      }
      setRehearsalClock({ at: now + 30 * MINUTE_MS });
    },
  };
}

export function keyOf(sight: Sight): string {
  if (sight.kind === 'step-finished') return `${sight.kind} ${sight.taskId}`;
  if (sight.kind === 'mishap') return `${sight.kind} ${sight.mishap.kind}`;
  return `${sight.kind} ${sight.loadId} ${sight.since}`;
}
