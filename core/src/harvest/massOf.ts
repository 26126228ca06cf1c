import { type ProduceId } from '../handbook/produce';
import { type Amount, UNITS, unitWords } from '../measure/amount';
import { kgPerUnit } from '../measure/convertAmount';
import { produceFigures } from './produceFigures';

/** More than this in one basket is a typing slip: about two thousand pounds. */
export const MOST_MASS_KG = 1_000;

export type Mass = { kind: 'mass'; massKg: number } | { kind: 'refusal'; reason: string; instead: string[] };

/**
 * The mass of an amount of one crop as picked, in kilograms; a volume is of a prepared form ("cups crushed").
 *
 * Source: bushel weight per crop from the handbook; peck, half bushel and bucket by their volume (NIST Handbook 44).
 *
 * @returns a refusal for nothing, for more than {@link MOST_MASS_KG}, and for a container of a crop whose bushel weight
 * is not published
 */
export function massOf(amount: Amount, crop: ProduceId, form?: string): Mass {
  const { value, unit } = amount;
  if (!(value > 0)) return { kind: 'refusal', reason: 'That is nothing yet: the amount must be above 0.', instead: [] };
  const figures = produceFigures(crop, form);
  const unitKg = kgPerUnit(unit, figures);
  if (unitKg === undefined) {
    const reason = `No published weight for a ${unitWords(1, unit)} of ${figures.words}.`;
    return { kind: 'refusal', reason, instead: ['lb', 'kg'] };
  }
  const massKg = value * unitKg;
  if (massKg <= MOST_MASS_KG) return { kind: 'mass', massKg };
  const most = Math.floor(MOST_MASS_KG / unitKg);
  return {
    kind: 'refusal',
    reason: `That is more than a household can pick at once. Up to ${most.toLocaleString('en-US')} ${UNITS[unit].several} can be written down.`,
    instead: [],
  };
}
