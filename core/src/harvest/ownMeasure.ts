import { type ProduceId } from '../handbook/produce';

/**
 * What one of a household's own measures of a crop weighs: a bushel of tomatillos, which no table has, or "our colander".
 * Asked once and remembered.
 */
export interface OwnMeasure {
  readonly crop: ProduceId;
  /** A unit's id, or the household's own word for a vessel in the singular, in small letters. */
  readonly measure: string;
  /** Of one, level full. */
  readonly massKg: number;
}

/** The household's own figure for a measure of a crop, or undefined where it was never asked. */
export function findOwnMeasure(own: readonly OwnMeasure[], crop: ProduceId, measure: string): OwnMeasure | undefined {
  return own.find((known) => known.crop === crop && known.measure === measure);
}
