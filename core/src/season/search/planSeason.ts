import { drawsFrom } from '../../math/draws';
import { columnsOf, kernelOf, type Likely, likelyOf } from '../model/kernelOf';
import { type LinearColumn } from '../model/linearModel';
import { partOf, withPart } from '../model/modelPart';
import { greedyPlan } from './greedyPlan';
import { type DayCheck } from './dayCheck';
import { repairContinuous, LargeNeighbourhoodSearch } from './largeNeighbourhoodSearch';
import { nightBefore } from '../problem/nightBefore';
import { verifyPlan } from '../problem/verifyPlan';
import { planOfThese } from './planOfThese';
import { planValues } from '../model/planValues';
import { readPlan } from '../model/readPlan';
import { type SeasonModel, seasonModel } from '../model/seasonModel';
import { type SeasonBatch, type SeasonDayPlan, type SeasonPlan } from '../problem/seasonPlan';
import { type SeasonCut, type SeasonProblem } from '../problem/seasonProblem';
import { type Solver } from '../model/solver';
import { withFewer } from './withFewer';

/** How far the planning has come. */
export interface SeasonNews {
  readonly seconds: number;
  /** The best plan so far, where it is a new one. */
  readonly plan?: SeasonPlan;
  readonly worth: number;
  /** No plan is worth more; undefined until that is known. */
  readonly bound?: number;
}

export interface PlannedSeason {
  readonly plan: SeasonPlan;
  /** What no plan is worth more than; undefined where the time was over before that was known. */
  readonly bound?: number;
  /** What a careful household comes to without computing. */
  readonly byHand: SeasonPlan;
  /** Days that core/day refused, and that were planned anew. */
  readonly cuts: readonly SeasonCut[];
}

export interface SeasonSearch {
  readonly seconds: number;
  readonly seed: number;
  /** Seconds since the planning began: the clock is the caller's. */
  readonly elapsed: () => number;
  /** Whether a day can be carried out hour by hour, by itself or with what the day before left standing overnight. */
  readonly canBeDone: DayCheck;
  /** Answers whether to go on. */
  readonly onNews?: (news: SeasonNews) => boolean;
  /** Good enough when no plan can be worth more by this part. */
  readonly gap?: number;
}

const USUAL_GAP = 0.005;
/** The kernel may take this part of the time that is left; it ends when it brought nothing better for that part of all. */
const KERNEL = 0.45;
const KERNEL_RESTS = 0.15;
/** Products on days: a season of no more is solved as a whole as well, in this part of the time that is left then. */
const SMALL = 150;
const SMALL_KERNEL = 0.3;
const WHOLE = 0.4;
/** In a large one so much of the time goes into a nearer bound, less where it hardly moved for a while. */
const BOUND_PART = 0.15;
const BOUND_RESTS = 0.03;
const BOUND_STEP = 1e-4;

/**
 * Plans a season: by hand first, around what is pinned, or from what is left of the plan before. The relaxation says what no
 * plan can be better than, and which products on which days are likely; these are solved first, then a small season as a
 * whole, and then part after part is planned anew. Each better plan is laid out by core/day, day by day; loads that cannot
 * be done are cut off and the rest is gone on from.
 *
 * @returns always a plan that {@link verifyPlan} finds nothing in, the empty one where nothing can be made
 */
export function planSeason(problem: SeasonProblem, solve: Solver, search: SeasonSearch): PlannedSeason {
  return new Planning(problem, solve, search).run();
}

class Planning {
  private readonly draws;
  private best: SeasonPlan;
  private readonly byHand: SeasonPlan;
  private bound: number | undefined;
  private goOn = true;
  private readonly cuts: SeasonCut[] = [];

  constructor(
    private problem: SeasonProblem,
    private readonly solve: Solver,
    private readonly search: SeasonSearch,
  ) {
    this.draws = drawsFrom(search.seed);
    const pinned = problem.pins.length > 0 ? planOfThese(problem, problem.pins, solve)?.days : undefined;
    this.byHand = this.doable(greedyPlan(problem, pinned));
    this.best = this.byHand;
    this.tell(this.best);
    this.goOnFromBefore();
  }

  /** What is left of the plan before is often the better one to begin with, and nearer to what the household knows. */
  private goOnFromBefore(): void {
    const { before, pins } = this.problem;
    const kept = before.length > 0 ? planOfThese(this.problem, [...before, ...pins], this.solve) : undefined;
    if (kept) this.take(this.doable(kept));
  }

  run(): PlannedSeason {
    const { seconds } = this.search;
    const seasonAsModel = seasonModel(this.problem);
    const isSmall = seasonAsModel.batches.length <= SMALL;
    const likely = this.relax(seasonAsModel, seconds);
    if (likely) this.solveKernel(likely, this.after(isSmall ? SMALL_KERNEL : KERNEL));
    if (isSmall) this.solveWhole(this.after(WHOLE));
    else this.tightenUpperBound(seasonAsModel, BOUND_PART * seconds);
    this.improve(new LargeNeighbourhoodSearch(this.solve, this.draws.unit, seconds, likely), seconds);
    const { best, byHand, bound, cuts } = this;
    return { plan: best, ...(bound !== undefined && { bound }), byHand, cuts };
  }

  /** Plans part after part anew, until the time or no better plan is possible. */
  private improve(improver: LargeNeighbourhoodSearch, until: number): void {
    let columns = seasonModel(this.problem);
    let values = this.startFrom(columns, this.best);
    while (this.goOn && this.search.elapsed() < until && !this.isGoodEnough()) {
      const better = improver.next(columns, values, this.left(until));
      if (!better) {
        this.tell();
        continue;
      }
      if (this.keep(readPlan(this.problem, columns, better.values))) {
        values = better.values;
        continue;
      }
      // Some day of it cannot be done: that is said to the model, and what could be kept of the plan is gone on from.
      columns = seasonModel(this.problem);
      values = this.startFrom(columns, this.best);
    }
  }

  private boundBy(bound = Infinity): void {
    if (bound < (this.bound ?? Infinity)) this.bound = bound;
  }

  private isGoodEnough(): boolean {
    const gap = this.search.gap ?? USUAL_GAP;
    return this.bound !== undefined && this.bound - this.best.worth <= gap * Math.abs(this.bound);
  }

  /** A small season as a whole, once more after each day that cannot be done. */
  private solveWhole(until: number): void {
    for (
      let first = true;
      this.goOn && !this.isGoodEnough() && (first || this.search.elapsed() < until);
      first = false
    ) {
      const columns = seasonModel(this.problem);
      const answer = this.solve(columns.model, {
        ...{ seconds: this.left(until), gap: this.search.gap ?? USUAL_GAP },
        start: this.startFrom(columns, this.best),
        onNews: ({ bound }) => {
          this.boundBy(bound);
          return this.tell();
        },
      });
      if (answer.kind !== 'solved') return;
      // With more days cut off, less is possible: the bound of what is left holds for the plan.
      this.boundBy(answer.bound);
      if (this.keep(readPlan(this.problem, columns, answer.values))) return;
    }
  }

  /** What the relaxation makes a little of, and the plan in hand, as a whole; once more after each day that cannot be done. */
  private solveKernel(likely: Likely, until: number): void {
    for (let again = true; again && this.goOn && !this.isGoodEnough() && this.search.elapsed() < until;) {
      const columns = seasonModel(this.problem);
      // What a hand makes is seldom what a good plan makes: it would only make the kernel larger.
      const isNew = this.best === this.byHand;
      const values = this.startFrom(columns, isNew ? { ...this.best, days: [] } : this.best);
      const kernel = kernelOf(columns, likely, values);
      const part = partOf(columns.model, values, columnsOf(columns, kernel));
      let betterAt = Infinity;
      const read = (found: ArrayLike<number>) => readPlan(this.problem, columns, withPart(values, part, found));
      const answer = this.solve(part.model, {
        ...{ seconds: this.left(until), gap: this.search.gap ?? USUAL_GAP, ...(!isNew && { start: part.start }) },
        onNews: ({ values: found }) => {
          const plan = found && read(found);
          if (plan && plan.worth > this.best.worth) {
            this.keep(plan);
            betterAt = this.search.elapsed();
          }
          return this.tell() && this.search.elapsed() - betterAt < KERNEL_RESTS * this.search.seconds;
        },
      });
      again = answer.kind === 'solved' && !this.keep(read(answer.values));
    }
  }

  /** The season where nothing need be whole: what no plan can be better than, and what it makes a little of. */
  private relax(whole: SeasonModel, until: number): Likely | undefined {
    const { columns, rows } = whole.model;
    const loose = { rows, columns: columns.map((column): LinearColumn => ({ ...column, integer: false })) };
    const answer = this.solve(loose, { seconds: this.left(until), gap: 0 });
    if (answer.kind === 'solved') this.boundBy(answer.worth);
    this.tell();
    return answer.kind === 'solved' ? likelyOf(whole, answer.values) : undefined;
  }

  /** A bound nearer than the relaxation: of the season before any day was cut off, so that it holds for every plan. */
  private tightenUpperBound({ model }: SeasonModel, seconds: number): void {
    if (!this.goOn || this.isGoodEnough()) return;
    let nearerAt = Infinity;
    this.solve(model, {
      ...{ seconds, gap: 0, boundOnly: true },
      onNews: ({ bound = Infinity }) => {
        const known = this.bound ?? Infinity;
        if (bound < known - BOUND_STEP * Math.abs(known)) nearerAt = this.search.elapsed();
        this.boundBy(bound);
        return this.tell() && this.search.elapsed() - nearerAt < BOUND_RESTS * this.search.seconds;
      },
    });
  }

  /** Nothing made is always possible. */
  private startFrom(columns: SeasonModel, plan: SeasonPlan): ArrayLike<number> {
    const values = planValues(this.problem, columns, plan);
    const nothing = planValues(this.problem, columns, { ...plan, days: [] });
    return repairContinuous(columns, values, this.solve) ?? repairContinuous(columns, nothing, this.solve) ?? nothing;
  }

  /** When so much of the time that is left will be over. */
  private after(part: number): number {
    const now = this.search.elapsed();
    return now + part * Math.max(0, this.search.seconds - now);
  }

  private left(until: number): number {
    return Math.max(0.1, until - this.search.elapsed());
  }

  private isPinned(day: string, recipe: string): boolean {
    return this.problem.pins.some((pin) => pin.day === day && pin.recipe === recipe);
  }

  /** Whether a day of a plan can be done, and with what stood overnight before it. */
  private canBeDone(planned: SeasonDayPlan, plan: Pick<SeasonPlan, 'days'>): boolean {
    const day = this.problem.days.find(({ id }) => id === planned.day);
    if (!day || !this.search.canBeDone(day, planned)) return false;
    const before = nightBefore(this.problem, plan, day);
    return !before || this.search.canBeDone(day, planned, before);
  }

  /** Forbids what cannot be done: as little of the day as cannot be done already, so that more plans are spared. */
  private cut(planned: SeasonDayPlan, plan: Pick<SeasonPlan, 'days'>): void {
    const day = this.problem.days.find(({ id }) => id === planned.day);
    if (!day) return;
    const { canBeDone } = this.search;
    const before = canBeDone(day, planned) ? nightBefore(this.problem, plan, day) : undefined;
    const least = (batches: readonly SeasonBatch[], goes: (fewer: readonly SeasonBatch[]) => boolean) =>
      batches.reduce((left, each) => {
        const fewer = left.filter((other) => other !== each);
        return fewer.length > 0 && !goes(fewer) ? fewer : left;
      }, batches);
    const batches = least(planned.batches, (fewer) => canBeDone(day, { ...planned, batches: fewer }, before));
    const own = { ...planned, batches };
    const cutOf = (windowMinutes: number, all: readonly SeasonBatch[]): SeasonCut => ({
      windowMinutes,
      loads: all.map(({ recipe, loads }) => ({ recipe, loads })),
    });
    const night =
      before &&
      least(before.planned.batches, (fewer) =>
        canBeDone(day, own, { ...before, planned: { ...before.planned, batches: fewer } }),
      );
    this.cuts.push({
      ...cutOf(day.windowMinutes, batches),
      ...(before && night && { before: cutOf(before.day.windowMinutes, night) }),
    });
    this.problem = { ...this.problem, cuts: [...this.problem.cuts, this.cuts.at(-1) as SeasonCut] };
  }

  /**
   * The plan with loads and batches taken off the days that cannot be done, as little as helps, until they can. What is
   * pinned goes only when nothing else is left to go.
   */
  private doable(plan: SeasonPlan): SeasonPlan {
    let mended = plan;
    for (const { day } of plan.days) {
      for (;;) {
        const planned = mended.days.find((each) => each.day === day);
        if (!planned || this.canBeDone(planned, mended)) break;
        const loose = planned.batches.filter(({ recipe }) => !this.isPinned(day, recipe));
        const fewer = (loose.length > 0 ? loose : planned.batches).flatMap((batch) => this.fewerOf(mended, day, batch));
        fewer.sort((a, b) => b.worth - a.worth);
        const enough = fewer.find((less) => less.days.every((each) => each.day !== day || this.canBeDone(each, less)));
        mended = enough ?? fewer[0] ?? mended;
      }
    }
    return mended;
  }

  /** The plan with a load less of a batch, where it has more than one, and without it. */
  private fewerOf(plan: SeasonPlan, day: string, { recipe, loads }: SeasonBatch): SeasonPlan[] {
    const perLoad = this.problem.recipes.find(({ id }) => id === recipe)?.perLoad ?? 0;
    const jars = loads > 1 ? [(loads - 1) * perLoad, 0] : [0];
    return jars.map((each) => withFewer(this.problem, plan, day, recipe, each));
  }

  /**
   * Takes a plan that is better and can be done day by day. Of one that cannot, the days are cut off the model and the rest
   * is taken where it still is better.
   *
   * @returns whether it was taken as it is
   */
  private keep(plan: SeasonPlan): boolean {
    const refused = plan.days.filter((planned) => !this.canBeDone(planned, plan));
    for (const each of refused) this.cut(each, plan);
    this.take(refused.length === 0 ? plan : this.doable(plan));
    return refused.length === 0;
  }

  /** A plan is only taken when it is better and nothing is wrong with it. */
  private take(plan: SeasonPlan): void {
    if (plan.worth <= this.best.worth || verifyPlan(this.problem, plan).length > 0) return;
    this.best = plan;
    this.tell(plan);
  }

  private tell(plan?: SeasonPlan): boolean {
    const news = {
      seconds: this.search.elapsed(),
      ...(plan && { plan }),
      worth: this.best.worth,
      ...(this.bound !== undefined && { bound: this.bound }),
    };
    this.goOn = (this.search.onNews?.(news) ?? true) && this.goOn;
    return this.goOn;
  }
}
