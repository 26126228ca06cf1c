import { type ProduceId } from '../handbook/produce';
import { keepsUntil } from './keeping';
import { type Pick, type PickUse, type Place } from './pick';

/** Produce of one pick and one ripeness that is still there. */
export interface Lot {
  readonly pickId: string;
  readonly crop: ProduceId;
  readonly ripeness: 'sound' | 'soft';
  readonly massKg: number;
  readonly place: Place;
  readonly keepsDays: number;
  /** Epoch milliseconds. */
  readonly until: number;
}

/** A crumb: what is left below this is a rounding remainder of pounds and kilograms. */
const CRUMB_KG = 0.005;

/**
 * What is still on hand, the next to spoil first. A pick is never edited by its use: what is there is what came in less
 * what batches took.
 */
export function onHand(picks: readonly Pick[], uses: readonly PickUse[]): Lot[] {
  const lots = picks.flatMap((pick) => {
    const taken = uses.filter((use) => use.pickId === pick.id);
    const softKg = pick.softKg - sum(taken.map((use) => use.softKg));
    const soundKg = pick.massKg - pick.softKg - sum(taken.map((use) => use.massKg - use.softKg));
    return [lotOf(pick, 'soft', softKg), lotOf(pick, 'sound', soundKg)];
  });
  return lots.filter((lot) => lot.massKg > CRUMB_KG).sort((a, b) => a.until - b.until || b.massKg - a.massKg);
}

function lotOf(pick: Pick, ripeness: Lot['ripeness'], massKg: number): Lot {
  const { days, until } = keepsUntil(pick, ripeness);
  return { pickId: pick.id, crop: pick.crop, ripeness, massKg, place: pick.place, keepsDays: days, until };
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
