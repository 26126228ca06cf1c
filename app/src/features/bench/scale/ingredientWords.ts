import { type Role } from '@hoddle/core/handbook/formula';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { printSpan } from '@hoddle/core/measure/span';
import { type ScaledIngredient } from '@hoddle/core/supplies/measureGate';

/** Acid is never rounded down; water and low-acid vegetables, which thin it, never up. */
const ROUNDED_UP: readonly Role[] = ['vinegar', 'lemon'];
const ROUNDED_DOWN: readonly Role[] = ['water', 'low-acid', 'oil', 'thickener'];

/** One ingredient as it is measured: "4 1/2 cups sugar". */
export function ingredientWords({ ingredient: { amount, food, text, role }, factor }: ScaledIngredient): string {
  if (!amount) return text;
  const { low, high } = amount.span;
  switch (amount.of) {
    case 'ml':
      return `${printMeasures(high * factor, { up: ROUNDED_UP.includes(role), down: ROUNDED_DOWN.includes(role) })} ${food}`;
    case 'kg':
      return `${printFraction((high * factor) / KG_PER_LB, 4)} lb ${food}`;
    case 'pieces':
      return `${printSpan({ low: low * factor, high: high * factor }, 2)} ${food}`;
  }
}
