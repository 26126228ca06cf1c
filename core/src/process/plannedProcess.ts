import { CLEAN_JARS_FROM_MINUTES } from './sterilizeJars';
import { type TestedProcess } from './findProcess';

/** What a plan goes by: the minutes, and the jars' own boiling where no clean-jar time is published. */
export interface PlannedProcess {
  readonly minutes: number;
  readonly sterilizeJars?: { readonly minutes: number };
}

/**
 * Plans take the clean-jar alternative where one is published: 10 min in clean hot jars rather than 5 in sterile ones,
 * since boiling empty jars is work and a burner more. Handbook rule 4.
 */
export function plannedProcess({ minutes, sterilizeJars, alternatives }: TestedProcess): PlannedProcess {
  const clean = alternatives.find(
    (other) => other.pressurePsi === undefined && other.minutes >= CLEAN_JARS_FROM_MINUTES,
  );
  if (sterilizeJars && clean) return { minutes: clean.minutes };
  return { minutes, ...(sterilizeJars && { sterilizeJars }) };
}
