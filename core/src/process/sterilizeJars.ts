/** Minutes to boil at 0-1,000 ft, and more for each further 1,000 ft or part of it. Handbook rule 4. */
const SEA_LEVEL_MINUTES = 10;

/** From this tested time on clean hot jars do. Handbook rule 4. */
export const CLEAN_JARS_FROM_MINUTES = 10;

/**
 * How long jars are boiled empty before filling, or undefined when clean hot jars do: sterile jars are needed exactly
 * when the tested time is under 10 minutes.
 */
export function sterilizeJars(processMinutes: number, altitudeFt: number): { minutes: number } | undefined {
  if (processMinutes >= CLEAN_JARS_FROM_MINUTES) return undefined;
  return { minutes: SEA_LEVEL_MINUTES + Math.max(0, Math.ceil(altitudeFt / 1_000) - 1) };
}
