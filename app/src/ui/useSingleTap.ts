import { useRef } from 'react';

/** A wet finger that bounces: a second tap sooner than this was not meant. */
const BOUNCE_MS = 500;

/**
 * Lets one tap through and drops those that follow at once. Where the next key appears under the same finger, a bounce
 * would press it: "Lost the boil" would start the clock again before anything boils.
 */
export function useSingleTap<Args extends unknown[]>(onTap: (...args: Args) => void): (...args: Args) => void {
  const last = useRef(-Infinity);
  return (...args) => {
    const now = performance.now();
    if (now - last.current < BOUNCE_MS) return;
    last.current = now;
    onTap(...args);
  };
}
