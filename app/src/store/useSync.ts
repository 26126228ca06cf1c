import { StateChange } from '@hoddle/contract/stateChange';
import { useEffect } from 'react';
import * as v from 'valibot';
import { hearInstruments, instrumentsSilent } from './instrumentStore';
import { reportUncaught } from './reportError';
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
      instrumentsSilent();
      line?.close();
      line = undefined;
    };
    const listen = () => {
      if (line || typeof EventSource === 'undefined') return;
      line = new EventSource('/api/changes');
      // Refused for good (too many lines, shut out): the next look opens another one.
      line.onerror = () => {
        instrumentsSilent();
        if (line?.readyState === EventSource.CLOSED) hangUp();
      };
      line.addEventListener('instruments', ({ data }: MessageEvent<string>) => hearInstruments(data));
      line.onmessage = ({ data }: MessageEvent<string>) => {
        const change = data === 'here' ? undefined : v.safeParse(StateChange, JSON.parse(data));
        if (change?.success) useHouseholdStore.getState().hear(change.output);
        else sync();
      };
    };
    const look = () => {
      // A page nobody sees keeps no line open: a browser has few of them.
      if (document.visibilityState !== 'visible') return hangUp();
      listen();
      sync();
    };
    look();
    const stopReporting = reportUncaught();
    const timer = setInterval(() => document.visibilityState === 'visible' && look(), ASK_MS);
    const stopWatching = watchClock((byMs) => useHouseholdStore.getState().clockJumped(byMs));
    document.addEventListener('visibilitychange', look);
    // A line that was open when the network went is dead: it is opened anew as soon as there is one.
    window.addEventListener('offline', hangUp);
    window.addEventListener('online', look);
    return () => {
      clearInterval(timer);
      stopWatching();
      stopReporting();
      hangUp();
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('offline', hangUp);
      window.removeEventListener('online', look);
    };
  }, []);
}
