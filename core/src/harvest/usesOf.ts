import { type Lot } from './onHand';
import { type PickUse } from './pick';

/** What was taken of lots as uses, one for each pick: how much of it was soft, and how much came out of the freezer. */
export function usesOf(taken: readonly { readonly lot: Lot; readonly massKg: number }[]): PickUse[] {
  const uses = new Map<string, PickUse>();
  for (const { lot, massKg } of taken) {
    const before = uses.get(lot.pickId) ?? { pickId: lot.pickId, crop: lot.crop, massKg: 0, softKg: 0 };
    const softKg = before.softKg + (lot.ripeness === 'soft' ? massKg : 0);
    const frozenKg = (before.frozenKg ?? 0) + (lot.place === 'freezer' ? massKg : 0);
    uses.set(lot.pickId, { ...before, massKg: before.massKg + massKg, softKg, ...(frozenKg > 0 && { frozenKg }) });
  }
  return [...uses.values()];
}

/** A part of a use, or what is taken back of it: all of it changes alike. */
export function timesUse(use: PickUse, factor: number): PickUse {
  const { massKg, softKg, frozenKg } = use;
  return {
    ...use,
    massKg: massKg * factor,
    softKg: softKg * factor,
    ...(frozenKg !== undefined && { frozenKg: frozenKg * factor }),
  };
}

/** One use for each pick, none below nothing. */
export function sumUses(uses: readonly PickUse[]): PickUse[] {
  const all = new Map<string, PickUse>();
  for (const use of uses) {
    const { massKg = 0, softKg = 0, frozenKg = 0 } = all.get(use.pickId) ?? {};
    const frozen = frozenKg + (use.frozenKg ?? 0);
    const own = { ...use, massKg: use.massKg + massKg, softKg: use.softKg + softKg };
    all.set(use.pickId, { ...own, ...(frozen !== 0 && { frozenKg: frozen }) });
  }
  return [...all.values()].map((use) => {
    const massKg = Math.max(0, use.massKg);
    const most = (kg: number) => Math.min(massKg, Math.max(0, kg));
    return {
      ...use,
      massKg,
      softKg: most(use.softKg),
      ...(use.frozenKg !== undefined && { frozenKg: most(use.frozenKg) }),
    };
  });
}
