import { type JarSize } from '../../handbook/jars';
import { type ProduceId } from '../../handbook/produce';
import { type ProductId } from '../../handbook/products';
import { sowingRow } from '../../handbook/sowing';
import { type Draws, drawsOf } from '../../math/draws';
import { type Range } from '../../math/range';
import { usedFrom } from '../../pantry/runOut';
import { goalKey } from '../problem/seasonProblem';
import { type SpringCrop, type SpringGoal, type SpringProblem } from './springProblem';

/** A garden is planned so that it is enough in so many years of a hundred. */
export const ENOUGH = 0.8;
const TRIES = 600;
const MUCH_MORE = 1.5;
const KNOWN_DAYS = 180;
/** Beds are not measured closer. */
const STEP = { plants: 1, trees: 1, 'row-feet': 5 } as const;

/** Jars of a goal that the coming crop is to fill. */
export interface SpringJars {
  readonly product: ProductId;
  readonly jar: JarSize;
  /** To put up: enough in half the years, and in eight of ten. */
  readonly jars: { readonly p50: number; readonly p80: number };
  /** Told where far more is wanted than a year eats, in eight years of ten. */
  readonly eaten?: number;
}

/** What of a crop is to be set, and what the beds there come to. */
export interface SpringBed extends SpringCrop {
  readonly needKg: Range;
  /** Plants, row-feet or trees in all, so that it is enough in eight years of ten. */
  readonly set: number;
  /** So many more than there are. */
  readonly more: number;
  /** Chance that what grows there now is enough. */
  readonly enoughAsNow: number;
  /** Missing at most in eight years of ten with what grows there now, in kilograms. */
  readonly shortKg: number;
  /** Goals that take it, and whether they are made of it first of all. */
  readonly takes: readonly (Pick<SpringGoal, 'product' | 'jar'> & { readonly leads: boolean })[];
}

export interface SpringPlan {
  readonly jars: readonly SpringJars[];
  /**
   * Crops that something wanted is made of first of all, or that grow here: the most missing first; what stands there for years
   * and is enough last.
   */
  readonly beds: readonly SpringBed[];
  /** What a card only adds and nobody grows. */
  readonly bought: readonly SpringBed[];
  /** Crops that grow here and that nothing wanted takes. */
  readonly unused: readonly SpringCrop[];
}

/**
 * How much of each crop to set so that the jars wanted can be filled in eight years of ten: simulated years, each with its
 * own use until the crop, pounds to a jar, and size of the season. For each year it is known how many plants would have
 * been enough; the answer is the number that is enough in eight of ten. In one year all beds of a crop do well or badly
 * together.
 *
 * @param seed each goal and each crop has draws of its own, so that one more of either leaves the others as they are
 */
export function planSpring({ now, goals, crops }: SpringProblem, seed = 1, tries = TRIES): SpringPlan {
  const years = goals.map((goal) => yearsOf(goal, now, drawsOf(`${goalKey(goal)} jars`, seed), tries));
  const jars = years.map((each) => each.map(({ putUp }) => putUp));
  const grown = afterByProducts(goals, jars);
  const taken = new Map<ProduceId, { kg: number[]; by: SpringGoal[] }>();
  goals.forEach((goal, g) => {
    for (const { crop, kgPerJar } of goal.shares) {
      const draws = drawsOf(`${goalKey(goal)} ${crop}`, seed);
      const known = taken.get(crop) ?? { kg: Array.from({ length: tries }, () => 0), by: [] };
      for (let i = 0; i < tries; i++) {
        const each = kgPerJar[Math.floor(draws.unit() * kgPerJar.length)] ?? 0;
        known.kg[i] = (known.kg[i] ?? 0) + each * (grown[g]?.[i] ?? 0);
      }
      known.by.push(goal);
      taken.set(crop, known);
    }
  });
  const wanted = (crop: ProduceId) => (taken.get(crop)?.kg ?? []).some((kg) => kg > 0);
  const beds = crops
    .filter(({ crop }) => wanted(crop))
    .map((row): SpringBed => {
      const { kg = [], by = [] } = taken.get(row.crop) ?? {};
      const need = kg.map((each) => (each + row.freshKg) / (1 - row.lostPart));
      const draws = drawsOf(row.crop, seed);
      const each = need.map(() => Math.exp(row.logKgEach + row.spread * draws.normal()));
      const short = need.map((wants, i) => Math.max(0, wants - row.now * (each[i] ?? 0)));
      const step = STEP[row.unit];
      const set =
        step *
        Math.ceil(
          quantile(
            need.map((wants, i) => wants / (each[i] ?? 1)),
            ENOUGH,
          ) /
            step -
            1e-9,
        );
      return {
        ...row,
        needKg: { p10: quantile(need, 0.1), p50: quantile(need, 0.5), p90: quantile(need, 0.9) },
        set,
        more: Math.max(0, set - Math.round(row.now)),
        enoughAsNow: short.filter((kgShort) => kgShort === 0).length / tries,
        shortKg: quantile(short, ENOUGH),
        takes: by.map(({ product, jar, shares }) => ({ product, jar, leads: shares[0]?.crop === row.crop })),
      };
    });
  return {
    jars: goals.map((goal, g) => {
      const own = jars[g] ?? [];
      const eaten = quantile(
        (years[g] ?? []).map((each) => each.eaten),
        ENOUGH,
      );
      const { product, jar } = goal;
      const jarsOf = { product, jar, jars: { p50: quantile(own, 0.5), p80: quantile(own, ENOUGH) } };
      return isMuchMore(goal, eaten) ? { ...jarsOf, eaten } : jarsOf;
    }),
    beds: beds
      .filter(isGrown)
      .sort((a, b) => shortPart(b) - shortPart(a) || Number(isLasting(a)) - Number(isLasting(b))),
    bought: beds.filter((bed) => !isGrown(bed)),
    unused: crops.filter(({ crop, now: there }) => there > 0 && !wanted(crop)),
  };
}

function isGrown({ now, takes }: SpringBed): boolean {
  return now > 0 || takes.some(({ leads }) => leads);
}

function shortPart({ shortKg, needKg }: SpringBed): number {
  return shortKg / Math.max(1e-9, needKg.p50);
}

function isLasting({ crop }: SpringBed): boolean {
  return sowingRow(crop).begun === 'lasting';
}

/** Year by year the jars that the coming crop is to fill, which is what is wanted less what is left by then, and those eaten. */
function yearsOf({ want, have, use, cropAt }: SpringGoal, now: number, draws: Draws, tries: number) {
  const [untilThen, inTheYear] = [usedFrom(now, cropAt), usedFrom(cropAt, cropAt + YEAR_MS)];
  return Array.from({ length: tries }, () => {
    const left = Math.max(0, have - untilThen(use, draws));
    const eaten = inTheYear(use, draws);
    return { eaten, putUp: Math.max(0, (want ?? eaten) - left) };
  });
}

/** A goal that is worth a word: it asks for half as much again as is eaten, and how it is eaten is known. */
function isMuchMore({ want, usedDays, gift }: SpringGoal, eaten: number): boolean {
  return want !== null && !gift && usedDays >= KNOWN_DAYS && want > MUCH_MORE * eaten;
}

/** What another product's pot leaves over fills its jars first: of them nothing has to grow. */
function afterByProducts(goals: readonly SpringGoal[], jars: readonly (readonly number[])[]): number[][] {
  const left = new Map<string, number[]>();
  goals.forEach(({ gives }, g) => {
    if (!gives) return;
    const known = left.get(gives.kind) ?? [];
    left.set(
      gives.kind,
      (jars[g] ?? []).map((own, i) => (known[i] ?? 0) + own * gives.perJar),
    );
  });
  return goals.map(({ takes }, g) =>
    (jars[g] ?? []).map((own, i) => {
      const there = takes && left.get(takes.kind);
      if (!there) return own;
      const filled = Math.min(own, Math.floor((there[i] ?? 0) / takes.perJar));
      there[i] = (there[i] ?? 0) - filled * takes.perJar;
      return own - filled;
    }),
  );
}

const YEAR_MS = 365 * 24 * 60 * 60_000;

/** The least value that is enough with that chance. */
function quantile(values: readonly number[], chance: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.max(0, Math.ceil(chance * sorted.length) - 1)] ?? 0;
}
