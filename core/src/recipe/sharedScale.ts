import { type Balance } from './cardBalances';
import { type Share } from './openedUp';

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
 * the others. Where as many speak for one size as for another, its main food decides; where that is not told, the smallest of
 * its acids, since that says how much the batch bears.
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
  const isTied =
    isShared && second !== undefined && second.count === best.count && !overlap(best.agreed, second.agreed);
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
