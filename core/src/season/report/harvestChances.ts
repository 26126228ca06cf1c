import { drawsFrom, type Draws } from '../../math/draws';
import { type Range } from '../../math/range';
import { type Outlook } from '../problem/expectedArrivals';
import { keptFor } from '../problem/keepingWindow';
import { type SeasonPlan } from '../problem/seasonPlan';
import { type Arrival, goalKey, type SeasonProblem } from '../problem/seasonProblem';

const WEEK_MS = 7 * 24 * 60 * 60_000;
/** Of what one week brings about its season, on the log scale: weather. */
const WEEK_SPREAD = 0.25;
const SAMPLES = 200;

/** How the jars of each goal come out in other harvests than the middle one, the plan followed as it stands. */
export function goalRanges(
  problem: SeasonProblem,
  plan: SeasonPlan,
  outlook: Outlook,
  seed: number,
  samples = SAMPLES,
): ReadonlyMap<string, Range> {
  const draws = drawsFrom(seed);
  const made = Array.from({ length: samples }, () => followed(problem, plan, sampled(outlook, draws)));
  return new Map(
    problem.goals.map((goal) => {
      const key = goalKey(goal);
      const jars = made.map((each) => goal.have + (each.get(key) ?? 0)).sort((a, b) => a - b);
      // Nearest rank: jars are whole.
      const at = (chance: number) => jars[Math.min(samples - 1, Math.floor(chance * samples))] ?? goal.have;
      return [key, { p10: at(0.1), p50: at(0.5), p90: at(0.9) }];
    }),
  );
}

/** One way the harvests may come: each planting's season larger or smaller, earlier or later, and each week by its weather. */
export function sampled({ arrivals, spreads }: Outlook, draws: Draws): Arrival[] {
  const seasons = new Map<string, { size: number; laterMs: number }>();
  const now = Math.min(...arrivals.map(({ readyAt }) => readyAt));
  return arrivals.map((arrival) => {
    const spread = spreads.get(arrival.id);
    if (!spread) return arrival;
    const season = seasons.get(spread.season) ?? {
      size: Math.exp(spread.size * draws.normal()),
      laterMs: spread.weeks * draws.normal() * WEEK_MS,
    };
    seasons.set(spread.season, season);
    const byMs = Math.max(season.laterMs, now - arrival.readyAt);
    return {
      ...arrival,
      massKg: arrival.massKg * season.size * Math.exp(WEEK_SPREAD * draws.normal()),
      readyAt: arrival.readyAt + byMs,
      until: arrival.until + byMs,
      coldUntil: arrival.coldUntil + byMs,
    };
  });
}

/** Jars by goal when the days of a plan make what they planned, as far as the produce is there. */
export function followed(
  problem: SeasonProblem,
  { days, rests }: SeasonPlan,
  arrivals: readonly Arrival[],
): Map<string, number> {
  const left = new Map(arrivals.map(({ id, massKg }) => [id, massKg]));
  const recipes = new Map(problem.recipes.map((recipe) => [recipe.id, recipe]));
  const dayOf = new Map(problem.days.map((day) => [day.id, day]));
  // What the plan freezes for later, as a part of each arrival.
  const planned = new Map(problem.arrivals.map(({ id, massKg }) => [id, massKg]));
  const thawed = days.flatMap(({ takings }) => takings.filter(({ from }) => from === 'freezer'));
  const frozenPart = (id: string) => {
    const kg = thawed.filter(({ arrival }) => arrival === id).reduce((sum, { massKg }) => sum + massKg, 0);
    const kept = rests.find(({ arrival }) => arrival === id)?.frozenKg ?? 0;
    return (kg + kept) / Math.max(1e-9, planned.get(id) ?? 0);
  };
  const freezer = new Map<string, number>();
  for (const arrival of arrivals) {
    const kg = arrival.massKg * Math.min(1, frozenPart(arrival.id));
    if (kg <= 0 || arrival.frozen) continue;
    left.set(arrival.id, arrival.massKg - kg);
    freezer.set(arrival.crop, (freezer.get(arrival.crop) ?? 0) + kg);
  }
  const made = new Map<string, number>();
  for (const { day: id, batches } of days) {
    const day = dayOf.get(id);
    if (!day) continue;
    let byProduct = 0;
    for (const batch of batches) {
      const recipe = recipes.get(batch.recipe);
      if (!recipe) continue;
      const within = (crop: string) =>
        arrivals
          .filter((each) => each.crop === crop && (recipe.softToo || !each.soft) && (recipe.frozenToo || !each.frozen))
          .filter((each) => keptFor(each, day) !== undefined)
          .sort((a, b) => a.until - b.until);
      const there = (crop: string) =>
        within(crop).reduce((sum, each) => sum + (left.get(each.id) ?? 0), 0) +
        (recipe.frozenToo && day.quiet ? (freezer.get(crop) ?? 0) : 0);
      const byCrop = recipe.crops.map(({ crop, kgPerJar }) => there(crop) / kgPerJar);
      const byRest = recipe.takes ? [byProduct / recipe.takes.perJar] : [];
      const jars = Math.floor(Math.min(batch.jars, ...byCrop, ...byRest) + 1e-6);
      const whole = recipe.wholePots ? Math.floor(jars / recipe.perLoad) * recipe.perLoad : jars;
      for (const { crop, kgPerJar } of recipe.crops) {
        let missing = whole * kgPerJar;
        for (const each of within(crop)) {
          const taken = Math.min(missing, left.get(each.id) ?? 0);
          left.set(each.id, (left.get(each.id) ?? 0) - taken);
          missing -= taken;
        }
        freezer.set(crop, Math.max(0, (freezer.get(crop) ?? 0) - missing));
      }
      byProduct += whole * (recipe.gives?.perJar ?? 0) - whole * (recipe.takes?.perJar ?? 0);
      made.set(goalKey(recipe), (made.get(goalKey(recipe)) ?? 0) + whole);
    }
  }
  return made;
}
