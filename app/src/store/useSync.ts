import { useEffect } from 'react';
import { SCREEN_ID } from './api';
import { watchClock } from './householdClock';
import { useHouseholdStore } from './householdStore';

/** How often an open page asks for what another screen has entered, where the server cannot tell it. */
const ASK_MS = 15_000;

/** Keeps this browser and the server together: at once when another screen writes, when the page or the network comes back. */
export function useSync(): void {
  useEffect(() => {
    const sync = () => void useHouseholdStore.getState().sync();
    let line: EventSource | undefined;
    const hangUp = () => {
      line?.close();
      line = undefined;
    };
    const listen = () => {
      if (line || typeof EventSource === 'undefined') return;
      line = new EventSource('/api/changes');
      // What this screen wrote itself it knows.
      line.onmessage = ({ data }: MessageEvent<string>) => data !== `changed ${SCREEN_ID}` && sync();
    };
    const look = () => {
      // A page nobody sees keeps no line open: a browser has few of them.
      if (document.visibilityState !== 'visible') return hangUp();
      listen();
      sync();
    };
    look();
    const timer = setInterval(() => document.visibilityState === 'visible' && sync(), ASK_MS);
    const stopWatching = watchClock((byMs) => useHouseholdStore.getState().clockJumped(byMs));
    document.addEventListener('visibilitychange', look);
    window.addEventListener('online', sync);
    return () => {
      clearInterval(timer);
      stopWatching();
      hangUp();
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('online', sync);
    };
  }, []);
}
