/** The household's time. A demo's runs ahead of, or behind, the real one by a fixed offset. */
export interface Clock {
  now(demoOffsetMs: number | null): number;
}

/** The one place where the server reads the time. */
export const systemClock: Clock = { now: (demoOffsetMs) => Date.now() + (demoOffsetMs ?? 0) };
