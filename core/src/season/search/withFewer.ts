import { planWorth } from '../problem/planWorth';
import { type SeasonPlan } from '../problem/seasonPlan';
import { type SeasonProblem } from '../problem/seasonProblem';

const CRUMB_KG = 1e-6;

/**
 * A plan with fewer jars of one of its batches, or without it: what they took is left. What that batch gave to another goes
 * with it.
 */
export function withFewer(
  problem: SeasonProblem,
  plan: SeasonPlan,
  day: string,
  recipe: string,
  jars: number,
): SeasonPlan {
  const row = problem.recipes.find(({ id }) => id === recipe);
  const planned = plan.days.find((each) => each.day === day);
  const batch = planned?.batches.find((each) => each.recipe === recipe);
  if (!row || !planned || !batch) return plan;
  const fed = row.gives && planned.batches.find((each) => takesOf(problem, each.recipe) === row.gives?.kind);
  const cropOf = new Map(problem.arrivals.map(({ id, crop }) => [id, crop]));
  const backKg = new Map(row.crops.map(({ crop, kgPerJar }) => [crop, kgPerJar * (batch.jars - jars)]));
  const left = new Map(plan.rests.map((rest) => [rest.arrival, rest]));
  const takings = planned.takings.flatMap((taking) => {
    const crop = cropOf.get(taking.arrival);
    const massKg = crop ? Math.min(taking.massKg, backKg.get(crop) ?? 0) : 0;
    if (!crop || massKg <= 0) return [taking];
    backKg.set(crop, (backKg.get(crop) ?? 0) - massKg);
    const rest = left.get(taking.arrival) ?? { arrival: taking.arrival, crop, frozenKg: 0, leftKg: 0 };
    left.set(taking.arrival, {
      ...rest,
      ...(taking.from === 'freezer' ? { frozenKg: rest.frozenKg + massKg } : { leftKg: rest.leftKg + massKg }),
    });
    return taking.massKg - massKg > CRUMB_KG ? [{ ...taking, massKg: taking.massKg - massKg }] : [];
  });
  const fewer = { recipe, jars, loads: Math.ceil(jars / row.perLoad) };
  const batches = planned.batches.flatMap((each) => (each !== batch ? [each] : jars > 0 ? [fewer] : []));
  const days = plan.days.flatMap((each) =>
    each !== planned ? [each] : batches.length > 0 ? [{ ...each, batches, takings }] : [],
  );
  const without = { days, rests: [...left.values()] };
  const next = { ...without, worth: planWorth(problem, without) };
  return fed ? withFewer(problem, next, day, fed.recipe, 0) : next;
}

function takesOf(problem: SeasonProblem, recipe: string): string | undefined {
  return problem.recipes.find(({ id }) => id === recipe)?.takes?.kind;
}
