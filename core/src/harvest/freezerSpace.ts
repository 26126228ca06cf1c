import { formsOf } from '../handbook/forms';
import { type ProduceId } from '../handbook/produce';
import { KG_PER_LB } from '../measure/amount';

/** Cups a pound of a crop whose forms are not in the table. Common practice: most cut fruit is between 2 and 3. */
const USUAL_CUPS_PER_LB = 2.5;
/** A gallon bag laid flat, with room for its seal. Common practice. */
const CUPS_A_BAG = 14;

/** Gallon bags that frozen produce takes up, as prepared: whole bags. */
export function freezerBags(crop: ProduceId, massKg: number): number {
  const cupsPerLb = formsOf(crop).find(({ form }) => form !== 'juice')?.cupsPerLb ?? USUAL_CUPS_PER_LB;
  return Math.ceil(((massKg / KG_PER_LB) * cupsPerLb) / CUPS_A_BAG - 1e-9);
}
