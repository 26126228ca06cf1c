import { type SeasonPlan } from './seasonPlan';
import { goalKey, type Arrival, type SeasonDay, type SeasonProblem, type SeasonRecipe } from './seasonProblem';

/** Rounding of a solver, in kilograms, minutes or bags. */
const NEARLY = 0.05;
const NIGHT_MIN = 24 * 60;

/**
 * Everything that is wrong with a plan, in words; empty where it can be carried out. Written from the rules alone, without
 * the model: a plan is never shown unless this finds nothing.
 */
export function verifyPlan(problem: SeasonProblem, plan: SeasonPlan): string[] {
  const days = new Map(problem.days.map((day) => [day.id, day]));
  const recipes = new Map(problem.recipes.map((recipe) => [recipe.id, recipe]));
  const arrivals = new Map(problem.arrivals.map((arrival) => [arrival.id, arrival]));
  const faults: string[] = [];
  const check = (isRight: boolean, words: string) => {
    if (!isRight) faults.push(words);
  };

  const batchesOf = plan.days.map((planned) => ({
    ...planned,
    at: days.get(planned.day) as SeasonDay,
    made: planned.batches.map((batch) => ({ ...batch, row: recipes.get(batch.recipe) as SeasonRecipe })),
  }));
  for (const { day, at, made } of batchesOf) {
    check(at !== undefined, `${day} was not given`);
    for (const { row, recipe, jars, loads } of made) {
      check(row !== undefined, `${recipe} has no tested process here`);
      check(Number.isInteger(jars) && jars > 0, `${jars} jars of ${recipe}`);
      if (row) check(jars <= loads * row.perLoad && jars > (loads - 1) * row.perLoad, `${loads} loads of ${jars} jars`);
      if (row?.wholePots) check(jars === loads * row.perLoad, `${jars} jars of ${recipe}: a part of a pot`);
      if (row) check(loads <= row.mostLoadsADay, `${loads} loads of ${recipe} on ${day}`);
      if (row && at) {
        // There may be no second load at all: then its minutes are endless.
        const takes = row.leastMinutes + (loads > 1 ? (loads - 1) * row.nextMinutes : 0);
        const there = at.windowMinutes + (row.overnight ? NIGHT_MIN : 0);
        check(takes <= there + NEARLY, `${day}: ${loads} loads of ${recipe} take ${takes} min of ${there}`);
      }
    }
  }
  if (faults.length > 0) return faults;

  // Hours, canners, burners.
  for (const { day, at, made } of batchesOf) {
    const hands = made.reduce(
      (sum, { row, jars, loads }) => sum + row.hands.begin + row.hands.load * loads + row.hands.jar * jars,
      0,
    );
    check(hands <= at.handsMinutes + NEARLY, `${day}: ${Math.round(hands)} min of hands, ${at.handsMinutes} given`);
    for (const set of made.map(({ row }) => row.vessels.map(({ canner }) => canner))) {
      const minutes = made
        .filter(({ row }) => row.vessels.every(({ canner }) => set.includes(canner)))
        .reduce((sum, { row, loads }) => sum + loads * row.cannerMinutes, 0);
      const room = Math.min(set.length, problem.cannerBurners) * (at.windowMinutes - problem.firstHeatMinutes);
      check(minutes <= room + NEARLY, `${day}: ${minutes} min of canners, ${room} there`);
    }
    const burning = made.reduce((sum, { row, loads }) => sum + loads * (row.cannerMinutes + row.burnerMinutes), 0);
    check(burning <= problem.burners * at.windowMinutes + NEARLY, `${day}: burners`);
  }
  for (const week of new Set(problem.days.map((day) => day.week))) {
    const used = batchesOf.filter(({ at }) => at.week === week).length;
    check(used <= problem.mostDaysAWeek, `${used} days in one week`);
  }

  // Mass balance of each arrival, and its keeping.
  const taken = plan.days.flatMap(({ day, takings }) =>
    takings.map((taking) => ({ ...taking, day: days.get(day) as SeasonDay })),
  );
  for (const arrival of problem.arrivals) {
    const own = taken.filter((each) => each.arrival === arrival.id);
    const rest = plan.rests.find((each) => each.arrival === arrival.id);
    const sum = own.reduce((kg, { massKg }) => kg + massKg, 0) + (rest?.frozenKg ?? 0) + (rest?.leftKg ?? 0);
    check(
      Math.abs(sum - arrival.massKg) <= NEARLY,
      `${arrival.id}: ${sum.toFixed(2)} of ${arrival.massKg.toFixed(2)} kg`,
    );
    const intoFreezer = (rest?.frozenKg ?? 0) > NEARLY || own.some(({ from }) => from === 'freezer');
    check(!intoFreezer || arrival.bagsPerKg !== undefined, `${arrival.id} is not for the freezer`);
    for (const { day, from, massKg } of own) {
      check(massKg > 0 && day.at >= arrival.readyAt, `${arrival.id} taken before it is there`);
      const until = { place: arrival.until, refrigerator: arrival.coldUntil, freezer: Infinity }[from];
      check(day.at <= until, `${arrival.id} taken on ${day.id}, past its time`);
    }
  }

  // What each day makes is what it takes, of a kind that the product may be made of.
  for (const { day, made } of batchesOf) {
    const own = taken.filter((each) => each.day.id === day);
    const kg = (those: readonly { massKg: number }[]) => those.reduce((sum, { massKg }) => sum + massKg, 0);
    const arrivalOf = ({ arrival }: { arrival: string }) => arrivals.get(arrival) as Arrival;
    const crops = new Set([
      ...made.flatMap(({ row }) => row.crops.map(({ crop }) => crop)),
      ...own.map((each) => arrivalOf(each).crop),
    ]);
    for (const crop of crops) {
      const of = own.filter((each) => arrivalOf(each).crop === crop);
      const needs = (those: typeof made) =>
        those.reduce(
          (sum, { row, jars }) => sum + jars * (row.crops.find((share) => share.crop === crop)?.kgPerJar ?? 0),
          0,
        );
      check(
        Math.abs(kg(of) - needs(made)) <= NEARLY * made.length,
        `${day}: ${kg(of)} kg of ${crop} for ${needs(made)}`,
      );
      const isFrozen = (each: (typeof of)[number]) => each.from === 'freezer' || arrivalOf(each).frozen;
      const isSoft = (each: (typeof of)[number]) => arrivalOf(each).soft && each.from !== 'freezer';
      const sound = of.filter((each) => !isSoft(each));
      const fresh = of.filter((each) => !isFrozen(each));
      const both = fresh.filter((each) => !isSoft(each));
      check(needs(made.filter(({ row }) => !row.softToo)) <= kg(sound) + NEARLY, `${day}: ${crop} is soft`);
      check(needs(made.filter(({ row }) => !row.frozenToo)) <= kg(fresh) + NEARLY, `${day}: ${crop} was frozen`);
      check(needs(made.filter(({ row }) => !row.softToo && !row.frozenToo)) <= kg(both) + NEARLY, `${day}: ${crop}`);
    }
    for (const kind of ['thin juice', 'peels and cores'] as const) {
      const sum = (of: 'gives' | 'takes') =>
        made.reduce((all, { row, jars }) => all + (row[of]?.kind === kind ? jars * (row[of]?.perJar ?? 0) : 0), 0);
      check(sum('takes') <= sum('gives') + NEARLY, `${day}: ${kind}`);
    }
  }

  // Freezer and refrigerator.
  const bags = (id: string) => arrivals.get(id)?.bagsPerKg ?? 0;
  for (const day of [...problem.days, { id: 'the end', at: Infinity }]) {
    const rests = plan.rests.filter(({ arrival }) => (arrivals.get(arrival)?.readyAt ?? 0) <= day.at);
    const waiting = taken.filter(
      (each) =>
        each.from === 'freezer' && each.day.at >= day.at && (arrivals.get(each.arrival)?.readyAt ?? 0) <= day.at,
    );
    const full = [
      ...rests.map((each) => each.frozenKg * bags(each.arrival)),
      ...waiting.map((each) => each.massKg * bags(each.arrival)),
    ];
    check(
      full.reduce((sum, each) => sum + each, 0) <= problem.freezerBags + NEARLY * problem.arrivals.length,
      `${day.id}: freezer`,
    );
    const cold = taken.filter(
      (each) =>
        each.from === 'refrigerator' && each.day.at > day.at && (arrivals.get(each.arrival)?.readyAt ?? 0) <= day.at,
    );
    check(
      cold.reduce((sum, { massKg }) => sum + massKg, 0) <= problem.refrigeratorKg + NEARLY * 10,
      `${day.id}: refrigerator`,
    );
  }

  // Jars, lids, goals.
  const jars = (fits: (recipe: SeasonRecipe) => boolean) =>
    batchesOf.reduce((sum, { made }) => sum + made.reduce((all, each) => all + (fits(each.row) ? each.jars : 0), 0), 0);
  for (const { key, have, toBeHad } of problem.stock) {
    check(toBeHad || jars((recipe) => recipe.stock.includes(key)) <= Math.max(0, have), `${key}: more than there are`);
  }
  for (const goal of problem.goals) {
    const own = problem.recipes.filter((recipe) => goalKey(recipe) === goalKey(goal));
    const isPinned = problem.pins.some(({ recipe }) => own.some(({ id }) => id === recipe));
    const pot = Math.max(0, ...own.map(({ wholePots, perLoad }) => (wholePots ? perLoad - 1 : 0)));
    const made = jars((recipe) => goalKey(recipe) === goalKey(goal));
    check(
      isPinned || made <= Math.max(0, goal.want - goal.have) + pot,
      `${goalKey(goal)}: ${made} jars, more than wanted`,
    );
  }
  return faults;
}
