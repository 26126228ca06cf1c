import { groupBy } from '../handbook/groupBy';
import { type Forecast } from './forecast';
import { readyFrom } from './keepsUntil';
import { inTakingOrder, type StockedLot } from './shelf';
import { isPastUse } from './takeAdvice';

/** Why a jar is to be eaten now, the most pressing first. */
export const EAT_REASONS = ['past-use', 'opened', 'unsealed', 'cold', 'past-best', 'best-soon', 'too-many'] as const;
export type EatReason = (typeof EAT_REASONS)[number];

export interface EatNext {
  readonly lot: StockedLot;
  readonly reason: EatReason;
  /** Jars of it to eat this week; all that are there where they are past their days, which are not eaten. */
  readonly jars: number;
}

const DAY_MS = 24 * 60 * 60_000;

/** Sealed jars so close to their best-by are eaten first. */
const SOON_MS = 45 * DAY_MS;

/**
 * What to eat this week: opened, then unsealed, then past best, then nearly so, then what there is more of than will be
 * eaten in time. A jar past its days in the refrigerator is on the list to be thrown away.
 */
export function eatNext(stocked: readonly StockedLot[], forecasts: readonly Forecast[], now: number): EatNext[] {
  const listed = stocked.flatMap((lot): EatNext[] => {
    if (lot.placeKind === 'aside') return [];
    if (isPastUse(lot, now)) return [{ lot, reason: 'past-use', jars: lot.jars }];
    if (lot.seal === 'cold') return isPressing(lot, now) ? [{ lot, reason: 'cold', jars: lot.jars }] : [];
    if (lot.placeKind === 'refrigerator' && lot.seal !== 'sealed') return [{ lot, reason: lot.seal, jars: lot.jars }];
    return [];
  });
  // Jars of one product that stand sealed are eaten one after the other, whatever lot they are of.
  const late = groupBy(
    stocked.filter(
      (lot) => lot.placeKind !== 'aside' && lot.seal !== 'cold' && !listed.some((item) => item.lot === lot),
    ),
    ({ product, jar }) => `${product} ${jar}`,
  );
  for (const lots of late.values()) {
    const pressing = lots.filter(({ keepsUntil }) => keepsUntil < now + SOON_MS).sort(inTakingOrder);
    const first = pressing[0];
    if (!first) continue;
    const jars = pressing.reduce((sum, lot) => sum + lot.jars, 0);
    const overdue = Math.max(0, now - first.keepsUntil) / SOON_MS;
    listed.push({
      lot: first,
      reason: first.keepsUntil < now ? 'past-best' : 'best-soon',
      jars: aWeek(jars, 1 + overdue),
    });
  }
  const named = new Set(listed.map(({ lot }) => `${lot.product} ${lot.jar}`));
  const surplus = forecasts.flatMap(({ product, jar, tooMany }): EatNext[] => {
    if (tooMany.p50 < 1 || named.has(`${product} ${jar}`)) return [];
    const lots = stocked.filter((lot) => lot.product === product && lot.jar === jar && lot.placeKind !== 'aside');
    const first = [...lots].sort(inTakingOrder)[0];
    return first ? [{ lot: first, reason: 'too-many', jars: 1 }] : [];
  });
  return [...listed, ...surplus].sort(
    (a, b) => EAT_REASONS.indexOf(a.reason) - EAT_REASONS.indexOf(b.reason) || inTakingOrder(a.lot, b.lot),
  );
}

/** What was made to be kept cold is eaten in its last two weeks at the latest, and not before it is ready. */
const COLD_SOON_MS = 14 * DAY_MS;

function isPressing(lot: StockedLot, now: number): boolean {
  return lot.placeKind === 'refrigerator' && lot.keepsUntil < now + COLD_SOON_MS && readyFrom(lot) <= now;
}

/** So many of them a week that they are gone in about the time that is left; never none. */
function aWeek(jars: number, urgency: number): number {
  const weeks = SOON_MS / (7 * DAY_MS);
  return Math.max(1, Math.min(jars, Math.round((jars / weeks) * urgency)));
}
