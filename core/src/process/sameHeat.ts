import { findProcess, type HouseholdPages, type ProcessQuestion } from './findProcess';
import { type Method, STEAM_LIMIT_MINUTES } from './method';
import { plannedProcess } from './plannedProcess';

/** Pure steam under a lid is as hot as water that boils: what is tested for one is processed for as long in the other. */
export const AS_HOT: Partial<Readonly<Record<Method, Method>>> = { 'boiling-water': 'steam', steam: 'boiling-water' };

/**
 * The other ways to process the same jars for the same minutes: boiling water in place of steam, steam in place of boiling water
 * up to its 45 min. Each is looked up by itself; one that the table refuses, or gives more minutes, is none. What only an own
 * source tested has none: that source names one way.
 *
 * Source: handbook rule 7. Pressure is another treatment, with other minutes: the cook chooses it, nobody else.
 *
 * @param minutes what the jars are processed for
 */
export function sameHeatWays(
  {
    product,
    pack,
    jar,
    method,
    altitudeFt,
  }: ProcessQuestion & { readonly method: Method; readonly altitudeFt: number },
  minutes: number,
  pages: HouseholdPages,
): Method[] {
  const other = AS_HOT[method];
  if (other === undefined || (other === 'steam' && minutes > STEAM_LIMIT_MINUTES)) return [];
  const tested = findProcess({ product, pack, jar, method: other, altitudeFt }, pages);
  return tested.kind === 'tested' && plannedProcess(tested).minutes <= minutes ? [other] : [];
}
