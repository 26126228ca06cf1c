import { type Role } from '../handbook/cards/card';
import { KG_PER_LB, ML_PER_TSP } from '../measure/amount';
import { roundingOf } from './kitchenMeasure';

/** How many times the card's own something is, from and to: a measure that was rounded leaves it open a little. */
export interface Share {
  readonly low: number;
  readonly high: number;
}

/** Finest steps that a kitchen measures in, by how much it is: teaspoons up to a volume. */
const STEPS_TSP: readonly (readonly [upTo: number, step: number])[] = [
  [1 / 2, 1 / 16],
  [1.5, 1 / 8],
  [3, 1 / 4],
  [6, 1 / 2],
  [12, 1],
  [48, 3],
  [96, 6],
  [Infinity, 12],
];

/** What an amount really may have been before it was rounded to a kitchen measure: acid was rounded up, water down. */
export function openedUp(role: Role, of: 'ml' | 'kg' | 'pieces', value: number): Share {
  // At the edge between two steps either may have been taken.
  const step = stepAt(of, value * (1 + EDGE));
  const { up, down } = roundingOf(role);
  const open = step + jugAt(of, value);
  if (up) return { low: Math.max(0, value - open), high: value };
  if (down) return { low: value, high: value + open };
  return { low: Math.max(0, value - open / 2), high: value + open / 2 };
}

const EDGE = 0.07;

function stepAt(of: 'ml' | 'kg' | 'pieces', value: number): number {
  if (of === 'pieces') return value <= 2 ? 1 / 4 : 1 / 2;
  if (of === 'kg') return (value <= KG_PER_LB / 2 ? 1 / 64 : value <= 2 * KG_PER_LB ? 1 / 16 : 1 / 8) * KG_PER_LB;
  const tsp = value / ML_PER_TSP;
  return (STEPS_TSP.find(([upTo]) => tsp <= upTo + 1e-9) ?? [0, 12])[1] * ML_PER_TSP;
}

/** A measuring jug is read to the nearest 5 ml. */
function jugAt(of: 'ml' | 'kg' | 'pieces', value: number): number {
  if (of !== 'ml') return 0;
  return value < 30 ? 0.5 : value < 1_000 ? 5 : 10;
}
