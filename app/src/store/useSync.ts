import { useEffect } from 'react';
import { useHouseholdStore } from './householdStore';

/** How often an open page asks for what another screen of the household has entered. */
const ASK_MS = 15_000;

/** Keeps this browser and the server together: at once, when the page or the network comes back, and now and then. */
export function useSync(): void {
  useEffect(() => {
    const sync = () => void useHouseholdStore.getState().sync();
    const whenVisible = () => document.visibilityState === 'visible' && sync();
    sync();
    const timer = setInterval(whenVisible, ASK_MS);
    document.addEventListener('visibilitychange', whenVisible);
    window.addEventListener('online', sync);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', whenVisible);
      window.removeEventListener('online', sync);
    };
  }, []);
}
