import { canningMinutes, usableHands } from '../problem/dayHours';
import { mostJars } from '../model/mostJars';
import { keptFor } from '../problem/keepingWindow';
import { handsMinutes, planWorth } from '../problem/planWorth';
import {
  type SeasonBatch,
  type SeasonDayPlan,
  type SeasonPlan,
  type SeasonRest,
  type SeasonTaking,
} from '../problem/seasonPlan';
import { type Arrival, goalKey, type SeasonDay, type SeasonProblem, type SeasonRecipe } from '../problem/seasonProblem';

/** Less than this is not worth taking out. */
const CRUMB_KG = 0.005;
/** Common practice: a load that is not half full waits for the next day, unless it is all there will be. */
const WORTH_A_LOAD = 0.5;

/**
 * A season planned as a careful household does it without computing: day after day, first come first served. Each day the
 * goal that is emptiest for its size is served first, from what spoils first, until hands, canners or produce run out; what
 * would spoil before the next day is frozen while there is room. It is the plan to beat, and the first one shown.
 *
 * @param pinned what is made in any case: its produce is set aside before anything else, so that no earlier day eats it up
 */
export function greedyPlan(problem: SeasonProblem, pinned: readonly SeasonDayPlan[] = []): SeasonPlan {
  const hand = new Hand(problem, pinned);
  const days = problem.days.flatMap((day, i) => hand.dayOf(day, problem.days[i + 1]) ?? []);
  const plan = { days, rests: hand.rests() };
  return { ...plan, worth: planWorth(problem, plan) };
}

class Hand {
  private readonly left: Map<string, number>;
  private readonly frozen = new Map<string, number>();
  private readonly made = new Map<string, number>();
  private readonly used = new Map<string, number>();
  private readonly daysOfWeek = new Map<number, number>();
  private freezerBags: number;

  constructor(
    private readonly problem: SeasonProblem,
    private readonly pinned: readonly SeasonDayPlan[],
  ) {
    this.left = new Map(problem.arrivals.map(({ id, massKg }) => [id, massKg]));
    this.freezerBags = problem.freezerBags;
    this.setAside();
  }

  dayOf(day: SeasonDay, next: SeasonDay | undefined): SeasonDayPlan | undefined {
    const pinned = this.pinned.find((each) => each.day === day.id);
    const takings = [...(pinned?.takings ?? [])];
    const batches = [...(pinned?.batches ?? [])];
    if (pinned || this.hasDaysLeft(day)) {
      const room = new DayRoom(this.problem, day);
      for (const batch of batches) room.take(this.recipe(batch), batch.jars);
      for (const recipe of this.emptiestFirst()) {
        const jars = this.jarsFor(recipe, day, room, batches);
        if (jars === 0) continue;
        room.take(recipe, jars);
        takings.push(...this.takeFor(recipe, jars, day));
        batches.push({ recipe: recipe.id, jars, loads: Math.ceil(jars / recipe.perLoad) });
        this.count(this.made, goalKey(recipe), jars);
        for (const key of recipe.stock) this.count(this.used, key, jars);
      }
    }
    this.freeze(day, next);
    if (batches.length === 0) return undefined;
    if (!pinned) this.count(this.daysOfWeek, day.week, 1);
    return { day: day.id, batches, takings };
  }

  rests(): SeasonRest[] {
    return this.problem.arrivals.flatMap(({ id, crop }): SeasonRest[] => {
      const [leftKg, frozenKg] = [this.left.get(id) ?? 0, this.frozen.get(id) ?? 0];
      return leftKg + frozenKg > 0 ? [{ arrival: id, crop, frozenKg, leftKg }] : [];
    });
  }

  private setAside(): void {
    for (const { day: id, batches, takings } of this.pinned) {
      const week = this.problem.days.find((day) => day.id === id)?.week;
      if (week !== undefined) this.count(this.daysOfWeek, week, 1);
      for (const batch of batches) {
        const recipe = this.recipe(batch);
        this.count(this.made, goalKey(recipe), batch.jars);
        for (const key of recipe.stock) this.count(this.used, key, batch.jars);
      }
      for (const { arrival, massKg, from } of takings) {
        this.count(this.left, arrival, -massKg);
        const bagsPerKg = this.problem.arrivals.find((each) => each.id === arrival)?.bagsPerKg ?? 0;
        if (from === 'freezer') this.freezerBags -= massKg * bagsPerKg;
      }
    }
  }

  private recipe({ recipe }: SeasonBatch): SeasonRecipe {
    return this.problem.recipes.find(({ id }) => id === recipe) as SeasonRecipe;
  }

  private hasDaysLeft({ week }: SeasonDay): boolean {
    return (this.daysOfWeek.get(week) ?? 0) < this.problem.mostDaysAWeek;
  }

  /** Jars still missing of a recipe's goal. */
  private missing(recipe: SeasonRecipe): number {
    const goal = this.problem.goals.find((each) => goalKey(each) === goalKey(recipe));
    return goal ? goal.want - goal.have - (this.made.get(goalKey(recipe)) ?? 0) : 0;
  }

  /** Goals by the part that is still missing. */
  private emptiestFirst(): SeasonRecipe[] {
    const missing = (recipe: SeasonRecipe) => {
      const goal = this.problem.goals.find((each) => goalKey(each) === goalKey(recipe));
      return this.missing(recipe) / Math.max(1, goal?.want ?? 1);
    };
    const ranked = this.problem.recipes.filter(({ takes }) => takes === undefined);
    return ranked
      .map((recipe) => [missing(recipe), recipe] as const)
      .filter(([part]) => part > 0)
      .sort(([a], [b]) => b - a)
      .map(([, recipe]) => recipe);
  }

  private jarsFor(recipe: SeasonRecipe, day: SeasonDay, room: DayRoom, batches: readonly SeasonBatch[]): number {
    if (batches.some((batch) => batch.recipe === recipe.id)) return 0;
    const wanted = this.missing(recipe);
    if (wanted <= 0 || recipe.leastMinutes > day.windowMinutes) return 0;
    const byCrop = recipe.crops.map(({ crop, kgPerJar }) => {
      const kg = this.within(recipe, crop, day).reduce((sum, each) => sum + (this.left.get(each.id) ?? 0), 0);
      return kg / kgPerJar;
    });
    const byStock = this.problem.stock
      .filter(({ key, toBeHad }) => recipe.stock.includes(key) && !toBeHad)
      .map(({ key, have }) => have - (this.used.get(key) ?? 0));
    const possible = Math.floor(
      Math.min(mostJars(this.problem, recipe, day), ...byCrop, ...byStock, recipe.mostLoadsADay * recipe.perLoad) +
        1e-9,
    );
    const whole = (jars: number) => (recipe.wholePots ? Math.floor(jars / recipe.perLoad) * recipe.perLoad : jars);
    const most = recipe.wholePots
      ? Math.min(possible, Math.ceil(wanted / recipe.perLoad) * recipe.perLoad)
      : Math.min(possible, wanted);
    let jars = whole(most);
    while (jars > 0 && !room.holds(recipe, jars)) jars = whole(jars - 1);
    return jars >= recipe.perLoad * WORTH_A_LOAD || jars >= wanted ? jars : 0;
  }

  /** What may go into a recipe on a day, the first to spoil first. A hand does not carry things to the refrigerator. */
  private within(recipe: SeasonRecipe, crop: string, day: SeasonDay): Arrival[] {
    return this.problem.arrivals
      .filter((each) => each.crop === crop && (recipe.softToo || !each.soft) && (recipe.frozenToo || !each.frozen))
      .filter((each) => keptFor(each, day) === 'place')
      .sort((a, b) => Number(b.soft) - Number(a.soft) || a.until - b.until);
  }

  private takeFor(recipe: SeasonRecipe, jars: number, day: SeasonDay): SeasonTaking[] {
    return recipe.crops.flatMap(({ crop, kgPerJar }) => {
      let missingKg = kgPerJar * jars;
      return this.within(recipe, crop, day).flatMap((arrival): SeasonTaking[] => {
        const massKg = Math.min(missingKg, this.left.get(arrival.id) ?? 0);
        if (massKg <= 0) return [];
        missingKg -= massKg;
        this.count(this.left, arrival.id, -massKg);
        return [{ arrival: arrival.id, massKg, from: 'place' }];
      });
    });
  }

  /** What spoils before the next day goes into the freezer. */
  private freeze(day: SeasonDay, next: SeasonDay | undefined): void {
    for (const { id, until, readyAt, bagsPerKg, frozen } of this.problem.arrivals) {
      if (bagsPerKg === undefined || frozen || readyAt > day.at || (next && until >= next.at)) continue;
      const massKg = Math.min(this.left.get(id) ?? 0, this.freezerBags / bagsPerKg);
      if (massKg < CRUMB_KG) continue;
      this.count(this.left, id, -massKg);
      this.count(this.frozen, id, massKg);
      this.freezerBags -= massKg * bagsPerKg;
    }
  }

  private count<Key>(map: Map<Key, number>, key: Key, by: number): void {
    map.set(key, (map.get(key) ?? 0) + by);
  }
}

/** What is left of a day's hands, canners and burners. */
class DayRoom {
  private readonly taken: { recipe: SeasonRecipe; loads: number }[] = [];
  private hands: number;
  private readonly canning: number;

  constructor(
    private readonly problem: SeasonProblem,
    private readonly day: SeasonDay,
  ) {
    this.hands = usableHands(day);
    // The model's own figure: what could be first is not known before the day is full.
    this.canning = canningMinutes(
      problem,
      day,
      problem.recipes.filter((recipe) => mostJars(problem, recipe, day) > 0),
    );
  }

  holds(recipe: SeasonRecipe, jars: number): boolean {
    const all = [...this.taken, { recipe, loads: Math.ceil(jars / recipe.perLoad) }];
    if (handsMinutes(recipe, jars) > this.hands) return false;
    const { problem, day } = this;
    const burning = all.reduce(
      (sum, each) => sum + each.loads * (each.recipe.cannerMinutes + each.recipe.burnerMinutes),
      0,
    );
    if (burning > problem.burners * day.windowMinutes) return false;
    return all.every(({ recipe: { vessels } }) => {
      const set = vessels.map(({ canner }) => canner);
      const minutes = all
        .filter((each) => each.recipe.vessels.every(({ canner }) => set.includes(canner)))
        .reduce((sum, each) => sum + each.loads * each.recipe.cannerMinutes, 0);
      return minutes <= Math.min(set.length, problem.cannerBurners) * this.canning;
    });
  }

  take(recipe: SeasonRecipe, jars: number): void {
    this.hands -= handsMinutes(recipe, jars);
    this.taken.push({ recipe, loads: Math.ceil(jars / recipe.perLoad) });
  }
}
