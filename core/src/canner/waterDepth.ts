import { type JarSize } from '../handbook/jars';
import { type Canner, type OwnJar } from './canner';
import { measuresOf } from './capacity';
import { COVER_IN } from './jarFit';

/** Water over the lids to start with when the process is long. Handbook rule 6. */
const LONG_COVER_IN = 2;
const LONG_PROCESS_MINUTES = 30;

export type WaterDepth =
  { kind: 'fits'; leastIn: number; startIn: number; toRimIn: number } | { kind: 'tooShallow'; missingIn: number };

/**
 * Water above the floor of a boiling-water canner: the least there must be, what to start with (2 in over the lids when
 * the process is over 30 min, as far as the pot allows), and what is left to the rim at the least depth.
 *
 * Source: USDA Complete Guide to Home Canning, 2015, guide 1, "Using boiling-water canners", as recalled.
 */
export function waterDepth(canner: Canner, jar: JarSize, processMinutes: number, own?: OwnJar): WaterDepth {
  const overLidsIn = canner.rackHeightIn + measuresOf(jar, own).heightIn;
  const leastIn = overLidsIn + COVER_IN;
  if (leastIn > canner.insideHeightIn) return { kind: 'tooShallow', missingIn: leastIn - canner.insideHeightIn };
  const wishedIn = overLidsIn + (processMinutes > LONG_PROCESS_MINUTES ? LONG_COVER_IN : COVER_IN);
  return {
    kind: 'fits',
    leastIn,
    startIn: Math.min(wishedIn, canner.insideHeightIn),
    toRimIn: canner.insideHeightIn - leastIn,
  };
}
