import { cropRow, type CropId } from '../handbook/crops';
import { type Amount, BUSHELS_PER_CONTAINER, KG_PER_LB, UNIT_WORDS } from '../measure/amount';

/** More than this in one basket is a typing slip: about two thousand pounds. */
export const MOST_MASS_KG = 1_000;

export type Mass = { kind: 'mass'; massKg: number } | { kind: 'refusal'; reason: string; instead: string[] };

/**
 * The mass of an amount of one crop, in kilograms.
 *
 * Source: bushel weight per crop from the handbook; peck, half bushel and bucket by their volume (NIST Handbook 44).
 *
 * @returns a refusal for nothing, for more than {@link MOST_MASS_KG}, and for a container of a crop whose bushel weight
 * is not published
 */
export function massOf(amount: Amount, crop: CropId): Mass {
  const { value, unit } = amount;
  if (!(value > 0)) return { kind: 'refusal', reason: 'That is nothing yet: the amount must be above 0.', instead: [] };
  const unitKg = kgPerUnit(unit, crop);
  if (unitKg === undefined) {
    const reason = `No published weight for a ${UNIT_WORDS[unit][0]} of ${cropRow(crop).name.toLowerCase()}.`;
    return { kind: 'refusal', reason, instead: ['lb', 'kg'] };
  }
  const massKg = value * unitKg;
  if (massKg <= MOST_MASS_KG) return { kind: 'mass', massKg };
  const most = Math.floor(MOST_MASS_KG / unitKg);
  return {
    kind: 'refusal',
    reason: `That is more than a household can pick at once. Up to ${most.toLocaleString('en-US')} ${UNIT_WORDS[unit][1]} can be written down.`,
    instead: [],
  };
}

function kgPerUnit(unit: Amount['unit'], crop: CropId): number | undefined {
  if (unit === 'kg') return 1;
  if (unit === 'lb') return KG_PER_LB;
  const { bushelLb } = cropRow(crop);
  return bushelLb === undefined ? undefined : BUSHELS_PER_CONTAINER[unit] * bushelLb * KG_PER_LB;
}
