import { type HouseholdState } from '@hoddle/contract/householdState';
import { get, set } from 'idb-keyval';

const NAME = 'household';

/** A tap is not held up by writing: it is done when the hand rests, or the page is left. */
const REST_MS = 400;

let next: { state: HouseholdState; onKept: () => void } | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;

/**
 * Keeps the household in this browser, for a page opened without signal. Twenty years of it are more than the few
 * megabytes that fit beside the page's settings, so it lies in the browser's own database.
 *
 * @param onKept told when it is kept, or never can be
 */
export function keepState(state: HouseholdState, onKept: () => void): void {
  if (typeof indexedDB === 'undefined') return onKept();
  next = { state, onKept };
  timer ??= setTimeout(write, REST_MS);
}

/**
 * What this browser knew of the household, or undefined where it knew nothing or cannot keep anything. An older page may
 * have kept it: parts that have come since are missing.
 */
export async function readKept(): Promise<HouseholdState | undefined> {
  if (typeof indexedDB === 'undefined') return undefined;
  return get<HouseholdState>(NAME).catch(() => undefined);
}

function write(): void {
  clearTimeout(timer);
  timer = undefined;
  const kept = next;
  next = undefined;
  // A browser that keeps nothing (a private window) still shows what the server tells.
  if (kept)
    void set(NAME, kept.state)
      .catch(() => undefined)
      .then(kept.onKept);
}

if (typeof document !== 'undefined' && typeof document.addEventListener === 'function') {
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && write());
}
