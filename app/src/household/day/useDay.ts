import { type Day, dayAsked, dayInHand } from '@hoddle/core/kitchen/dayInHand';
import { closedDates } from '@hoddle/core/kitchen/closedDates';
import { openDay } from '@hoddle/core/kitchen/openDay';
import { stateOfDates } from '@hoddle/core/kitchen/questionOfDates';
import memoizeOne from 'memoize-one';
import { useEffect } from 'react';
import { useDayPlanStore } from '@/store/dayPlanStore';
import { useRestStore } from '@/store/restStore';
import { statesOf } from '@/store/standingLoads';
import { useHousehold, useNow } from '@/store/useHousehold';
import { isoDay } from '@/ui/clockWords';
import { type PlannedDay } from '@/workers/dayPlanAnswer';
import { batchesOf, dayQuestion, keyOf, ordersOf } from './dayQuestion';

const MINUTE_MS = 60_000;

/** How often it is looked whether another day is the one in the kitchen; every calendar turns on one of these. */
const TURN_MS = 15 * MINUTE_MS;

/**
 * The day being run or planned next: batches that still have a load to process, those of the same date, and those of dates that
 * hang together with it. Once something
 * has begun, the rest is laid out anew around it, minute by minute, in the order the kitchen goes by.
 */
export function useDay(): Day | undefined {
  const { batches, events, dayEvents, household, picks, lotChanges } = useHousehold();
  const now = useNow(60_000);
  const asked = askedDay(batches, events, dayEvents, household, picks, lotChanges, Math.floor(now / TURN_MS));
  const { plan, key } = useDayPlanStore();
  const lateMin = useRestStore((store) => store.lateMin);
  const lateOf = useRestStore((store) => store.dayId);
  useAsk(asked);
  if (!asked) return undefined;
  const found = key === asked.key ? plan : undefined;
  return dayOfPlan(asked, found, Math.floor(now / MINUTE_MS), lateOf === asked.id ? lateMin : undefined);
}

type Known = ReturnType<typeof useHousehold>;
type Asked = NonNullable<ReturnType<typeof askedDay>>;

/** One look, one answer: all parts of a screen that ask get the same objects. */
const askedDay = memoizeOne(
  (
    batches: Known['batches'],
    events: Known['events'],
    dayEvents: Known['dayEvents'],
    household: Known['household'],
    picks: Known['picks'],
    lotChanges: Known['lotChanges'],
    turn: number,
  ) => {
    const states = statesOf(batches, events);
    const orders = ordersOf(batches, events);
    const closed = closedDates(dayEvents);
    const date = openDay(batches, states, { now: turn * TURN_MS, dateOf: isoDay, closed });
    const own = date === undefined ? [] : batchesOf(isoDay(date), batches, { household, dayEvents });
    const [first] = own;
    if (!first) return undefined;
    const { timeZone } = household.kitchen;
    const state = stateOfDates(own, dayEvents, timeZone);
    const planned = dayQuestion(own, { household, picks, lotChanges, batches, events, dayEvents }, state);
    const asked = dayAsked(own, planned, state, { states, orders }, timeZone);
    return asked && { ...asked, key: keyOf(planned) };
  },
);

const dayOfPlan = memoizeOne(
  (asked: Asked, plan: PlannedDay | undefined, nowMinute: number, lateMin: number | undefined): Day =>
    dayInHand(asked, plan, nowMinute * MINUTE_MS, lateMin),
);

/** A search belongs to the question, not to the screen that asks it. A day that goes by an order asks no more. */
function useAsk(asked: Asked | undefined): void {
  const ask = useDayPlanStore((store) => store.ask);
  const wanted = asked && !asked.state.order ? asked : undefined;
  useEffect(() => {
    if (wanted) ask(wanted.key, wanted.question);
  }, [wanted, ask]);
}
