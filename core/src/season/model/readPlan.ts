import { planWorth } from '../problem/planWorth';
import { type SeasonModel } from './seasonModel';
import { type SeasonDayPlan, type SeasonPlan, type SeasonRest, type SeasonTaking } from '../problem/seasonPlan';
import { type SeasonProblem } from '../problem/seasonProblem';

/** Less than a crumb of produce is rounding of the solver. */
const CRUMB_KG = 0.005;

/** Reads a solution of a season's model back into days, batches and produce. */
export function readPlan(problem: SeasonProblem, columns: SeasonModel, values: ArrayLike<number>): SeasonPlan {
  // A solver's nothing may be a billionth below it.
  const at = (column: number) => Math.max(0, values[column] ?? 0);
  const freezer = new Freezer(columns, at);
  const days = problem.days.flatMap((day): SeasonDayPlan[] => {
    const batches = columns.batches
      .filter((batch) => batch.day === day)
      .map(({ recipe, jars }) => {
        const count = Math.round(at(jars[0]) * jars[1]);
        return { recipe: recipe.id, jars: count, loads: Math.ceil(count / recipe.perLoad) };
      })
      .filter(({ jars }) => jars > 0);
    if (batches.length === 0) return [];
    const takings: SeasonTaking[] = columns.takings
      .filter((taking) => taking.day === day && at(taking.column) > CRUMB_KG)
      .map(({ arrival, from, column }) => ({ arrival: arrival.id, massKg: at(column), from }));
    const thawed = columns.thawed.filter((each) => each.day === day);
    return [
      {
        day: day.id,
        batches,
        takings: [...takings, ...thawed.flatMap(({ crop, column }) => freezer.take(crop, at(column)))],
      },
    ];
  });
  const rests = columns.remainders.flatMap(({ arrival, left }): SeasonRest[] => {
    const frozenKg = freezer.leftOf(arrival.id);
    const leftKg = at(left);
    return frozenKg + leftKg > CRUMB_KG ? [{ arrival: arrival.id, crop: arrival.crop, frozenKg, leftKg }] : [];
  });
  const plan = { days, rests };
  return { ...plan, worth: planWorth(problem, plan) };
}

/** What the plan freezes: the model thaws it by crop, the oldest of it comes out first. */
class Freezer {
  private readonly bags: { arrival: string; crop: string; massKg: number }[];

  constructor({ remainders }: SeasonModel, at: (column: number) => number) {
    this.bags = [...remainders]
      .sort((a, b) => a.arrival.readyAt - b.arrival.readyAt)
      .map(({ arrival, frozen }) => ({
        arrival: arrival.id,
        crop: arrival.crop,
        massKg: frozen === undefined ? 0 : at(frozen),
      }));
  }

  take(crop: string, massKg: number): SeasonTaking[] {
    let missingKg = massKg;
    return this.bags.flatMap((bag): SeasonTaking[] => {
      const takenKg = bag.crop === crop ? Math.min(bag.massKg, missingKg) : 0;
      if (takenKg <= CRUMB_KG) return [];
      bag.massKg -= takenKg;
      missingKg -= takenKg;
      return [{ arrival: bag.arrival, massKg: takenKg, from: 'freezer' }];
    });
  }

  leftOf(arrival: string): number {
    return this.bags.find((bag) => bag.arrival === arrival)?.massKg ?? 0;
  }
}
