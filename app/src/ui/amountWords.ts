import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { printFraction } from '@hoddle/core/measure/fraction';

/** "68 lb", "13 1/4 lb": pounds of a mass, to the quarter below 20. */
export function pounds(massKg: number): string {
  const lb = massKg / KG_PER_LB;
  return `${lb < 20 ? printFraction(lb, 4) : Math.round(lb)} lb`;
}
