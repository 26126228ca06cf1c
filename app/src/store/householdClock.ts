/** A sample that differs less is the way of the message, not the clock: the household's time does not jitter. */
const JITTER_MS = 250;

/** This much off, the device's own clock is wrong: it is said. */
const WRONG_MS = 60_000;

/** How often it is looked whether the device's clock was set meanwhile. */
const LOOK_MS = 2_000;

/** The household's time against this device's clock, from one question to the server and its answer. */
export interface ClockSample {
  readonly aheadMs: number;
  /** It may be off by so much either way: nobody knows when on the way the server read its clock. */
  readonly withinMs: number;
}

export function sampleOf(serverNow: number, askedAt: number, answeredAt: number): ClockSample {
  return { aheadMs: serverNow - (askedAt + answeredAt) / 2, withinMs: (answeredAt - askedAt) / 2 + JITTER_MS };
}

/**
 * How far the household's time is ahead of this device's clock. A device whose clock is right, as far as can be told, goes
 * by it; one that is wrong goes by what was measured, and stays with it until it is another clock.
 *
 * @param known as it was measured before
 */
export function steadyAhead(sample: ClockSample, demoOffsetMs: number | null, known?: number): number {
  const fits = (aheadMs: number) => Math.abs(aheadMs - sample.aheadMs) <= sample.withinMs;
  const right = demoOffsetMs ?? 0;
  if (fits(right)) return right;
  return known !== undefined && fits(known) ? known : sample.aheadMs;
}

/** By how much this device's own clock is wrong, where it is; a demo's offset is none of its fault. */
export function deviceIsWrongBy(aheadMs: number, demoOffsetMs: number | null): number | undefined {
  const by = aheadMs - (demoOffsetMs ?? 0);
  return Math.abs(by) > WRONG_MS ? by : undefined;
}

/**
 * Watches for a device's clock that is set while the page is looked at: the wall clock moves, the time since the page was
 * opened does not. A page that slept tells nothing by that; it asks the server as soon as it is seen.
 *
 * @param onJump told by how many milliseconds the wall clock ran ahead
 * @returns what ends it
 */
export function watchClock(onJump: (byMs: number) => void): () => void {
  let wall = Date.now();
  let steady = performance.now();
  const look = () => {
    const byMs = Date.now() - wall - (performance.now() - steady);
    [wall, steady] = [Date.now(), performance.now()];
    if (Math.abs(byMs) > JITTER_MS * 4 && document.visibilityState === 'visible') onJump(byMs);
  };
  const begin = () => ([wall, steady] = [Date.now(), performance.now()]);
  const timer = setInterval(look, LOOK_MS);
  document.addEventListener('visibilitychange', begin);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', begin);
  };
}
