import { type Card } from '../handbook/cards/card';
import { type LeftKind, type LeftOf } from './leftOf';
import { type Place } from './pick';

export const LEFT_WORDS: Readonly<Record<LeftKind, string>> = {
  'peels-and-cores': 'peels and cores',
  pulp: 'pulp',
  juice: 'juice',
  brine: 'brine',
  syrup: 'syrup',
  'soft-fruit': 'soft fruit',
};

/** Measured by its volume: a litre of it weighs about a kilogram. Common practice. */
export function isLiquid(kind: LeftKind): boolean {
  return kind === 'juice' || kind === 'brine' || kind === 'syrup';
}

/** Whether it is still the crop, to be made into whatever that is made into. */
export function isProduceStill(of: LeftOf | null | undefined): boolean {
  return !of || of.kind === 'soft-fruit';
}

/** Two hours: cut or cooked food stands so long at room temperature and no longer. Handbook steps. */
const TWO_HOURS = 2 / 24;
const FROZEN_DAYS = 240;

/**
 * Days that something left behind keeps in a place. Common practice: raw peels half a day on the counter and three in the
 * cold; pulp and juice, once cooked, two hours and then three days; vinegar brine a month, syrup a week; frozen as other
 * produce.
 */
const KEEPS: Readonly<Record<Exclude<LeftKind, 'soft-fruit'>, { readonly warm: number; readonly cold: number }>> = {
  'peels-and-cores': { warm: 0.5, cold: 3 },
  pulp: { warm: TWO_HOURS, cold: 3 },
  juice: { warm: TWO_HOURS, cold: 3 },
  brine: { warm: 1, cold: 30 },
  syrup: { warm: TWO_HOURS, cold: 7 },
};

/** @param kind of what is the crop no more */
export function leftKeepsDays(kind: Exclude<LeftKind, 'soft-fruit'>, place: Place): number {
  if (place === 'freezer') return FROZEN_DAYS;
  const { warm, cold } = KEEPS[kind];
  return place === 'refrigerator' ? cold : warm;
}

/** The places that what is left behind is kept in. */
export const LEFT_PLACES: readonly Place[] = ['counter', 'refrigerator', 'freezer'];

const PEELED = /^(?:scald-peel|peel|peel-|blister-peel|boil-30-peel|steam-20-peel|core$|halve-pit|pit$|stem-pit)/;
const STRAINED = /^(?:food-mill|strain|drip-|press-|squeeze-)/;

/** What falls off while a card is made: at the board, and in the mill or the bag. */
export function trimmingsOf({ steps }: Pick<Card, 'steps'>): LeftKind[] {
  const has = (which: RegExp) => steps.some(({ step }) => which.test(step));
  return [...(has(PEELED) ? (['peels-and-cores'] as const) : []), ...(has(STRAINED) ? (['pulp'] as const) : [])];
}
