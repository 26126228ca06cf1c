import { type Draws } from '../math/draws';

/** What goes wrong in kitchens. Common practice. */
export const MISHAP_KINDS = [
  'boil-lost',
  'jar-broken',
  'child-calls',
  'lids-short',
  'gas-out',
  'yield-short',
  'power-cut',
] as const;
export type MishapKind = (typeof MISHAP_KINDS)[number];

/** One thing that goes wrong in a rehearsal, and where it is fixed to. */
export type Mishap =
  /** After this part of the tested time the water stops boiling. */
  | { readonly kind: 'boil-lost'; readonly loadId: string; readonly part: number }
  | { readonly kind: 'jar-broken'; readonly loadId: string; readonly part: number }
  | { readonly kind: 'lids-short'; readonly loadId: string; readonly lids: number }
  /** The burner goes out on the way to the boil. */
  | { readonly kind: 'gas-out'; readonly loadId: string; readonly part: number; readonly minutes: number }
  | { readonly kind: 'yield-short'; readonly part: number }
  | { readonly kind: 'child-calls' | 'power-cut'; readonly atMin: number; readonly minutes: number };

/** Minutes of each, drawn between. Common practice. */
const MINUTES = { 'gas-out': [8, 20], 'child-calls': [6, 18], 'power-cut': [5, 15] } as const;
/** Of what was expected so much is there. */
const SHORT = 0.8;
/** By chance each kind comes in one day of so many. */
const ONE_IN = 5;

interface DayAhead {
  readonly loadIds: readonly string[];
  /** How long the day is likely to be, minutes. */
  readonly minutes: number;
}

/** What is to go wrong: what was asked for, each once, or by chance. */
export function drawMishaps(
  asked: readonly MishapKind[] | 'chance',
  { loadIds, minutes }: DayAhead,
  draws: Draws,
): Mishap[] {
  const kinds = asked === 'chance' ? MISHAP_KINDS.filter(() => draws.unit() < 1 / ONE_IN) : asked;
  const between = ([low, high]: readonly [number, number]) => Math.round(low + (high - low) * draws.unit());
  return kinds.flatMap((kind): Mishap[] => {
    const loadId = loadIds[Math.floor(loadIds.length * draws.unit())];
    const part = 0.2 + 0.5 * draws.unit();
    switch (kind) {
      case 'boil-lost':
      case 'jar-broken':
        return loadId === undefined ? [] : [{ kind, loadId, part }];
      case 'lids-short':
        return loadId === undefined ? [] : [{ kind, loadId, lids: 2 }];
      case 'gas-out':
        return loadId === undefined ? [] : [{ kind, loadId, part, minutes: between(MINUTES[kind]) }];
      case 'yield-short':
        return [{ kind, part: SHORT }];
      case 'child-calls':
      case 'power-cut':
        return [{ kind, atMin: Math.round(minutes * part), minutes: between(MINUTES[kind]) }];
    }
  });
}
