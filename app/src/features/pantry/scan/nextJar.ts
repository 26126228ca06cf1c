/** Out of sight for so long, what comes again is the next jar: the jars of a load all have the same code. */
export const AWAY_MS = 700;

/** Which codes are in sight, and since when not. */
export interface InSight {
  readonly seenAt: Readonly<Record<string, number>>;
}

export const NOTHING_SEEN: InSight = { seenAt: {} };

/**
 * Tells jars that are held to the camera from those that are still there. A code that is seen on and on is one jar; one that was
 * out of sight for a moment is another.
 *
 * @param codes in the picture at `at`, milliseconds
 * @returns the codes that count now, and what is in sight from now on
 */
export function nextJars(before: InSight, codes: readonly string[], at: number): { jars: string[]; now: InSight } {
  const unique = [...new Set(codes)];
  const jars = unique.filter((code) => at - (before.seenAt[code] ?? -Infinity) > AWAY_MS);
  const seenAt = { ...before.seenAt, ...Object.fromEntries(unique.map((code) => [code, at])) };
  return { jars, now: { seenAt } };
}
