import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { useEffect, useState } from 'react';
import { useHouseholdStore } from './householdStore';

/** The state a screen shows. Screens are only drawn once there is one. */
export function useHousehold(): Omit<HouseholdState, 'batches' | 'events' | 'batchRecords'> & {
  batches: Batch[];
  events: KitchenEvent[];
  batchRecords: BatchRecord[];
} {
  const state = useHouseholdStore((store) => store.state);
  if (!state) throw new Error('a screen was drawn before the household was there');
  return state as ReturnType<typeof useHousehold>;
}

/** The household's time right now, epoch milliseconds: the device's clock, or the demo's. */
export function householdNow(): number {
  return Date.now() + (useHouseholdStore.getState().state?.demoOffsetMs ?? 0);
}

/**
 * The household's time, read again on every whole `everyMs` of it (a countdown changes on the second) and when the page
 * comes back. Nothing runs in between, so a page that slept is right as soon as it is seen.
 */
export function useNow(everyMs: number): number {
  const offsetMs = useHouseholdStore((store) => store.state?.demoOffsetMs ?? 0);
  const [deviceNow, setDeviceNow] = useState(() => Date.now());
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      clearTimeout(timer);
      setDeviceNow(Date.now());
      timer = setTimeout(tick, everyMs - ((Date.now() + offsetMs) % everyMs));
    };
    tick();
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [everyMs, offsetMs]);
  return deviceNow + offsetMs;
}
