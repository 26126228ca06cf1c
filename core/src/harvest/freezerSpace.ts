import { formsOf } from '../handbook/forms';
import { type ProduceId } from '../handbook/produce';
import { KG_PER_LB } from '../measure/amount';
import { readAmount } from '../measure/readAmount';
import { type Pick as HarvestPick } from './pick';

/** Cups a pound of a crop whose forms are not in the table. Common practice: most cut fruit is between 2 and 3. */
const USUAL_CUPS_PER_LB = 2.5;
/** A spoonful more is no bag more. */
const CRUMB = 0.02;
/** A gallon bag laid flat, with room for its seal. Common practice. */
const CUPS_A_BAG = 14;

/**
 * Gallon bags that frozen produce takes up, whole bags: those it was told in, where it was told in bags; else as prepared.
 *
 * @param pick what it came in as
 */
export function freezerBags(crop: ProduceId, massKg: number, pick?: Pick<HarvestPick, 'told' | 'massKg'>): number {
  const told = pick && readAmount(pick.told, 'lb');
  if (pick && told?.kind === 'amount' && told.amount.unit === 'gallon-bag' && told.amount.value > 0)
    return Math.ceil((massKg / pick.massKg) * told.amount.value - CRUMB);
  const cupsPerLb = formsOf(crop).find(({ form }) => form !== 'juice')?.cupsPerLb ?? USUAL_CUPS_PER_LB;
  return Math.ceil(((massKg / KG_PER_LB) * cupsPerLb) / CUPS_A_BAG - 1e-9);
}
