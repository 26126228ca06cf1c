import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { withWhatWentIn } from '@hoddle/core/day/whatWentIn';
import memoizeOne from 'memoize-one';
import { useEffect, useState } from 'react';
import { stateAsEntered, useHouseholdStore } from './householdStore';
import { setHouseholdZone } from './householdZone';
import { pagesOf } from './pagesOf';
import { rehearsalNow, useRehearsalClock } from './rehearsalClock';

/** The state a screen shows. Screens are only drawn once there is one. */
export function useHousehold(): Known {
  const state = useHouseholdStore((store) => store.rehearsed ?? store.state);
  if (!state) throw new Error('a screen was drawn before the household was there');
  return asItStands(state);
}

type Known = Omit<HouseholdState, 'batches' | 'events' | 'dayEvents' | 'batchRecords'> & {
  /** As they stand: with what was changed on the day, and what went in where that was written down. */
  batches: Batch[];
  events: KitchenEvent[];
  dayEvents: DayEvent[];
  batchRecords: BatchRecord[];
};

/** One state, one answer: every screen that asks gets the same objects. */
const asItStands = memoizeOne((state: Known): Known => {
  const { batches, dayEvents, events, household, batchRecords } = state;
  // Before any date of it is told.
  setHouseholdZone(household.kitchen.timeZone);
  const ground = groundOf(household.altitudeFt, pagesOf(state));
  return { ...state, batches: wentIn(standing(batches, dayEvents, events, ground), batchRecords) };
});
const standing = memoizeOne(batchesNow);
const wentIn = memoizeOne(withWhatWentIn<Batch>);
const groundOf = memoizeOne((altitudeFt: number | null, pages: HouseholdPages) => ({ altitudeFt, pages }));

/** The household as it stands this moment, after whatever was entered before: for a key that enters one thing after another. */
export function householdAsEntered(): Known | undefined {
  const state = stateAsEntered();
  return state && asItStands(state);
}

/** The household's time right now, epoch milliseconds: the server's clock, as this device last measured it, or a rehearsal's. */
export function householdNow(): number {
  const rehearsed = rehearsalNow();
  if (rehearsed !== undefined) return Math.round(rehearsed);
  const { aheadMs, state } = useHouseholdStore.getState();
  return Math.round(Date.now() + (aheadMs ?? state?.demoOffsetMs ?? 0));
}

/**
 * The household's time, read again on every whole `everyMs` of it (a countdown changes on the second) and when the page
 * comes back. Nothing runs in between, so a page that slept is right as soon as it is seen.
 */
export function useNow(everyMs: number): number {
  const offsetMs = useHouseholdStore((store) => store.aheadMs ?? store.state?.demoOffsetMs ?? 0);
  const { clock } = useRehearsalClock();
  const speed = clock?.speed ?? 1;
  const [deviceNow, setDeviceNow] = useState(() => Date.now());
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      clearTimeout(timer);
      setDeviceNow(Date.now());
      const wait = speed === 1 ? everyMs - ((Date.now() + offsetMs) % everyMs) : everyMs / speed;
      timer = setTimeout(tick, Math.max(LEAST_WAIT_MS, Math.ceil(wait)));
    };
    tick();
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [everyMs, offsetMs, speed, clock]);
  if (!clock) return deviceNow + offsetMs;
  // Read at the moment it is drawn: between two ticks it may have been set on.
  return clock.isPaused ? clock.at : clock.at + Math.max(0, deviceNow - clock.deviceAt) * clock.speed;
}

/** A rehearsal at 60 times is drawn a few times a second, and no oftener. */
const LEAST_WAIT_MS = 200;
