import { type Role } from '../handbook/cards/card';
import { KG_PER_LB, ML_PER_TSP } from '../measure/amount';
import { type Balance } from './cardBalances';
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

const VOTERS: ReadonlySet<Balance['kind']> = new Set([
  'vinegar',
  'lemon',
  'citric-acid',
  'acid-food',
  'low-acid',
  'peppers',
  'water',
  'sugar',
  'salt',
  'thickener',
  'pectin',
]);

/**
 * The size of a batch against its card: what most of its lines agree on, so that a line that was changed does not move all
 * the others. Where none agree, its main food decides if that is acid, else the smallest of its acids, since that says how
 * much the batch bears.
 */
export function scaleOf(balances: readonly Balance[]): Share | undefined {
  const voters = balances.filter(({ kind, share, free, apart }) => share && VOTERS.has(kind) && !free && !apart);
  const shares = voters.flatMap(({ share }) => share ?? []);
  if (shares.length === 0) return undefined;
  const ends = [...new Set(shares.map(({ low }) => low))];
  const votes = ends
    .map((at) => {
      const agreed = shares.filter(({ low, high }) => low <= at * (1 + NEAR) && high >= at * (1 - NEAR));
      return { agreed, count: agreed.length };
    })
    .sort((a, b) => b.count - a.count);
  const [best, second] = votes;
  const isShared = best !== undefined && best.count >= 2;
  const isTied = isShared && second !== undefined && second.count === best.count && !overlap(best.agreed, second.agreed);
  if (isShared && !isTied) return between(best.agreed);
  // Of two sizes that as many lines speak for, the one of the main food, packed under its liquid or not.
  const main = balances.find(({ isMain }) => isMain)?.share;
  const ofMain = main && votes.find(({ agreed, count }) => count === (best?.count ?? 0) && overlap(agreed, [main]));
  if (ofMain && (best?.count ?? 0) < shares.length) return between(ofMain.agreed);
  return bySafety(voters) ?? (best && between(best.agreed));
}

/** Two figures this near are meant as the same. */
const NEAR = 0.01;

function between(agreed: readonly Share[]): Share {
  const low = Math.max(...agreed.map((share) => share.low));
  const high = Math.min(...agreed.map((share) => share.high));
  return low <= high ? { low, high } : { low: high, high: low };
}

function overlap(a: readonly Share[], b: readonly Share[]): boolean {
  const [first, second] = [between(a), between(b)];
  return first.low <= second.high * (1 + NEAR) && second.low <= first.high * (1 + NEAR);
}

function bySafety(voters: readonly Balance[]): Share | undefined {
  const main = voters.find(({ isMain }) => isMain);
  if (main?.kind === 'acid-food' && main.share) return main.share;
  const acids = voters.filter(({ kind }) => kind === 'vinegar' || kind === 'lemon').flatMap(({ share }) => share ?? []);
  const [least] = acids.sort((a, b) => a.high - b.high);
  return least ?? main?.share;
}
