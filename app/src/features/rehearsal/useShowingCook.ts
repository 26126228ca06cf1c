import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { nextTap } from '@hoddle/core/rehearsal/simulatedCook';
import { useEffect, useRef } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { useRehearsalClock } from '@/store/rehearsalClock';
import { useHousehold } from '@/store/useHousehold';
import { type useRehearsal } from './useRehearsal';

/** A tap can be followed by the eye. */
const BETWEEN_MS = 600;

/** A cook who shows how it is done: looks what is to be seen and taps by the rules, one thing after the other. */
export function useShowingCook(
  isOn: boolean,
  { rehearsed, day, now, onToNext }: Pick<ReturnType<typeof useRehearsal>, 'rehearsed' | 'day' | 'now' | 'onToNext'>,
): void {
  const { events } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const latest = useRef<() => void>(() => undefined);
  useEffect(() => {
    latest.current = () => {
      const running = day?.live?.running;
      if (!rehearsed || !day || !running) return;
      const tap = nextTap(rehearsed, { running, events, now }, { hands: day.question.setup.cooks.length });
      // At its fastest nobody watches the waits.
      if (!tap && useRehearsalClock.getState().clock?.speed === 60) onToNext();
      if (!tap) return;
      const common = { id: uuidV7(), at: Math.round(now) };
      if (tap.of === 'day') {
        void enter({ kind: 'day-event', event: { ...common, day: day.id, ...tap.told } as DayEvent });
        return;
      }
      const tested = running.loads.get(tap.loadId)?.order.processMinutes;
      const isClock = tap.told.type === 'boil-reached' || tap.told.type === 'heat-off';
      const event = { ...common, loadId: tap.loadId, ...tap.told, ...(isClock && { tested }) } as KitchenEvent;
      void enter({ kind: 'event', event });
    };
  });
  useEffect(() => {
    if (!isOn) return undefined;
    const timer = setInterval(() => latest.current(), BETWEEN_MS);
    return () => clearInterval(timer);
  }, [isOn]);
}
