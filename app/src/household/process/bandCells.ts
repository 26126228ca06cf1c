import { ALTITUDE_BANDS } from '@hoddle/core/process/altitudeBand';
import { type TestedRow } from '@hoddle/core/process/testedRow';
import { type BandCell } from '@/ui/AltitudeBands';

/** The strip of a tested row: minutes by altitude, or under pressure the pounds. */
export function bandCells(row: TestedRow): BandCell[] {
  return row.bands.map((answer): BandCell => {
    if (answer.kind === 'refusal') return { band: answer.band, refused: true };
    const { band, minutes, pressurePsi } = answer;
    return pressurePsi === undefined
      ? { band, figure: String(minutes), told: `${minutes} min` }
      : { band, figure: String(pressurePsi), told: `${minutes} min at ${pressurePsi} psi` };
  });
}

/** The strip without figures, for a kitchen. */
export const BARE_CELLS: readonly BandCell[] = ALTITUDE_BANDS.map((band) => ({ band }));
