import { type Movement } from '@hoddle/core/pantry/jarLot';

/** Lids are pressed a night after the canner, and labelled when the bands are off and the glass is washed. Common practice. */
const JUST_MS = 40 * 3_600_000;

/** Lots that came to the shelf so lately that they stand there without a label. */
export function justSealed(movements: readonly Pick<Movement, 'kind' | 'at' | 'lotId'>[], now: number): Set<string> {
  return new Set(movements.flatMap(({ kind, at, lotId }) => (kind === 'stored' && now - at < JUST_MS ? [lotId] : [])));
}
