import { useEffect } from 'react';

/** Keeps the screen on while the kitchen is shown, where the browser can; it asks again whenever the page is seen anew. */
export function useStayAwake(): void {
  useEffect(() => {
    if (!canStayAwake()) return undefined;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      // A battery that is low says no: the clocks are right all the same when the screen is lit again.
      const got = await navigator.wakeLock.request('screen').catch(() => undefined);
      if (over) void got?.release();
      else lock = got;
    };
    const askAgain = () => void ask();
    askAgain();
    document.addEventListener('visibilitychange', askAgain);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', askAgain);
      void lock?.release();
    };
  }, []);
}

/** Some browsers let nobody keep the screen on: then it is said. */
export function canStayAwake(): boolean {
  return typeof navigator !== 'undefined' && 'wakeLock' in navigator;
}
