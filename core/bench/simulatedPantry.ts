import { type Chance } from './chance';

const DAY_MS = 24 * 60 * 60_000;

/** One product in one household, as it is really used: what nobody knows at first. Invented, and not the model's own shape. */
export interface SimulatedUse {
  /** Jars taken on a day. */
  takenOn(at: number): number;
  /** Jars a month over a year, the truth. */
  readonly perMonth: number;
}

/** Meals take one jar, now and then two or three. */
const A_MEAL = [1, 1, 1, 1, 1, 1, 1, 2, 2, 3];
const JARS_A_MEAL = A_MEAL.reduce((sum, jars) => sum + jars, 0) / A_MEAL.length;

/**
 * A household that likes a product more or less, eats more of it in its winter, has months that are unlike others by
 * chance, and takes it by the meal.
 */
export function simulateUse(chance: Chance): SimulatedUse {
  const perMonth = Math.exp(chance.normal(Math.log(2.5), 0.7));
  const swing = chance.uniform(0, 0.7);
  const fullest = chance.normal(0, 1.2);
  const moods = new Map<string, number>();
  const moodOf = (at: number) => {
    const key = new Date(at).toISOString().slice(0, 7);
    const known = moods.get(key) ?? Math.exp(chance.normal(-0.03, 0.25));
    moods.set(key, known);
    return known;
  };
  return {
    perMonth,
    takenOn: (at) => {
      const month = new Date(at).getUTCMonth() + new Date(at).getUTCDate() / 31;
      const season = 1 + swing * Math.cos(((month - fullest) / 12) * 2 * Math.PI);
      const meals = (perMonth / 30.4 / JARS_A_MEAL) * season * moodOf(at);
      return chance.uniform(0, 1) < meals ? chance.oneOf(A_MEAL) : 0;
    },
  };
}

/** The same for `days` from `from` on, as far as the jars go: [day, jars taken]. */
export function livedThrough(use: SimulatedUse, from: number, days: number, jars: number) {
  const taken: { at: number; jars: number }[] = [];
  let left = jars;
  for (let day = 0; day < days && left > 0; day++) {
    const at = from + day * DAY_MS;
    const now = Math.min(left, use.takenOn(at));
    if (now > 0) taken.push({ at, jars: now });
    left -= now;
  }
  return { taken, left, emptyAt: left === 0 ? (taken.at(-1)?.at ?? from) : Infinity };
}
